import { filledCatalogue, plantOf } from '../catalogue/entries';
import { CLEAR_FRONT_MM, TALLEST_SHARE } from '../commission/limits';
import { materialOf, optionOf } from '../commission/lookup';
import { isMoved, layerName, layerOrigin, liesInBags, pieceOrigin, pieceState, plantingOrigin } from '../commission/origin'; // prettier-ignore
import type {
  Commission,
  Layer,
  Material,
  Option,
  Origin,
  Piece,
  Plant,
  Planting,
  Strewn,
} from '../commission/schema';
import { comesGrown, roomOf } from '../commission/usual';
import {
  beforeOf,
  liftedFirst,
  optionAfter,
  rescapeAfter,
  setAgain,
  type Before,
} from '../difference/projected';
import { gearOf, leavingGear, type Gear } from '../gear/gear';
import { speciesIn } from '../livestock/known';
import type { Species } from '../livestock/species';
import { packsOf } from '../planting/packs';
import { reposeOf } from '../substrate/repose';
import { layerRoles, type Role } from '../survey/layerRoles';
import { layerParts, litresOf, type LayerPart } from '../survey/poured';
import { soakingOf } from '../survey/soaking';
import { stateOnBuildDay } from '../survey/stateOnBuildDay';
import type { StrewnAmount } from '../survey/strewn';
import type { Survey } from '../survey/survey';
import { sittingOf, taskOfPiece, taskOfPlant, taskOfStrewn } from '../sittings/homes';
import { layerTasks } from '../sittings/layerTasks';
import { BUILD } from '../sittings/sittings';
import type { Said } from '../words/text';

/*
 * A commission as everything after the survey reads it: one option of it, and each of its things with what it is, where it
 * comes from, how it is and what is at hand of it. Made once, by `resolve`; take-off, order, planting, build day, care, visit
 * and findings are given this and no document, so that none of them knows less of a thing than another.
 */

/** When a thing is set, poured or planted. */
export interface Timed {
  /** The sitting in which it is. */
  sitting: string;
  /** Days after the build day on which that is; before it negative, 0 on the day. */
  onDay: number;
}

/** A stone or a piece of wood. */
export interface ResolvedPiece extends Timed {
  piece: Piece;
  material: Material;
  origin: Origin;
  state: NonNullable<Piece['state']>;
  /** How wet it is when it is set: what soaks since a day may have sunk by then. */
  stateOnDay: NonNullable<Piece['state']>;
  /** In the tank now, and to stand elsewhere in it. */
  isMoved: boolean;
  /** Set again after the bed in which it stands has gone: it is lifted first, and set with what is new. */
  isLifted: boolean;
  /** Days that it soaks before the build; 0 where it sinks, or is held down, as it is. */
  soakDays: number;
}

/** True for a piece that is in the tank and neither lifted nor brought: at most it is moved. What joins such pieces holds. */
export function isLeftStanding({ origin, isLifted }: ResolvedPiece): boolean {
  return origin === 'here' && !isLifted;
}

/** A layer of the bed. */
export interface ResolvedLayer extends Timed {
  layer: Layer;
  material: Material;
  origin: Origin;
  /** What it is called: of a mixture all that is in it. */
  name: Said;
  role: Role;
  /** Filler in mesh bags, which do not slide. */
  isBagged: boolean;
  /** The task that pours it; none where nothing of it is poured. */
  task?: string;
  /** Days after the build on which it comes in; 0 on the day. By itself, or as the school lays sand that is only looked at. */
  laterDays: number;
  /** What it is poured of, and litres of all of it: as poured, what of it is there already, and what is brought. */
  parts: LayerPart[];
  pouredL: number;
  atHandL: number;
  broughtL: number;
  /** Slope at which its grain holds, degrees. */
  reposeDeg: number;
}

/** A planting. */
export interface ResolvedPlanting extends Timed {
  planting: Planting;
  plant: Plant;
  origin: Origin;
  /** Days after the build on which it is set; 0 on the day. */
  laterDays: number;
  /** Plugs that are at hand without being bought. */
  atHand: number;
  /** Those of them that are lifted out of this tank and set again: they stand on no shelf. */
  lifted: number;
}

/** What is strewn by hand. */
export interface ResolvedStrewn extends Timed {
  strewn: Strewn;
  material: Material;
  origin: Origin;
  /** How much it is. */
  amount: StrewnAmount;
}

/** What holds here, by the vessel and the room. */
export interface Limits {
  /** Kept clear behind the front pane, mm. */
  clearFrontMm: number;
  /** A main stone may reach so high, mm. */
  tallestMm: number;
  /** Coldest and warmest of the room, °C. */
  roomC: readonly [number, number];
}

