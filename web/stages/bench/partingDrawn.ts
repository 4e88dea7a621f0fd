import type { Shape } from '../../../core/commission/schema';
import type { Parting } from '../../../core/yard/split';
import { facetsOf } from '../../drawing/facets';

type Line = readonly [x1: number, y1: number, x2: number, y2: number];
/** One view of a piece with the cut through it: its box and the line, mm with y downwards. */
interface View {
  box: Line;
  line?: Line;
}

/** A piece as the yard has it, from its front and from above in one scale, and where a cut is seen edge on. */
export function partingDrawn(
  shape: Shape,
  { way, bearingDeg, share }: Parting,
  boxPx: number,
): { k: number; front: View; above: View } {
  const front = facetsOf(shape, 0, undefined, 'front').box;
  const above = facetsOf(shape, 0, undefined, 'above').box;
  const k = boxPx / Math.max(front[2] - front[0], front[3] - front[1], above[3] - above[1]);
  if (way === 'level') {
    const y = front[3] - share * (front[3] - front[1]);
    return { k, front: { box: front, line: [front[0], y, front[2], y] }, above: { box: above } };
  }
  const a = (bearingDeg * Math.PI) / 180;
  const [nx, ny] = [Math.cos(a), Math.sin(a)];
  // How far the box of the piece reaches along the way of the cut; the piece itself reaches a little less.
  const reach = (Math.abs(nx) * (above[2] - above[0]) + Math.abs(ny) * (above[3] - above[1])) / 2;
  const off = (share * 2 - 1) * reach;
  const [x, y] = [(above[0] + above[2]) / 2 + nx * off, (above[1] + above[3]) / 2 - ny * off];
  const far = reach * 1.3;
  const edgeOn = Math.abs(nx) > 0.9;
  return {
    k,
    front: { box: front, line: edgeOn ? [x, front[1], x, front[3]] : undefined },
    above: { box: above, line: [x - ny * far, y - nx * far, x + ny * far, y + nx * far] },
  };
}
