import type { Site } from '../../../core/commission/schema';
import { wording } from '../../words/wording';

type Grid = NonNullable<NonNullable<NonNullable<Site['devices']>[number]['light']>['grid']>;

/** More than full sun: such a figure is mistyped or in another unit. */
const MOST_PPFD = 2_500;

/**
 * A grid of PPFD as it is typed or pasted: a first line with the step and the distance below the lamp, mm, then a line for
 * each row. Answers with what is wrong where it is none.
 */
export function gridOf(text: string, before?: Grid): Grid | string {
  const lines = text
    .trim()
    .split(/\n/)
    .map((line) =>
      line
        .trim()
        .split(/[\s;,\t]+/)
        .filter(Boolean),
    );
  const [head, ...rest] = lines;
  const headed = head.length === 2 && rest.length > 0 && rest[0].length !== 2;
  const rows = headed ? rest : lines;
  const odd = rows.flat().find((word) => !Number.isFinite(Number(word)));
  if (odd !== undefined) return wording('ppfdGrid.noFigure', { odd });
  const columns = rows[0].length;
  const uneven = rows.findIndex((row) => row.length !== columns);
  if (uneven >= 0)
    return wording('ppfdGrid.uneven', { row: uneven + 1, figures: rows[uneven].length, first: columns });
  const [stepMm, belowMm] = headed ? head.map(Number) : [before?.stepMm ?? 0, before?.belowMm ?? 0];
  if (!(stepMm > 0 && belowMm > 0)) return wording('ppfdGrid.noHead');
  const ppfd = rows.flat().map(Number);
  if (ppfd.every((v) => v === 0)) return wording('ppfdGrid.allZero');
  const most = Math.max(...ppfd);
  if (most > MOST_PPFD) return wording('ppfdGrid.tooBright', { most });
  if (ppfd.some((v) => v < 0)) return wording('ppfdGrid.negative');
  return { columns, rows: rows.length, stepMm, belowMm, ppfd };
}

/** A grid as it is typed. */
export function gridText({ columns, rows, stepMm, belowMm, ppfd }: Grid): string {
  const line = (row: number) => ppfd.slice(row * columns, (row + 1) * columns).join(' ');
  return [`${stepMm} ${belowMm}`, ...Array.from({ length: rows }, (_, row) => line(row))].join('\n');
}