/** A commission, resolved for one of its options. Its catalogue has every plant filled in from what is known. */
export interface Resolved extends Commission {
  readonly option: Option;
  /** The tank as it was before the work, and what becomes of it, where somebody drew it. */
  readonly before?: Before;
  /** Every device on the list that stays or comes, with its kind and figures; and those that are taken out. */
  readonly gear: readonly Gear[];
  readonly leavingGear: readonly Gear[];
  /** The animals of the brief by the id of their species; what neither the document nor the list has is left out. */
  readonly animals: ReadonlyMap<string, Species>;
  readonly pieces: ReadonlyMap<string, ResolvedPiece>;
  readonly layers: ReadonlyMap<string, ResolvedLayer>;
  readonly plantings: ReadonlyMap<string, ResolvedPlanting>;
  readonly strewn: readonly ResolvedStrewn[];
  readonly limits: Limits;
}

/**
 * Resolves the option that was surveyed. Pure: the document stays as it is.
 * Valid for the survey of the same document. Leaves out: figures that somebody has to measure or ask for.
 * Test: resolved.test.ts, "has each piece with its material, where it comes from and how it is on the day".
 */
export function resolve(commission: Commission, survey: Survey): Resolved {
  const catalogue = filledCatalogue(commission.catalogue);
  const drawn: Commission = { ...commission, catalogue };
  const asked = optionOf(drawn, survey.optionId);
  const before = beforeOf(drawn, asked, survey);
  const option = before ? optionAfter(asked, before) : asked;
  const filled = before ? { ...drawn, brief: { ...drawn.brief, rescape: rescapeAfter(drawn.brief, before) } } : drawn; // prettier-ignore
  const soaking = soakingOf(filled, survey);
  const again = before && { set: setAgain(before), lifted: liftedFirst(before) };
  const roles = layerRoles(filled, survey);
  const counted = new Map(survey.plantings.map((p) => [p.id, p.plugs]));
  const layers = option.bed.map((layer, i) => layerIn(filled, layer, roles[i], survey.layers[i].volumeL));
  const pouredBy = layerTasks(layers.map((l) => ({ id: l.layer.id, role: l.role, kind: l.material.kind, broughtL: l.broughtL }))); // prettier-ignore
  return {
    ...filled,
    option,
    ...(before ? { before } : {}),
    gear: gearOf(filled),
    leavingGear: leavingGear(filled),
    animals: animalsIn(filled),
    pieces: byId(option.pieces, (piece) => pieceIn(filled, piece, soaking.get(piece.id) ?? 0, again)),
    layers: byId(option.bed, (layer, i) => ({
      ...layers[i],
      ...layerTime(filled, layers[i], pouredBy.get(layer.id)),
    })),
    plantings: byId(option.plants, (p, i) =>
      plantingIn(filled, option, p, counted.get(p.id) ?? 0, asked.plants[i].now !== undefined),
    ),
    strewn: (option.strewn ?? []).map((strewn, i) => strewnIn(filled, strewn, survey.strewn[i])),
    limits: {
      clearFrontMm: CLEAR_FRONT_MM.least,
      tallestMm: TALLEST_SHARE * commission.vessel.innerMm.height,
      roomC: roomOf(commission),
    },
  };
}

/** A piece of the option. Throws a RangeError where it has none of that id, as the other two do. */
export function pieceOf({ pieces }: Pick<Resolved, 'pieces'>, id: string): ResolvedPiece {
  return found(pieces, id, 'piece');
}

export function layerOf({ layers }: Pick<Resolved, 'layers'>, id: string): ResolvedLayer {
  return found(layers, id, 'layer');
}

export function plantingOf({ plantings }: Pick<Resolved, 'plantings'>, id: string): ResolvedPlanting {
  return found(plantings, id, 'planting');
}

function found<R>(all: ReadonlyMap<string, R>, id: string, what: string): R {
  const there = all.get(id);
  if (!there) throw new RangeError(`${what} "${id}" is not in the option that was resolved`);
  return there;
}

function byId<T extends { id: string }, R>(
  list: readonly T[],
  of: (entry: T, i: number) => R,
): Map<string, R> {
  return new Map(list.map((entry, i) => [entry.id, of(entry, i)]));
}

function animalsIn(commission: Commission): Map<string, Species> {
  const ids = new Set((commission.brief.livestock ?? []).map((s) => s.species));
  return new Map([...ids].flatMap((id): [string, Species][] => {
    const known = speciesIn(commission, id);
    return known ? [[id, known]] : [];
  })); // prettier-ignore
}

