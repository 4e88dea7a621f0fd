import { materialOf, optionOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import type { Point, Polygon } from '../geometry/polygon';
import { rotation } from '../geometry/rotation';
import { silhouette } from '../hardscape/silhouette';
import { solidMesh } from '../hardscape/solid';
import type { Standing } from '../hardscape/settle';
import { displayOutline } from '../vessel/display';
import { footprint } from '../vessel/footprint';
import { drawnMesh } from './drawn';

/** What was measured of an option that is drawn. */
interface Measured {
  optionId: string;
  standing: readonly Standing[];
}

/** Room around the drawings and between them, and the size of their figures, mm. */
const [EDGE_MM, BETWEEN_MM, FIGURE_MM] = [45, 50, 9];

/**
 * Elevation and plan of an option as SVG in their own size (one unit is a millimetre), for drawing programs and cutters:
 * panes, water line, outlines of pieces with their numbers, regions that are cut into the bed, plantings, overall sizes.
 * y grows downwards there; each piece is a path whose id is its number.
 */
export async function sheetSvg(commission: Commission, { optionId, standing }: Measured): Promise<string> {
  const { vessel, title } = commission;
  const option = optionOf(commission, optionId);
  const { length, width, height } = vessel.innerMm;
  const [w, h] = [length + 2 * EDGE_MM, height + BETWEEN_MM + width + 2 * EDGE_MM];
  const inFront = ([x, z]: Point): Point => [EDGE_MM + x, EDGE_MM + height - z];
  const above = ([x, y]: Point): Point => [EDGE_MM + x, EDGE_MM + height + BETWEEN_MM + width - y];
  const pieces = await Promise.all(
    // Farthest first from the front, lowest first from above.
    [...standing].map(async ({ piece, xMm, yMm, zMm }) => {
      const mesh = await drawnMesh(solidMesh(piece.shape));
      const turn = rotation(piece.turnDeg, piece.tiltDeg);
      const seen = (view: 'front' | 'above', to: (p: Point) => Point, at: Point) =>
        silhouette(mesh, turn, view).map((ring) => ring.map(([x, y]) => to([x + at[0], y + at[1]])));
      const colour = safe(materialOf(commission, piece.material).colour ?? '#9a9c9a');
      return { id: piece.id, yMm, zMm, colour, front: seen('front', inFront, [xMm, zMm]), plan: seen('above', above, [xMm, yMm]), at: above([xMm, yMm]) }; // prettier-ignore
    }),
  );
  const drawn = (id: string, rings: readonly Polygon[], colour: string) =>
    `<path id="${safe(id)}" d="${rings.map(ring).join('')}" fill="${colour}" fill-rule="evenodd" stroke="#222" stroke-width="0.8"/>`;
  const box = (to: (p: Point) => Point, high: number) =>
    `<path d="${ring(
      [
        [0, 0],
        [length, 0],
        [length, high],
        [0, high],
      ].map((p) => to(p as unknown as Point)),
    )}" fill="none" stroke="#111" stroke-width="1.5"/>`;
  const regions = [
    ...option.bed.flatMap((l) => (l.region && l.cuts ? [{ id: l.id, of: l.region, fill: '#e9dcb8' }] : [])),
    ...option.plants.flatMap((p) => (p.region ? [{ id: p.id, of: p.region, fill: 'none' }] : [])),
  ].map(({ id, of, fill }) => `<path id="${safe(id)}" d="${ring(of.map((p) => above(p)))}" fill="${fill}" stroke="#5d7a3c" stroke-width="0.8" stroke-dasharray="4 2"/>`); // prettier-ignore
  const [, waterY] = inFront([0, vessel.waterLineMm]);
  const said = (x: number, y: number, words: string, more = '') =>
    `<text x="${mm(x)}" y="${mm(y)}" font-size="${FIGURE_MM}" text-anchor="middle"${more}>${safe(words)}</text>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(w)}mm" height="${mm(h)}mm" viewBox="0 0 ${mm(w)} ${mm(h)}" font-family="sans-serif">`,
    `<title>${safe(title)}, ${safe(option.title)}</title>`,
    '<g id="elevation">',
    box(inFront, height),
    `<path id="water" d="M${mm(EDGE_MM)} ${mm(waterY)}H${mm(EDGE_MM + length)}" stroke="#3b7f95" stroke-width="0.8"/>`,
    ...[...pieces].sort((a, b) => b.yMm - a.yMm).map((p) => drawn(`${p.id} front`, p.front, p.colour)),
    said(w / 2, EDGE_MM - 12, `${mm(length)} mm`),
    said(EDGE_MM - 12, EDGE_MM + height / 2, `${mm(height)} mm`, ` transform="rotate(-90 ${EDGE_MM - 12} ${mm(EDGE_MM + height / 2)})"`), // prettier-ignore
    '</g><g id="plan">',
    `<path id="glass" d="${ring(footprint(vessel).map(above))}" fill="none" stroke="#111" stroke-width="1.5"/>`,
    `<path id="display" d="${ring(displayOutline(vessel).map(above))}" fill="none" stroke="#111" stroke-width="0.8"/>`,
    ...regions,
    ...[...pieces].sort((a, b) => a.zMm - b.zMm).map((p) => drawn(p.id, p.plan, p.colour)),
    ...pieces.map((p) => said(p.at[0], p.at[1] + FIGURE_MM / 3, p.id)),
    said(EDGE_MM - 12, above([0, width / 2])[1], `${mm(width)} mm`, ` transform="rotate(-90 ${EDGE_MM - 12} ${mm(above([0, width / 2])[1])})"`), // prettier-ignore
    '</g></svg>\n',
  ].join('\n');
}

const mm = (v: number) => String(Math.round(v * 100) / 100);
const ring = (of: Polygon) => `M${of.map(([x, y]) => `${mm(x)} ${mm(y)}`).join('L')}Z`;

/** Words of a document in a file of markup: what would be markup is written as what it is. */
function safe(words: string): string {
  return words.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
}
