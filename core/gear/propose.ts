import { plantOf } from '../catalogue/entries';
import { CO2_PARTS } from '../commission/co2Parts';
import { animalsOf, filterStateOf } from '../commission/usual';
import type { Commission, Material, Option, Origin } from '../commission/schema';
import { speciesIn } from '../livestock/known';
import { rounded } from '../units/quantity';
import { say, type Text } from '../words/text';
import { gearOf, isWholeSet, type Device, type GearKind } from './gear';

/** What a proposal rests on: free water, L, heaters that the heat balance asks for, W, and the plants of the option. */
export interface Need {
  freeWaterL: number;
  heatersW: readonly number[];
  plants: readonly string[];
}

/** What is needed, by the plants of an option and what was measured of it. No plants where there is no option yet. */
export function needOf(option: Pick<Option, 'plants'> | undefined, measured: Omit<Need, 'plants'>): Need {
  return { ...measured, plants: (option?.plants ?? []).map((p) => p.plant) };
}

/** Turnover of the free water an hour that a filter is chosen for, times (common practice: 5 to 10). */
export const TURNOVER = [5, 10] as const;
/** Watts of lamp for each litre by the plant that wants most light, and of a pump (common practice). */
const LAMP_W_PER_L = { low: 0.3, medium: 0.5, high: 0.8 } as const;
const PUMP_W_PER_L = 0.1;
const LEAST_PUMP_W = 6;
const VALVE_W = 5;
/** From so many litres on a film on the surface is taken off by its own device (common practice). */
const SKIMMED_FROM_L = 60;
const SKIMMER_W = 5;

type Asked = Pick<Commission, 'brief' | 'vessel' | 'site' | 'catalogue'>;
type Wish = Pick<Device, 'id' | 'watts' | 'litresPerHour' | 'part'> & {
  kind: GearKind;
  /** Whose it is, where the brief says that it is there. */
  origin?: Origin;
};

/**
 * Gear that a vessel still lacks: heaters by the heat balance, a filter by turnover with its media and pipes, a lamp
 * by the plant that wants most light, gas in all its parts where the brief has it, a lid where something jumps, and
 * what stands under and around a new vessel. Where an article of the list serves, it is that one and it is bought;
 * until then it is called as `words` has it.
 * Valid for planted tanks. Leaves out: head of the pump, how a lamp spreads, noise.
 * Test: gear.test.ts, "is proposed from litres, heat and light, with the smallest article that serves".
 */
export function proposedGear(
  commission: Asked,
  need: Need,
  words: (said: Text) => string,
  articles: readonly Material[] = commission.catalogue.materials,
): Device[] {
  return wishes(commission, need)
    .filter((wish) => !isListed(commission, wish))
    .map((wish): Device => {
      const article = wish.origin ? undefined : smallest(articles, wish);
      // Without an article it is still to be bought: the take-off then asks for its price.
      if (!article) return { origin: 'bought', name: words(nameOf(wish)), ...wish };
      const { litresPerHour } = article;
      return {
        ...wish,
        name: article.name,
        watts: article.watts ?? wish.watts,
        ...(litresPerHour ? { litresPerHour } : {}),
        material: article.id,
        origin: 'bought',
      };
    });
}

/** What it is called until an article is chosen. */
function nameOf({ kind, part }: Wish): Text {
  return part ? say(`gear.part.${part}`) : say(`gear.name.${kind}`);
}

function wishes(commission: Asked, need: Need): Wish[] {
  const running = commission.brief.rescape?.filterKept ?? false;
  return [
    ...filterWishes(commission, need),
    ...warmthAndLight(commission, need, running ? 'here' : undefined),
    ...gasWishes(commission.brief),
    ...vesselWishes(commission, need),
    ...keepersWishes(commission),
  ];
}

/** A filter, and what a new one needs beside itself. One that runs or is brought along has both. */
function filterWishes({ brief }: Asked, { freeWaterL }: Need): Wish[] {
  const there = brief.filter?.origin ?? (brief.rescape?.filterKept ? 'here' : undefined);
  const origin = there && there !== 'bought' ? { origin: there } : {};
  const filter: Wish = {
    id: 'filter',
    kind: 'filter',
    watts: Math.max(LEAST_PUMP_W, rounded(freeWaterL * PUMP_W_PER_L, 0)),
    litresPerHour: rounded(TURNOVER[0] * freeWaterL, 0),
    ...origin,
  };
  if (origin.origin) return [filter];
  const isNew = filterStateOf(brief) === 'new';
  return [
    filter,
    ...(isNew ? [{ id: 'media', kind: 'media' as const, watts: 0 }] : []),
    { id: 'pipes', kind: 'pipes', watts: 0 },
  ];
}

