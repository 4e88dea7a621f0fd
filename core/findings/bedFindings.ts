import { OVER_BAGS_MM } from '../commission/limits';
import { materialOf } from '../commission/lookup';
import { layerOf, type Resolved } from '../resolved/resolved';
import { distanceTo, edgesOf } from '../geometry/offset';
import { polygonArea, type Polygon } from '../geometry/polygon';
import { footprint } from '../vessel/footprint';
import { OFF_GLASS_MM } from '../substrate/filler';
import { floorShare } from '../substrate/bedField';
import { ABSENT_MM, facesOf } from '../substrate/faces';
import { onField } from '../substrate/onField';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Standing } from '../hardscape/settle';
import type { Survey } from '../survey/survey';
import { whereabouts } from '../survey/whereabouts';

/** A face lower than this stands by itself for a while, mm (common practice). */
const FACE_MM = 25;
/** Less of an open edge than this is a gap between two stones, mm. */
const OPEN_MM = 60;
/** What stands within this of a face holds it, mm; floss closes the gap (common practice). */
const BEFORE_MM = 30;
/** A cap that covers this much of what lies under it is meant to cover all of it. */
const CAP_SHARE = 0.85;
/** A bare spot smaller than this nobody sees, m². */
const BARE_M2 = 0.002;

/** What the bed does not hold, does not cover, or shows through the glass. */
export function bedFindings(commission: Resolved, survey: Survey): Finding[] {
  return [
    ...faceFindings(commission, survey),
    ...bareFindings(commission, survey),
    ...fillerFindings(commission, survey),
    ...bagFindings(commission, survey),
  ];
}

/** Steps in the bed with nothing in front of them. */
function faceFindings(commission: Resolved, survey: Survey): Finding[] {
  const faces = onField(survey.field, 'faces', () => facesOf(survey.field, FACE_MM));
  const open = faces.filter(({ xyMm: [x, y], lowMm, heightMm }) => {
    return !survey.standing.some((s) => dams(s, x, y, lowMm, lowMm + heightMm / 2));
  });
  const lengthMm = open.reduce((sum, f) => sum + f.lengthMm, 0);
  if (lengthMm < OPEN_MM) return [];
  const highest = open.reduce((a, b) => (b.heightMm > a.heightMm ? b : a));
  const layer = commission.option.bed[highest.layer];
  return [
    {
      id: 'bed.face',
      severity: 'warn',
      at: { layer: layer.id, xyMm: highest.xyMm },
      measured: rounded(highest.heightMm, 0),
      limit: FACE_MM,
      unit: 'mm',
      says: say('bed.face.says', {
        material: layerOf(commission, layer.id).name,
        height: inMm(highest.heightMm),
        length: inMm(lengthMm),
        where: whereabouts(commission, highest.xyMm),
      }),
      because: say('bed.face.because'),
      source: PRACTICE,
    },
  ];
}

/** How high above the lower side a piece may begin and still be a dam, mm: what hangs over a step lets it run out below. */
const HANGS_MM = 10;

/** True for a piece that stands beside a spot with no hole under it, up to a height. */
function dams({ columns: c, xMm, yMm, zMm }: Standing, x: number, y: number, lowMm: number, upToMm: number): boolean {
  const from = (v: number, first: number, step: number) => Math.max(0, Math.ceil((v - BEFORE_MM - first) / step));
  const to = (v: number, first: number, step: number, most: number) =>
    Math.min(most - 1, Math.floor((v + BEFORE_MM - first) / step));
  for (let row = from(y - yMm, c.y0, c.dyMm); row <= to(y - yMm, c.y0, c.dyMm, c.rows); row++)
    for (let column = from(x - xMm, c.x0, c.dxMm); column <= to(x - xMm, c.x0, c.dxMm, c.columns); column++) {
      const at = row * c.columns + column;
      const [first, end] = [c.first[at], c.first[at + 1]];
      if (end > first && c.lo[first] + zMm <= lowMm + HANGS_MM && c.hi[first] + zMm >= upToMm) return true;
    }
  return false;
} // prettier-ignore

