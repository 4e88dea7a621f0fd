import { describe, expect, it } from 'vitest';
import { crowd } from './crowd';
import { killsDuringBackups, killsDuringCreations, killsDuringMigrations, killsDuringRestores } from './killsOf'; // prettier-ignore
import { memory } from './memory';
import type { Result } from './result';

/* Short forms of `npm run endure`: what is cut off, and what many ask for at once. Times and memory are measured there. */

function sound({ wrong, figures }: Result): void {
  expect(wrong.filter((w) => !/held for|\d MB$/.test(w))).toEqual([]);
  expect(Object.values(figures).every(Number.isFinite)).toBe(true);
}

describe('what is cut off', () => {
  it('while it is made or sent is there as far as it was confirmed', async () =>
    sound(await killsDuringCreations(12)));
  it('while it is brought up to date, backed up or put back is whole, and leaves nothing', async () => {
    sound(await killsDuringMigrations(1));
    sound(await killsDuringBackups(1));
    sound(await killsDuringRestores(1));
  });
});

describe('nobody is stopped by anybody', () => {
  it('a save by scans, take-offs and an import that wait', async () => sound(await crowd(30, 0.1)));
  it('the machine by bodies that are held open, and by pictures', async () => sound(await memory(4, 0.25)));
});
