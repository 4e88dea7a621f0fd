import { withinConvex } from '../geometry/withinConvex';
import { ringOf } from '../hardscape/planHull';
import type { Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inMm } from '../words/measure';
import { say } from '../words/text';

/** Nearer than this it was drawn onto the stone, mm: a width begins where one ends. */
const TOUCHES_MM = 2;

/** Pieces that stand in a width which is to be kept free. */
export function freeFindings({ option }: Pick<Resolved, 'option'>, { standing }: Survey): Finding[] {
  return (option.free ?? []).flatMap(({ from, to }): Finding[] => {
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const within = standing.flatMap((s) => {
      const part = withinConvex(from, to, ringOf(s));
      const mm = part ? (part[1] - part[0]) * length : 0;
      return mm > TOUCHES_MM ? [{ id: s.piece.id, mm }] : [];
    });
    if (within.length === 0) return [];
    const most = Math.max(...within.map((w) => w.mm));
    const pieces = within.map((w) => w.id);
    return [
      {
        id: 'piece.free',
        severity: 'warn',
        at: { pieces, xyMm: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] },
        measured: rounded(Math.max(0, length - most), 0),
        limit: rounded(length, 0),
        unit: 'mm',
        says: say('piece.free.says', { pieces, count: pieces.length, by: inMm(most), width: inMm(length) }),
        because: say('piece.free.because'),
        source: say('source.drawn'),
      },
    ];
  });
}
