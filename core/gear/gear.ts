import { materialOf } from '../commission/lookup';
import { co2CostOf, lotsCostOf } from '../commission/usual';
import type { Commission, Material, Origin, Site } from '../commission/schema';
import type { Warms } from '../site/warmth';

/*
 * Filter, heater, lamp, gas: what a tank runs on, as things with a kind, an article and an owner. What a device is
 * is answered here and nowhere else; its name is only asked where neither it nor its article says.
 */

export type Device = NonNullable<Site['devices']>[number];
export type GearKind = NonNullable<Device['kind']>;

/** A device as everything asks for it: what it is, and what it does. */
export interface Gear {
  device: Device;
  id: string;
  name: string;
  /** Undefined where nobody can tell. */
  kind?: GearKind;
  /** Which part of a CO2 set it is; left out for a whole one, and for what is none. */
  part?: Device['part'];
  article?: Material;
  watts: number;
  /** What it moves, L an hour. */
  litresPerHour?: number;
  warms: Warms;
  /** As said: lists from before were of what is there. */
  origin?: Origin;
  /** It comes after the build day: what it does starts with it. */
  late: boolean;
}

type Asked = Pick<Commission, 'site' | 'brief' | 'catalogue'>;
type Catalogued = Pick<Commission, 'catalogue'>;
/** What has been asked of a list once (`gearOf`), with the brief that it is for. */
type Geared = Pick<Commission, 'brief'> & { gear: readonly Gear[] };

/** What is on the site's list, as it stands there. */
export function devicesOf({ site }: Pick<Commission, 'site'>): readonly Device[] {
  return site?.devices ?? [];
}

/** What the scape runs on: what is on the site's list and stays, each with what it is. */
export function gearOf(commission: Asked): readonly Gear[] {
  return devicesOf(commission)
    .filter((device) => device.leaves === undefined)
    .map((device) => gearOfDevice(commission, device));
}

/** What ran the tank until now and is taken out of it. */
export function leavingGear(commission: Asked): readonly Gear[] {
  return devicesOf(commission)
    .filter((device) => device.leaves !== undefined)
    .map((device) => gearOfDevice(commission, device));
}

/** Where a device comes from: of what nobody said anything, it runs a tank that runs, and is the client's otherwise. */
export function deviceOrigin({ brief }: Pick<Commission, 'brief'>, { origin, from }: Device): Origin {
  if (from !== undefined) return 'stock';
  return origin ?? (brief.rescape ? 'here' : 'client');
}

/** What is in the tank now, whether it stays or not: nothing that is bought, in stock or out of another scape. */
export function devicesInTank(commission: Pick<Commission, 'site' | 'brief'>): readonly Device[] {
  return devicesOf(commission).filter(
    (device) => device.leaves !== undefined || deviceOrigin(commission, device) === 'here',
  );
}

/** What is there of some kinds and does not come after the build day. */
export function gearThere({ gear }: Pick<Geared, 'gear'>, ...kinds: GearKind[]): readonly Gear[] {
  return gear.filter((g) => !g.late && g.kind !== undefined && kinds.includes(g.kind));
}

function gearOfDevice(commission: Asked, device: Device): Gear {
  const { id, name, watts, arrives } = device;
  const origin = device.from === undefined ? device.origin : 'stock';
  const article = articleOf(commission, device);
  const kind = gearKindOf(commission, device);
  const part = co2PartOf(commission, device);
  const litresPerHour = device.litresPerHour ?? article?.litresPerHour;
  return {
    device,
    id,
    name,
    ...(kind ? { kind } : {}),
    ...(part ? { part } : {}),
    ...(article ? { article } : {}),
    watts,
    ...(litresPerHour === undefined ? {} : { litresPerHour }),
    warms: warmsOf(device, kind),
    ...(origin ? { origin } : {}),
    late: arrives !== undefined && arrives > commission.brief.buildDay,
  };
}

/** A device is bought only when it says so: lists from before were of what is there. */
export function isBought({ origin }: Pick<Device, 'origin'>): boolean {
  return origin === 'bought';
}

/** The article of the catalogue that a device is; undefined where it is none. */
export function articleOf(commission: Catalogued, { material }: Device): Material | undefined {
  return material === undefined ? undefined : materialOf(commission, material);
}

const BY_NAME: readonly [RegExp, GearKind][] = [
  [/filter|pump|circulat/i, 'filter'],
  [/heat/i, 'heater'],
  [/light|lamp|\bled/i, 'lamp'],
  [/co2|gas|valve/i, 'co2'],
  [/skim/i, 'skimmer'],
  [/timer|clock/i, 'timer'],
];

