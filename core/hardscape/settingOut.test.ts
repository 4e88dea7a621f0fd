import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import { piece } from '../testing/scape';
import { settingOut } from './settingOut';

describe('the order of placing', () => {
  it('is glass first, then the heaviest, then wood, and never a piece before what it rests on', () => {
    const p = (id: string, stand: Piece['stand'] = { kind: 'bed', buryMm: 10 }) => piece({ id, stand });
    const pieces = [p('R-1', { kind: 'on', piece: 'S-2' }), p('S-1', { kind: 'on', piece: 'R-1' }), p('S-2'), p('S-3'), p('S-4', { kind: 'floor' })]; // prettier-ignore
    const masses = [['R-1', 1], ['S-1', 9], ['S-2', 2], ['S-3', 5], ['S-4', 0.5]] as const; // prettier-ignore
    const order = settingOut({ pieces }, masses.map(([id, massKg]) => ({ id, massKg })), (q) => (q.id.startsWith('R') ? 'wood' : 'stone')); // prettier-ignore
    // The heaviest rests on the root, which rests on the second stone: both come before it.
    expect(order.map((s) => [s.n, s.piece.id])).toEqual([[1, 'S-4'], [2, 'S-2'], [3, 'R-1'], [4, 'S-1'], [5, 'S-3']]); // prettier-ignore
  });
});
