import { describe, expect, it } from 'vitest';
import { ALWAYS, browserFiles, takes, turnOfCommit, TURNS, turnsOf } from './turns.mjs';

const files = browserFiles();
const turns: string[][] = turnsOf(files);

describe('what is driven in a browser', () => {
  it('is every file, always or in one turn', () => {
    expect(ALWAYS.filter((file: string) => !files.includes(file))).toEqual([]);
    expect([...ALWAYS, ...turns.flat()].sort()).toEqual([...files].sort());
  });

  it('takes about as long in each turn', () => {
    const lengths = turns.map((turn) => turn.reduce((sum, file) => sum + takes(file), 0));
    expect(Math.max(...lengths) / Math.min(...lengths)).toBeLessThan(1.25);
  });

  it('is decided by the commit, and each turn by some of them', () => {
    const shas = Array.from({ length: 60 }, (_, i) =>
      ((i + 1) * 2_654_435_761).toString(16).padStart(12, '0'),
    );
    expect(turnOfCommit(shas[0])).toBe(turnOfCommit(shas[0]));
    expect(new Set(shas.map(turnOfCommit)).size).toBe(TURNS);
  });
});