/** Bags of filler that too little grain lies over: the mesh is seen through it. */
function bagFindings(commission: Resolved, { field }: Survey): Finding[] {
  const { bed } = commission.option;
  return bed.flatMap((layer, i): Finding[] => {
    if (!layerOf(commission, layer.id).isBagged) return [];
    let [least, at, cells] = [OVER_BAGS_MM, -1, 0];
    for (let cell = 0; cell < field.surfaceMm.length; cell++) {
      if (field.thicknessMm[i][cell] <= ABSENT_MM || floorShare(field, cell) < 0.5) continue;
      let over = 0;
      for (let k = i + 1; k < bed.length; k++) over += field.thicknessMm[k][cell];
      if (over >= OVER_BAGS_MM - 0.5) continue;
      cells++;
      if (over < least) [least, at] = [over, cell];
    }
    if (cells * field.dxMm * field.dyMm < BARE_M2 * 1e6) return [];
    const xyMm: [number, number] = [((at % field.columns) + 0.5) * field.dxMm, (Math.floor(at / field.columns) + 0.5) * field.dyMm]; // prettier-ignore
    return [
      {
        id: 'bed.bags',
        severity: 'warn',
        at: { layer: layer.id, xyMm },
        measured: rounded(least, 0),
        limit: OVER_BAGS_MM,
        unit: 'mm',
        says: say('bed.bags.says', { cover: inMm(least), filler: layerOf(commission, layer.id).name, where: whereabouts(commission, xyMm) }), // prettier-ignore
        because: say('bed.bags.because', { limit: inMm(OVER_BAGS_MM) }),
        source: PRACTICE,
      },
    ];
  });
}

/** A layer over the whole of another that leaves a part of it bare. */
function bareFindings(commission: Resolved, survey: Survey): Finding[] {
  const { layers, field } = survey;
  const { bed } = commission.option;
  return layers.slice(1).flatMap((layer, k): Finding[] => {
    const below = layers[k];
    const bareM2 = below.areaM2 - layer.areaM2;
    // A region is drawn to leave something bare.
    if (bed[k + 1].region || below.areaM2 === 0 || layer.areaM2 < CAP_SHARE * below.areaM2 || bareM2 < BARE_M2) return []; // prettier-ignore
    const spot = field.thicknessMm[k + 1].findIndex((mm, cell) => mm <= 0.5 && field.thicknessMm[k][cell] > 0.5); // prettier-ignore
    const xyMm: [number, number] = [((spot % field.columns) + 0.5) * field.dxMm, (Math.floor(spot / field.columns) + 0.5) * field.dyMm]; // prettier-ignore
    return [
      {
        id: 'bed.bare',
        severity: 'warn',
        at: { layer: layer.id, ...(spot >= 0 ? { xyMm } : {}) },
        measured: rounded(bareM2, 3),
        limit: 0,
        unit: 'm²',
        says: say('bed.bare.says', {
          cap: layerOf(commission, bed[k + 1].id).name,
          under: layerOf(commission, bed[k].id).name,
          area: { value: bareM2, unit: 'm²', places: 3 },
          where: whereabouts(commission, xyMm),
        }),
        because: say('bed.bare.because'),
        source: say('source.drawing'),
      },
    ];
  });
}

function fillerFindings(commission: Resolved, survey: Survey): Finding[] {
  const { field } = survey;
  const { bed } = commission.option;
  const floor = footprint(commission.vessel);
  if (polygonArea(floor) <= 0) return [];
  return survey.layers.flatMap((layer, i): Finding[] => {
    if (materialOf(commission, layer.material).kind !== 'filler') return [];
    const found = onField(field, `glass ${i}`, () => [nearestToGlass(field.thicknessMm[i], field, floor)]);
    const least = found[0];
    if (!least || least.mm >= OFF_GLASS_MM - field.cellMm / 2) return [];
    return [
      {
        id: 'bed.filler',
        severity: 'warn',
        at: { layer: layer.id, xyMm: least.xyMm },
        measured: rounded(least.mm, 0),
        limit: OFF_GLASS_MM,
        unit: 'mm',
        says: say('bed.filler.says', {
          filler: layerOf(commission, bed[i].id).name,
          where: whereabouts(commission, least.xyMm),
        }),
        because: say('bed.filler.because', { off: inMm(OFF_GLASS_MM) }),
        source: PRACTICE,
      },
    ];
  });
}

/** Distance of the filled cell nearest to a pane, from its outer edge, mm. */
function nearestToGlass(
  mm: ArrayLike<number>,
  { columns, rows, dxMm, dyMm }: Survey['field'],
  floor: Polygon,
): { mm: number; xyMm: [number, number] } | undefined {
  const edges = edgesOf(floor);
  let best: { mm: number; xyMm: [number, number] } | undefined;
  for (let cell = 0; cell < columns * rows; cell++) {
    if (mm[cell] <= 1) continue;
    const xyMm: [number, number] = [
      ((cell % columns) + 0.5) * dxMm,
      (Math.floor(cell / columns) + 0.5) * dyMm,
    ];
    const far = Math.min(...edges.map((edge) => distanceTo(xyMm, edge))) - Math.max(dxMm, dyMm) / 2;
    if (!best || far < best.mm) best = { mm: Math.max(0, far), xyMm };
  }
  return best;
}
