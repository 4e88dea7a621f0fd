import type { Site } from '../../../core/commission/schema';

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
  if (odd !== undefined) return `“${odd}” is no figure: only figures with spaces between, a line a row.`;
  const columns = rows[0].length;
  const uneven = rows.findIndex((row) => row.length !== columns);
  if (uneven >= 0)
    return `Row ${uneven + 1} has ${rows[uneven].length} figures, the first has ${columns}: each must have as many.`;
  const [stepMm, belowMm] = headed ? head.map(Number) : [before?.stepMm ?? 0, before?.belowMm ?? 0];
  if (!(stepMm > 0 && belowMm > 0))
    return 'The first line must be the step and the distance below the lamp, mm: for instance “100 400”.';
  const ppfd = rows.flat().map(Number);
  if (ppfd.every((v) => v === 0)) return 'Every figure is 0: is the lamp on?';
  const most = Math.max(...ppfd);
  if (most > MOST_PPFD)
    return `${most} µmol/m²/s is more than the sun gives: is it in lux? Divide by 70 or so for a white lamp.`;
  if (ppfd.some((v) => v < 0)) return 'A figure is below 0.';
  return { columns, rows: rows.length, stepMm, belowMm, ppfd };
}

/** A grid as it is typed. */
export function gridText({ columns, rows, stepMm, belowMm, ppfd }: Grid): string {
  const line = (row: number) => ppfd.slice(row * columns, (row + 1) * columns).join(' ');
  return [`${stepMm} ${belowMm}`, ...Array.from({ length: rows }, (_, row) => line(row))].join('\n');
}
