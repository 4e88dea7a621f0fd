import { CLEAR_FRONT_MM, USUAL_ROOT_DEPTH_MM } from '../commission/limits';
import { materialOf, materialOfKind } from '../commission/lookup';
import type { Material } from '../commission/schema';
import { layerOf, plantingOf, type Resolved } from '../resolved/resolved';
import { stoneToHoldKg } from '../hardscape/buoyancy';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { mayOverlap } from '../hardscape/neighbours';
import { pairShareMm3 } from '../hardscape/pairShare';
import { JOINABLE_MM } from '../hardscape/contact';
import { inKg, inKgf, inLitres, inMm, type Measure } from '../words/measure';
import { PRACTICE, say, type Said, type Text } from '../words/text';
import { densityOf } from '../hardscape/mass';
import { fixedStanding } from '../survey/fixed';
import { bedFindings } from './bedFindings';
import { canyonFindings } from './canyonFindings';
import { freeFindings } from './freeFindings';
import type { GroupSurvey } from '../survey/groups';
import { jointFindings } from './jointFindings';
import type { PieceSurvey } from '../survey/pieces';
import { pocketFindings } from './pocketFindings';
import { standFindings } from './standFindings';
import { nowFindings } from './nowFindings';
import { shortFindings } from './shortFindings';
import { sharedFindings } from './sharedFindings';
import type { Survey } from '../survey/survey';
import { whereabouts } from '../survey/whereabouts';
import { vesselFindings } from './vesselFindings';

/** Shared space beyond which two pieces are said to run into each other, share of the smaller. */
const TOUCHING_SHARE = 0.03;
/** So many of those that it runs into are named. */
const MOST_NAMED = 4;
/** Stone lighter than this is porous and no weight to hold anything with, kg/L (common practice). */
const SINKS_KG_PER_L = 2;

/** Everything the survey shows to be outside a limit. */
export function surveyFindings(commission: Resolved, survey: Survey): Finding[] {
  return [
    ...vesselFindings(commission, survey),
    ...floatFindings(commission, survey),
    ...shallowFindings(commission, survey),
    ...steepFindings(commission, survey),
    ...pieceFindings(commission, survey),
    ...standFindings(commission, survey),
    ...pocketFindings(commission, survey),
    ...jointFindings(commission, survey),
    ...bedFindings(commission, survey),
    ...canyonFindings(commission, survey),
    ...freeFindings(commission, survey),
    ...sharedFindings(commission),
    ...co2Findings(commission, survey),
    ...shortFindings(commission, survey),
    ...nowFindings(commission, survey),
  ];
}

function floatFindings(commission: Resolved, { groups, pieces }: Survey): Finding[] {
  return groups.flatMap((group) => {
    if (!group.floats) return [];
    const members = pieces.filter((p) => group.pieces.includes(p.id));
    const density = holdingDensity(commission, members);
    const shortKgf = group.liftKgf - group.holdKgf;
    const moreKg = rounded(stoneToHoldKg(shortKgf, density), 2);
    if (moreKg <= 0) return [];
    const light = members.find((p) => {
      const m = materialOf(commission, p.material);
      return p.massKg / p.volumeL < 1 || m.kind === 'wood';
    });
    const soak = light && materialOf(commission, light.material).soakDays;
    const more = { more: inKg(moreKg, 2), density: rounded(density, 2) };
    const values = { piece: light?.id ?? group.pieces[0], lift: inKgf(group.liftKgf) };
    const held = rounded(group.holdKgf, 2) > 0;
    return [
      {
        id: 'piece.floats',
        severity: 'stop',
        at: { piece: light?.id ?? group.pieces[0], pieces: group.pieces },
        measured: rounded(group.liftKgf, 3),
        limit: rounded(group.holdKgf, 3),
        unit: 'kgf',
        says: held
          ? say('piece.floats.says.joined', { ...values, hold: inKgf(group.holdKgf) })
          : say('piece.floats.says.alone', values),
        because: floatWords(group, light, soak, more),
        source: say('source.buoyancy'),
      } satisfies Finding,
    ];
  });
}

function floatWords(
  group: GroupSurvey,
  light: PieceSurvey | undefined,
  days: number | undefined,
  more: { more: Measure; density: number },
): Text {
  if (!group.floatsSoaked && days) return say('piece.floats.because.soak', { ...more, days });
  // Porous stone drinks, too: how long is not known, so that it is tried in a bucket.
  if (light && days === undefined) return say('piece.floats.because.try', more);
  return say('piece.floats.because', more);
}

/** Density of the stone that would hold a float down: that which is joined to it or on the list, never what floats. */
function holdingDensity(commission: Resolved, members: readonly PieceSurvey[]): number {
  const dense = (m: Material) => densityOf(m) >= SINKS_KG_PER_L;
  const own = (m: Material) => dense(m) && members.some((p) => p.material === m.id);
  return densityOf(materialOfKind(commission, 'stone', own) ?? materialOfKind(commission, 'stone', dense));
}

function shallowFindings(commission: Resolved, survey: Survey): Finding[] {
  return survey.plantings.flatMap((planting) => {
    const { plant } = plantingOf(commission, planting.id);
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
          grain: grainOf(commission, planting.over),
          plant: plant.name,
          where: whereabouts(commission, thinnest.xyMm),
        }),
        because: say('bed.shallow.because', { limit: inMm(limit, 1) }),
        source: plant.minBedMm === undefined ? PRACTICE : say('source.entry', { name: plant.name }),
      } satisfies Finding,
    ];
  });
}