/** What kind of gear a device is: as it was said, as its article is, or by what its name says first. */
export function gearKindOf(commission: Catalogued, device: Device): GearKind | undefined {
  return device.kind ?? articleOf(commission, device)?.gear ?? kindByName(device.name);
}

/** "Heater in the filter" is a heater, "filter with heater" a filter. */
function kindByName(name: string): GearKind | undefined {
  const found = BY_NAME.map(([pattern, kind]) => ({ at: name.search(pattern), kind })).filter(
    (f) => f.at >= 0,
  );
  return found.sort((a, b) => a.at - b.at)[0]?.kind;
}

const WARMS_OF: Partial<Record<GearKind, Warms>> = {
  filter: 'water',
  skimmer: 'water',
  pump: 'water',
  lamp: 'above',
};

/**
 * Where a device's warmth goes: as was said, otherwise by its kind. What moves water gives it all its power; a heater
 * brings only what is missing, whatever was said of it: it never warms a warm room.
 */
export function warmsOf({ warms }: Pick<Device, 'warms'>, kind: GearKind | undefined): Warms {
  if (kind === 'heater') return 'elsewhere';
  return warms ?? (kind && WARMS_OF[kind]) ?? 'elsewhere';
}

/** Part of a CO2 set that a device is; undefined for a whole set, and for what is none. */
export function co2PartOf(commission: Catalogued, device: Device): Device['part'] | undefined {
  return device.part ?? articleOf(commission, device)?.part;
}

/** True for a CO2 set that is one device: it says so, or it is the only one and says nothing of parts. */
export function isWholeSet({ part }: Pick<Gear, 'part'>, all: readonly Gear[]): boolean {
  return part === 'set' || (part === undefined && all.filter((g) => g.kind === 'co2').length === 1);
}

/** Devices that come after the build day: what they do starts with them. */
export function lateDevices({ gear }: Pick<Geared, 'gear'>): readonly Gear[] {
  return gear.filter((g) => g.late);
}

/**
 * Whether the gas that is wanted has a source: a set on the list, one that was quoted, that of a tank that runs. A list that
 * nobody has begun says nothing against it.
 */
export function hasGasSource({ brief, gear }: Geared): boolean {
  if (!brief.co2) return false;
  return gear.length === 0 || brief.rescape !== undefined || brief.co2CostMinor !== undefined || gear.some((g) => g.kind === 'co2'); // prettier-ignore
}

/** What stands, is poured or is laid under the vessel, or lives in water until the filter starts: it is not set out with it. */
const NOT_SET_OUT: ReadonlySet<GearKind | undefined> = new Set([
  'stand',
  'mat',
  'film',
  'food',
  'test-kit',
  'media',
]);

/**
 * Devices that are unpacked and set out on the build day: of those that come by then, what is plumbed or plugged. What nobody can
 * tell and nobody said anything of hangs on the circuit beside the tank: a kettle.
 */
export function unpackedDevices({ gear }: Pick<Geared, 'gear'>): readonly Gear[] {
  const isBeside = (g: Gear) => g.kind === undefined && g.origin === undefined;
  return gear.filter((g) => g.origin !== 'here' && !g.late && !NOT_SET_OUT.has(g.kind) && !isBeside(g));
}

/** Of those, what is new to a tank that runs: it says that it is bought, or comes out of the stock. */
export function newDevices(geared: Pick<Geared, 'gear'>): readonly Gear[] {
  return unpackedDevices(geared).filter((g) => g.origin === 'bought' || g.origin === 'stock');
}

/** What the CO2 set costs beside the material, minor units: nothing where it is on the list of gear with a price. */
export function gasCostOf({ brief, gear }: Geared): number {
  const listed = gear.some((g) => isBought(g) && g.kind === 'co2' && g.article?.packs?.length);
  return listed ? 0 : co2CostOf(brief);
}

/** What is paid beside the lines of the take-off, minor units: a CO2 set as quoted, lots of several things for one price. */
export function paidBeside(geared: Geared): { gas: number; lots: number; all: number } {
  const [gas, lots] = [gasCostOf(geared), lotsCostOf(geared.brief)];
  return { gas, lots, all: gas + lots };
}

/** True for a tank that is as warm as its room, by choice; a heater on the list is the later word. */
export function isUnheated({
  site,
  gear,
}: {
  site?: Pick<Site, 'unheated'>;
  gear: readonly Pick<Gear, 'kind'>[];
}): boolean {
  return site?.unheated === true && !gear.some((g) => g.kind === 'heater');
}
