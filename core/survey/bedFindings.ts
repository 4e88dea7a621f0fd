import { materialOf, optionOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { distanceTo, edgesOf } from '../geometry/offset';
import { polygonArea, type Polygon } from '../geometry/polygon';
import { footprint } from '../vessel/footprint';
import { OFF_GLASS_MM } from '../substrate/filler';
import { facesOf } from '../substrate/faces';
import { onField } from '../substrate/onField';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import { highestMm } from '../hardscape/settle';
import type { Survey } from './survey';
import { whereabouts } from './whereabouts';

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
export function bedFindings(commission: Commission, survey: Survey): Finding[] {
  return [
    ...faceFindings(commission, survey),
    ...bareFindings(commission, survey),
    ...fillerFindings(commission, survey),
  ];
}

/** Steps in the bed with nothing in front of them. */
function faceFindings(commission: Commission, survey: Survey): Finding[] {
  const faces = onField(survey.field, 'faces', () => facesOf(survey.field, FACE_MM));
  const open = faces.filter(({ xyMm: [x, y], lowMm, heightMm }) => {
    return !survey.standing.some(({ xMm, yMm, columns, ...s }) => {
      const { lo, hi } = columns.extent;
      const near =
        x > xMm + lo[0] - BEFORE_MM && x < xMm + hi[0] + BEFORE_MM && y > yMm + lo[1] - BEFORE_MM && y < yMm + hi[1] + BEFORE_MM; // prettier-ignore
      return near && highestMm({ xMm, yMm, columns, ...s }) > lowMm + heightMm / 2;
    });
  });
  const lengthMm = open.reduce((sum, f) => sum + f.lengthMm, 0);
  if (lengthMm < OPEN_MM) return [];
  const highest = open.reduce((a, b) => (b.heightMm > a.heightMm ? b : a));
  const layer = optionOf(commission, survey.optionId).bed[highest.layer];
  return [
    {
      id: 'bed.face',
      severity: 'warn',
      at: { layer: layer.id, xyMm: highest.xyMm },
      measured: rounded(highest.heightMm, 0),
      limit: FACE_MM,
      unit: 'mm',
      says: say('bed.face.says', {
        material: materialOf(commission, layer.material).name,
        height: inMm(highest.heightMm),
        length: inMm(lengthMm),
        where: whereabouts(commission, highest.xyMm),
      }),
      because: say('bed.face.because'),
      source: PRACTICE,
    },
  ];
}

/** A layer over the whole of another that leaves a part of it bare. */
function bareFindings(commission: Commission, survey: Survey): Finding[] {
  const { layers, field } = survey;
  const { bed } = optionOf(commission, survey.optionId);
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
          cap: materialOf(commission, layer.material).name,
          under: materialOf(commission, below.material).name,
          area: { value: bareM2, unit: 'm²', places: 3 },
          where: whereabouts(commission, xyMm),
        }),
        because: say('bed.bare.because'),
        source: say('source.drawing'),
      },
    ];
  });
}

function fillerFindings(commission: Commission, survey: Survey): Finding[] {
  const { field } = survey;
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
          filler: materialOf(commission, layer.material).name,
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
