import { describe, expect, it } from 'vitest';
import { listKey } from './listKeys';

const list = (...words: string[]) =>
  words.map((text) => {
    const button = document.createElement('button');
    button.textContent = text;
    document.body.append(button);
    return button;
  });
/** Presses keys on whatever has the keyboard; returns its words. */
function press(entries: HTMLElement[], keys: string[], now = 0): string {
  for (const [i, key] of keys.entries()) {
    const event = new KeyboardEvent('keydown', { key });
    Object.defineProperty(event, 'target', { value: document.activeElement });
    listKey(event, entries, now + i * 100);
  }
  return document.activeElement?.textContent ?? '';
}

describe('a list by keys', () => {
  it('is walked by arrows, to its ends and no further', () => {
    const entries = list('S-01', 'S-02', 'R-01');
    entries[0].focus();
    expect(press(entries, ['ArrowRight'])).toBe('S-02');
    expect(press(entries, ['ArrowDown', 'ArrowDown'])).toBe('R-01');
    expect(press(entries, ['Home'])).toBe('S-01');
    expect(press(entries, ['ArrowLeft'])).toBe('S-01');
    expect(press(entries, ['End'])).toBe('R-01');
  });

  it('goes to what begins with what is typed, the next one each time it is typed anew', () => {
    const entries = list('S-01', 'S-02', 'S-14', 'R-01');
    entries[0].focus();
    expect(press(entries, ['s', '-', '1'], 10_000)).toBe('S-14');
    expect(press(entries, ['r'], 20_000)).toBe('R-01');
    expect(press(entries, ['s'], 30_000)).toBe('S-01');
    expect(press(entries, ['s'], 40_000)).toBe('S-02');
    expect(press(entries, ['x'], 50_000)).toBe('S-02');
  });

  it('leaves chords and what is no entry alone', () => {
    const entries = list('a', 'b');
    entries[0].focus();
    const chord = new KeyboardEvent('keydown', { key: 'ArrowRight', ctrlKey: true });
    expect(listKey(chord, entries)).toBe(false);
    expect(listKey(new KeyboardEvent('keydown', { key: 'ArrowRight' }), entries)).toBe(false);
  });
});
