import { materialOf, plantOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { stoneToHoldKg } from '../hardscape/buoyancy';
import { rounded } from '../units/quantity';
import type { Finding } from '../units/finding';
import { densityOf } from '../hardscape/mass';
import type { Survey } from './survey';
import { vesselFindings } from './vesselFindings';

/** Depth a bed-rooting plant needs when its entry does not say, mm (common practice). */
const USUAL_ROOT_DEPTH_MM = 50;
/** Kept clear behind the front pane for the cleaning blade, mm (common practice: 10 to 20). */
const FRONT_CLEAR_MM = 10;
/** A main stone may reach this share of the tank's height (common practice). */
const TALLEST_SHARE = 0.9;
/** Shared space beyond which two pieces are said to run into each other, share of the smaller. */
const TOUCHING_SHARE = 0.03;

/** Everything the survey shows to be outside a limit. */
export function surveyFindings(commission: Commission, survey: Survey): Finding[] {
  return [
    ...vesselFindings(commission, survey),
    ...floatFindings(commission, survey),
    ...shallowFindings(commission, survey),
    ...steepFindings(commission, survey),
    ...pieceFindings(commission, survey),
    ...co2Findings(commission, survey),
  ];
}

function floatFindings(commission: Commission, { groups, pieces }: Survey): Finding[] {
  return groups.flatMap((group) => {
    if (!group.floats) return [];
    const members = pieces.filter((p) => group.pieces.includes(p.id));
    const stone = members.find((p) => materialOf(commission, p.material).kind === 'stone');
    const density = densityOf(stone && materialOf(commission, stone.material));
    const shortKgf = group.liftKgf - group.holdKgf;
    const moreKg = rounded(stoneToHoldKg(shortKgf, density), 2);
    const light = members.find((p) => {
      const m = materialOf(commission, p.material);
      return p.massKg / p.volumeL < 1 || m.kind === 'wood';
    });
    const soak = light && materialOf(commission, light.material).soakDays;
    const soaking =
      group.floatsSoaked || soak === undefined ? '' : `, or soak it ${soak} days first: then it stays down`;
    const tied =
      group.pieces.length > 1 ? 'what is joined to it holds' : 'nothing is joined to it, which holds';
    return [
      {
        id: 'piece.floats',
        severity: 'stop',
        at: { piece: light?.id ?? group.pieces[0], pieces: group.pieces },
        measured: rounded(group.liftKgf, 3),
        limit: rounded(group.holdKgf, 3),
        unit: 'kgf',
        says: `${light?.id ?? group.pieces[0]} will float: it lifts ${rounded(group.liftKgf, 2)} kgf dry, ${tied} ${rounded(group.holdKgf, 2)}.`,
        because: `It needs ${moreKg} kg more stone joined to it${soaking}.`,
        source: 'buoyancy in fresh water',
      } satisfies Finding,
    ];
  });
}

function shallowFindings(commission: Commission, { plantings }: Survey): Finding[] {
  return plantings.flatMap((planting) => {
    const plant = plantOf(commission, planting.plant);
    const limit = plant.minBedMm ?? USUAL_ROOT_DEPTH_MM;
    const { thinnest } = planting;
    if (plant.roots !== 'bed' || !thinnest || thinnest.mm >= limit - 1e-6) return [];
    return [
      {
        id: 'bed.shallow',
        severity: 'warn',
        at: { plant: planting.id, xyMm: thinnest.xyMm },
        measured: rounded(thinnest.mm, 1),
        limit,
        unit: 'mm',
        says: `${rounded(thinnest.mm, 0)} mm of soil under ${plant.name}, ${whereabouts(commission, thinnest.xyMm)}.`,
        because: `It roots in the bed and needs ${limit} mm. Raise the bed there or move the planting.`,
        source: plant.minBedMm === undefined ? 'common practice' : `the entry of ${plant.name}`,
      } satisfies Finding,
    ];
  });
}

function steepFindings(commission: Commission, { layers }: Survey): Finding[] {
  return layers.flatMap((layer) => {
    const material = materialOf(commission, layer.material);
    const limit = material.reposeDeg;
    if (limit === undefined || layer.steepestDeg <= limit + 1e-6) return [];
    return [
      {
        id: 'bed.steep',
        severity: 'warn',
        at: { layer: layer.id, xyMm: layer.steepestAt },
        measured: rounded(layer.steepestDeg, 1),
        limit,
        unit: '°',
        says: `${material.name} rises at ${rounded(layer.steepestDeg, 0)}°, ${whereabouts(commission, layer.steepestAt)}; it holds ${limit}°.`,
        because:
          'Above its angle of repose a bed slides within weeks. Flatten it, or hold the step with stones and floss.',
        source: `angle of repose of ${material.name}`,
      } satisfies Finding,
    ];
  });
}

function pieceFindings(commission: Commission, { pieces }: Survey): Finding[] {
  const { height } = commission.vessel.innerMm;
  const tallest = TALLEST_SHARE * height;
  return pieces.flatMap((piece) => {
    const found: Finding[] = [];
    const base = { at: { piece: piece.id }, unit: 'mm' };
    const through = Math.min(piece.sideGapMm, piece.bottomMm, piece.frontGapMm);
    if (through < -1e-6)
      found.push({
        ...base,
        id: 'piece.glass',
        severity: 'stop',
        measured: rounded(through, 1),
        limit: 0,
        says: `${piece.id} goes ${rounded(-through, 0)} mm through the ${through === piece.bottomMm ? 'bottom' : 'glass'}.`,
        because: 'It cannot stand there: move it, turn it, or bury it less.',
        source: 'the vessel',
      });
    else if (piece.frontGapMm < FRONT_CLEAR_MM - 1e-6)
      found.push({
        ...base,
        id: 'piece.glass',
        severity: 'warn',
        measured: rounded(piece.frontGapMm, 1),
        limit: FRONT_CLEAR_MM,
        says: `${piece.id} leaves ${rounded(piece.frontGapMm, 0)} mm to the front pane.`,
        because: `The cleaning blade needs ${FRONT_CLEAR_MM} to 20 mm, and stone on glass cracks it.`,
        source: 'common practice',
      });
    if (piece.topMm > tallest + 1e-6)
      found.push({
        ...base,
        id: 'piece.above',
        severity: materialOf(commission, piece.material).kind === 'wood' ? 'note' : 'warn',
        measured: rounded(piece.topMm, 1),
        limit: rounded(tallest, 1),
        says: `${piece.id} reaches ${rounded(piece.topMm, 0)} mm, above nine tenths of the height.`,
        because: `${rounded(tallest, 0)} mm is the usual most; above it the tank looks too small for its stone.`,
        source: 'common practice',
      });
    if (!piece.supported)
      found.push({
        ...base,
        id: 'piece.rests',
        severity: 'stop',
        measured: 0,
        limit: 1,
        unit: 'contacts',
        says: `${piece.id} does not lie above the piece it is said to rest on.`,
        because: 'It has been set on the bed instead. Move it over its support, or stand it on the bed.',
        source: 'the drawing',
      });
    if (piece.overlapL > TOUCHING_SHARE * piece.volumeL)
      found.push({
        ...base,
        id: 'piece.overlaps',
        severity: 'note',
        measured: rounded(piece.overlapL, 2),
        limit: rounded(TOUCHING_SHARE * piece.volumeL, 2),
        unit: 'L',
        says: `${piece.id} shares ${rounded(piece.overlapL, 2)} L with a piece before it.`,
        because: 'Two stones cannot fill the same space: draw them apart. Volumes count it once.',
        source: 'the drawing',
      });
    return found;
  });
}

function co2Findings(commission: Commission, { plantings }: Survey): Finding[] {
  if (commission.brief.co2) return [];
  return plantings.flatMap((planting) => {
    const plant = plantOf(commission, planting.plant);
    if (!plant.needsCo2) return [];
    return [
      {
        id: 'plant.co2',
        severity: 'warn',
        at: { plant: planting.id },
        measured: 0,
        limit: 1,
        unit: 'CO2 sets',
        says: `${plant.name} does poorly without injected CO2.`,
        because: 'The brief has none. Choose another plant or ask about a CO2 set.',
        source: 'common practice',
      } satisfies Finding,
    ];
  });
}

/** "front left" to "back right", in thirds. */
export function whereabouts({ vessel }: Commission, [x, y]: readonly [number, number]): string {
  const third = (v: number, whole: number) => Math.min(2, Math.max(0, Math.floor((3 * v) / whole)));
  const across = ['left', 'middle', 'right'][third(x, vessel.innerMm.length)];
  const deep = ['front', 'half-way back', 'back'][third(y, vessel.innerMm.width)];
  return `${deep} ${across}`;
}