function pieceIn(commission: Commission, piece: Piece, soakDays: number, again?: Record<'set' | 'lifted', ReadonlySet<string>>): ResolvedPiece {
  const origin = pieceOrigin(commission, piece);
  return {
    piece,
    material: materialOf(commission, piece.material),
    origin,
    state: pieceState(piece, origin),
    stateOnDay: stateOnBuildDay(commission, piece),
    isMoved: piece.now === undefined ? origin === 'here' && isMoved(piece) : again!.set.has(piece.now),
    isLifted: piece.now !== undefined && again!.lifted.has(piece.now),
    soakDays,
    ...(origin === 'here' && !(piece.now !== undefined && again!.lifted.has(piece.now))
      ? ON_THE_DAY
      : timed(commission, piece.sitting, taskOfPiece(piece, materialOf(commission, piece.material).kind))),
  };
} // prettier-ignore

/** What is there already is in no sitting but the last: nothing is done with it before. */
const ON_THE_DAY: Timed = { sitting: BUILD, onDay: 0 };

function timed(commission: Commission, named: string | undefined, key: string, isLookedAt = false): Timed {
  const { id, aheadDays } = sittingOf(commission, named, key, isLookedAt);
  return { sitting: id, onDay: -aheadDays || 0 };
}

/** When a layer is poured: in its sitting, or so many days after the build as the document or the school has it. */
function layerTime(
  commission: Commission,
  { layer, role, laterDays }: Pick<ResolvedLayer, 'layer' | 'role' | 'laterDays'>,
  task: string | undefined,
): Timed & Pick<ResolvedLayer, 'laterDays' | 'task'> {
  if (task === undefined) return { ...ON_THE_DAY, laterDays };
  if (layer.sitting === undefined && laterDays > 0)
    return { task, sitting: BUILD, onDay: laterDays, laterDays };
  const time = timed(commission, layer.sitting, task, role === 'cosmetic');
  return { task, ...time, laterDays: Math.max(0, time.onDay) };
}

function strewnIn(commission: Commission, strewn: Strewn, amount: StrewnAmount): ResolvedStrewn {
  const material = materialOf(commission, strewn.material);
  const origin = strewn.origin ?? 'bought';
  const time = origin === 'here' ? ON_THE_DAY : timed(commission, strewn.sitting, taskOfStrewn(material));
  return { strewn, material, origin, amount, ...time };
}

/** Days after which a sand that a studio lays later goes in, at half fill (common practice: one week to several). */
const SAND_LATER_DAYS = 21;

function layerIn(commission: Commission, layer: Layer, role: Role, volumeL: number): Omit<ResolvedLayer, keyof Timed> {
  const material = materialOf(commission, layer.material);
  const bySchool = commission.brief.schools?.sand === 'later' && role === 'cosmetic' && material.kind === 'sand';
  const parts = layerParts(commission, layer, volumeL);
  const [pouredL, broughtL] = [litresOf(parts, 'pouredL'), litresOf(parts, 'broughtL')];
  return {
    layer,
    material,
    origin: layerOrigin(commission.brief, layer),
    name: layerName(commission, layer),
    role,
    isBagged: liesInBags(layer, material),
    laterDays: layer.laterDays ?? (bySchool ? SAND_LATER_DAYS : 0),
    parts,
    pouredL,
    atHandL: pouredL - broughtL,
    broughtL,
    reposeDeg: reposeOf(material),
  };
} // prettier-ignore

function plantingIn(commission: Commission, option: Option, planting: Planting, plugs: number, wasHere: boolean): ResolvedPlanting {
  const plant = plantOf(commission, planting.plant);
  const origin = plantingOrigin(commission.brief, planting);
  const isBought = origin === 'bought';
  const { aDay, sitting } = planting;
  // So many a day are moved into a tank with water: from the day after it on.
  const laterDays = planting.laterDays || (aDay === undefined ? 0 : 1);
  const carrier = comesGrown(planting) ? option.pieces.find((p) => p.id === planting.on) : undefined;
  const time =
    origin === 'here'
      ? ON_THE_DAY
      : carrier ? timed(commission, carrier.sitting, taskOfPiece(carrier, materialOf(commission, carrier.material).kind))
      : sitting === undefined && laterDays > 0
        ? { sitting: BUILD, onDay: laterDays }
        : timed(commission, sitting, planting.inWaterMm === undefined ? taskOfPlant(plant) : `submerged-${plant.id}`);
  const atHand = isBought ? packsOf(option, planting, plant, plugs, true).ownPlugs : plugs;
  const lifted = isBought && wasHere ? atHand : 0;
  return { planting, plant, origin, ...time, laterDays: Math.max(0, time.onDay), atHand, lifted };
} // prettier-ignore