function warmthAndLight(commission: Asked, { freeWaterL, heatersW, plants }: Need, there?: Origin): Wish[] {
  const origin = there ? { origin: there } : {};
  const lampW = rounded(freeWaterL * LAMP_W_PER_L[lightClass(commission, plants)], 0);
  return [
    ...heatersW.map((watts, i) => ({ id: heatersW.length > 1 ? `heater-${i + 1}` : 'heater', kind: 'heater' as const, watts, ...origin })), // prettier-ignore
    { id: 'light', kind: 'lamp', watts: lampW, ...origin },
    { id: 'timer', kind: 'timer', watts: 0, ...origin },
  ];
}

/** In all its parts; a running tank whose gas nobody priced has it. */
function gasWishes({ co2, co2CostMinor, rescape }: Commission['brief']): Wish[] {
  if (!co2 || (rescape && co2CostMinor === undefined)) return [];
  return CO2_PARTS.map((part) => ({
    id: `co2-${part}`,
    kind: 'co2',
    part,
    watts: part === 'regulator' ? VALVE_W : 0,
  }));
}

/** What belongs to the vessel: under it, behind it, on it. A tank that stands has its own. */
function vesselWishes(commission: Asked, { freeWaterL }: Need): Wish[] {
  const { brief, vessel } = commission;
  const jumps = keptAnimals(brief).some((s) => speciesIn(commission, s.species)?.jumps);
  const lid: Wish[] = jumps && !vessel.lid ? [{ id: 'lid', kind: 'lid', watts: 0 }] : [];
  if (brief.rescape) return lid;
  return [
    ...(!vessel.lid && freeWaterL >= SKIMMED_FROM_L
      ? [{ id: 'skimmer', kind: 'skimmer' as const, watts: SKIMMER_W }]
      : []),
    { id: 'stand', kind: 'stand', watts: 0 },
    ...(vessel.mat ? [] : [{ id: 'mat', kind: 'mat' as const, watts: 0 }]),
    ...(vessel.background ? [{ id: 'film', kind: 'film' as const, watts: 0 }] : []),
    ...lid,
  ];
}

/** Animals that live in it afterwards. */
function keptAnimals(brief: Commission['brief']) {
  const { here, coming } = animalsOf(brief);
  return [...here, ...coming];
}

/** What the client keeps it with. */
function keepersWishes({ brief }: Asked): Wish[] {
  return [
    { id: 'test-kit', kind: 'test-kit', watts: 0 },
    ...(keptAnimals(brief).length > 0 ? [{ id: 'food', kind: 'food' as const, watts: 0 }] : []),
  ];
}

/** True when the list has one of that kind; of gas, that part or a whole set. */
function isListed(commission: Asked, { kind, part }: Wish): boolean {
  const own = gearOf(commission).filter((g) => g.kind === kind);
  return own.some((g) => part === undefined || g.part === part || isWholeSet(g, own));
}

/** The smallest article of a kind that moves, heats or lights enough; undefined where none does. */
function smallest(
  articles: readonly Material[],
  { kind, part, watts, litresPerHour = 0 }: Wish,
): Material | undefined {
  const own = articles.filter((a) => a.kind === 'equipment' && a.gear === kind && a.part === part);
  const power = (a: Material) => (kind === 'filter' ? (a.litresPerHour ?? 0) : (a.watts ?? 0));
  const least = kind === 'filter' ? litresPerHour : MEASURED_W.has(kind) ? watts : 0;
  return own.filter((a) => power(a) >= least).sort((a, b) => power(a) - power(b))[0];
}

/** Kinds that are chosen by their watts; of others any does. */
const MEASURED_W: ReadonlySet<GearKind> = new Set(['heater', 'lamp']);

function lightClass(
  { catalogue }: Pick<Commission, 'catalogue'>,
  plants: readonly string[],
): keyof typeof LAMP_W_PER_L {
  const known = catalogue.plants.length > 0 ? plants : [];
  const wanted = known.map((id) => plantOf({ catalogue }, id).light ?? 'medium');
  if (wanted.includes('high')) return 'high';
  return wanted.length > 0 && wanted.every((l) => l === 'low') ? 'low' : 'medium';
}