/** What a planting roots in, in a word: soil, or the bed by its name where it is none. */
function grainOf(commission: Resolved, over: readonly string[]): Said | Said[] {
  const layers = [...commission.layers].filter(([id]) => over.includes(id)).map(([, layer]) => layer);
  const isSoil = layers.some((l) => l.material.kind === 'soil');
  return isSoil || layers.length === 0 ? say('grain.soil') : layers.map((l) => l.name);
}

function steepFindings(commission: Resolved, { layers }: Survey): Finding[] {
  return layers.flatMap((layer) => {
    const { material, reposeDeg: limit, isBagged } = layerOf(commission, layer.id);
    // Bags stay where they are put.
    if (isBagged) return [];
    // What cannot be told apart as it is written is the same slope.
    if (rounded(layer.steepestDeg, 1) <= rounded(limit, 1)) return [];
    const places = rounded(layer.steepestDeg, 0) > rounded(limit, 0) ? 0 : 1;
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
          slope: rounded(layer.steepestDeg, places),
          where: whereabouts(commission, layer.steepestAt),
          limit: rounded(limit, places),
        }),
        because: say('bed.steep.because'),
        source: material.reposeDeg === undefined ? PRACTICE : say('source.repose', { name: material.name }),
      } satisfies Finding,
    ];
  });
}

function pieceFindings(commission: Resolved, survey: Survey): Finding[] {
  const { pieces } = survey;
  const { lid, waterLineMm } = commission.vessel;
  const { height } = commission.vessel.innerMm;
  const { tallestMm: tallest, clearFrontMm } = commission.limits;
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
          through: inMm(-through, through > -1 ? 1 : 0),
        }),
        because: say('piece.glass.because'),
        source: say('source.vessel'),
      });
    else if (piece.frontGapMm < clearFrontMm - 1e-6)
      found.push({
        ...base,
        id: 'piece.glass',
        severity: 'warn',
        measured: rounded(piece.frontGapMm, 1),
        limit: clearFrontMm,
        says: say('piece.glass.near.says', { piece: piece.id, gap: inMm(piece.frontGapMm) }),
        because: say('piece.glass.near.because', {
          room: inMm([clearFrontMm, CLEAR_FRONT_MM.most], 0, 'to'),
        }),
        source: PRACTICE,
      });
    // Wood out of the water is meant to be: it is no stone that makes the tank look small.
    const isOut = piece.topMm > waterLineMm && materialOf(commission, piece.material).kind === 'wood';
    if (isOut && lid && piece.topMm > height)
      found.push({
        ...base,
        id: 'piece.lid',
        severity: 'stop',
        measured: rounded(piece.topMm, 1),
        limit: height,
        says: say('piece.lid.says', { piece: piece.id, out: inMm(rounded(piece.topMm - height, 0)) }),
        because: say('piece.lid.because'),
        source: say('source.vessel'),
      });
    if (piece.topMm > tallest + 1e-6 && !isOut)
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
    if (piece.inAir)
      found.push({
        ...base,
        id: 'piece.air',
        severity: 'stop',
        measured: rounded(piece.bottomMm, 0),
        limit: 0,
        says: say('piece.air.says', { piece: piece.id, height: inMm(piece.bottomMm) }),
        because: say('piece.air.because', { reach: inMm(JOINABLE_MM) }),
        source: say('source.drawing'),
      });
    if (piece.overlapL > TOUCHING_SHARE * piece.volumeL && rounded(piece.overlapL, 2) > 0)
      found.push({
        ...base,
        id: 'piece.overlaps',
        severity: 'note',
        measured: rounded(piece.overlapL, 2),
        limit: rounded(TOUCHING_SHARE * piece.volumeL, 2),
        unit: 'L',
        says: overlapWords(piece, sharing(commission, survey, piece.id)),
        because: say('piece.overlaps.because'),
        source: say('source.drawing'),
      });
    return found;
  });
}

/** Of many others those that it runs into most are named. */
function overlapWords({ id, overlapL }: PieceSurvey, others: readonly string[]): Text {
  const values = { piece: id, shared: inLitres(overlapL, 2), others: others.slice(0, MOST_NAMED) };
  const more = others.length - MOST_NAMED;
  return more > 0 ? say('piece.overlaps.says.many', { ...values, more }) : say('piece.overlaps.says', values);
}

/** The pieces before one, and fixed things, that it runs into by more than they touch. */
function sharing({ vessel }: Resolved, { standing }: Survey, id: string): string[] {
  const all = [...fixedStanding(vessel), ...standing];
  const own = all.findIndex((s) => s.piece.id === id);
  const least = (TOUCHING_SHARE / 2) * all[own].columns.volumeMm3;
  const into = all
    .slice(0, own)
    .filter((o) => mayOverlap(o, all[own]))
    .map((o) => ({ id: o.piece.id, mm3: pairShareMm3(all[own], o, vessel.innerMm.height) }))
    .sort((a, b) => b.mm3 - a.mm3);
  // Of many that it runs into a little each, at least the one that it runs into most.
  return into.filter((o, i) => i === 0 || o.mm3 > least).map((o) => o.id);
}

function co2Findings(commission: Resolved, { plantings }: Survey): Finding[] {
  if (commission.brief.co2) return [];
  return plantings.flatMap((planting) => {
    const { plant } = plantingOf(commission, planting.id);
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
