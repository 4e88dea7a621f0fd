import { materialOf, plantOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { stoneToHoldKg } from '../hardscape/buoyancy';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inKg, inKgf, inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { densityOf } from '../hardscape/mass';
import type { Survey } from './survey';
import { vesselFindings } from './vesselFindings';

/** Depth a bed-rooting plant needs when its entry does not say, mm (common practice). */
const USUAL_ROOT_DEPTH_MM = 50;
/** Kept clear behind the front pane for the cleaning blade, mm (common practice: 10 to 20). */
const FRONT_CLEAR_USUAL_MM = [10, 20] as const;
const [FRONT_CLEAR_MM] = FRONT_CLEAR_USUAL_MM;
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
    const more = inKg(moreKg, 2);
    const values = {
      piece: light?.id ?? group.pieces[0],
      lift: inKgf(group.liftKgf),
      hold: inKgf(group.holdKgf),
    };
    return [
      {
        id: 'piece.floats',
        severity: 'stop',
        at: { piece: light?.id ?? group.pieces[0], pieces: group.pieces },
        measured: rounded(group.liftKgf, 3),
        limit: rounded(group.holdKgf, 3),
        unit: 'kgf',
        says: say(group.pieces.length > 1 ? 'piece.floats.says.joined' : 'piece.floats.says.alone', values),
        because:
          group.floatsSoaked || soak === undefined
            ? say('piece.floats.because', { more })
            : say('piece.floats.because.soak', { more, days: soak }),
        source: say('source.buoyancy'),
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
        says: say('bed.shallow.says', {
          depth: inMm(thinnest.mm),
          plant: plant.name,
          where: whereabouts(commission, thinnest.xyMm),
        }),
        because: say('bed.shallow.because', { limit: inMm(limit, 1) }),
        source: plant.minBedMm === undefined ? PRACTICE : say('source.entry', { name: plant.name }),
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
        says: say('bed.steep.says', {
          material: material.name,
          slope: rounded(layer.steepestDeg, 0),
          where: whereabouts(commission, layer.steepestAt),
          limit,
        }),
        because: say('bed.steep.because'),
        source: say('source.repose', { name: material.name }),
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
        says: say(through === piece.bottomMm ? 'piece.glass.says.bottom' : 'piece.glass.says.pane', {
          piece: piece.id,
          through: inMm(-through),
        }),
        because: say('piece.glass.because'),
        source: say('source.vessel'),
      });
    else if (piece.frontGapMm < FRONT_CLEAR_MM - 1e-6)
      found.push({
        ...base,
        id: 'piece.glass',
        severity: 'warn',
        measured: rounded(piece.frontGapMm, 1),
        limit: FRONT_CLEAR_MM,
        says: say('piece.glass.near.says', { piece: piece.id, gap: inMm(piece.frontGapMm) }),
        because: say('piece.glass.near.because', { room: inMm(FRONT_CLEAR_USUAL_MM, 0, 'to') }),
        source: PRACTICE,
      });
    if (piece.topMm > tallest + 1e-6)
      found.push({
        ...base,
        id: 'piece.above',
        severity: materialOf(commission, piece.material).kind === 'wood' ? 'note' : 'warn',
        measured: rounded(piece.topMm, 1),
        limit: rounded(tallest, 1),
        says: say('piece.above.says', { piece: piece.id, top: inMm(piece.topMm) }),
        because: say('piece.above.because', { most: inMm(tallest) }),
        source: PRACTICE,
      });
    if (!piece.supported)
      found.push({
        ...base,
        id: 'piece.rests',
        severity: 'stop',
        measured: 0,
        limit: 1,
        unit: 'contacts',
        says: say('piece.rests.says', { piece: piece.id }),
        because: say('piece.rests.because'),
        source: say('source.drawing'),
      });
    if (piece.overlapL > TOUCHING_SHARE * piece.volumeL)
      found.push({
        ...base,
        id: 'piece.overlaps',
        severity: 'note',
        measured: rounded(piece.overlapL, 2),
        limit: rounded(TOUCHING_SHARE * piece.volumeL, 2),
        unit: 'L',
        says: say('piece.overlaps.says', { piece: piece.id, shared: inLitres(piece.overlapL, 2) }),
        because: say('piece.overlaps.because'),
        source: say('source.drawing'),
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
        says: say('plant.co2.says', { plant: plant.name }),
        because: say('plant.co2.because'),
        source: PRACTICE,
      } satisfies Finding,
    ];
  });
}

const ACROSS = ['left', 'middle', 'right'] as const;
const DEEP = ['front', 'half-way', 'back'] as const;

/** "front left" to "back right", in thirds. */
export function whereabouts({ vessel }: Commission, [x, y]: readonly [number, number]): Text {
  const third = (v: number, whole: number) => Math.min(2, Math.max(0, Math.floor((3 * v) / whole)));
  const across = ACROSS[third(x, vessel.innerMm.length)];
  const deep = DEEP[third(y, vessel.innerMm.width)];
  return say(`where.${deep}.${across}`);
}
