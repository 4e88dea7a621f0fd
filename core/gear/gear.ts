import { co2CostOf } from '../commission/usual';
import type { Commission, Material, Site } from '../commission/schema';

/*
 * Filter, heater, lamp, gas: what a tank runs on, as things with a kind, an article and an owner.
 */

export type Device = NonNullable<Site['devices']>[number];
export type GearKind = NonNullable<Device['kind']>;

/** What is on the site's list. */
export function devicesOf({ site }: Pick<Commission, 'site'>): readonly Device[] {
  return site?.devices ?? [];
}

/** A device is bought only when it says so: lists from before were of what is there. */
export function isBought({ origin }: Device): boolean {
  return origin === 'bought';
}

/** The article of the catalogue that a device is; undefined where it is none. */
export function articleOf(
  { catalogue }: Pick<Commission, 'catalogue'>,
  { material }: Device,
): Material | undefined {
  return material === undefined ? undefined : catalogue.materials.find((m) => m.id === material);
}

const BY_NAME: readonly [RegExp, GearKind][] = [
  [/filter|pump/i, 'filter'],
  [/heat/i, 'heater'],
  [/light|lamp|\bled/i, 'lamp'],
  [/co2|gas|valve/i, 'co2'],
  [/skim/i, 'skimmer'],
  [/timer|clock/i, 'timer'],
];

/** What kind of gear a device is: as it was said, as its article is, or by its name. */
export function gearKindOf(commission: Pick<Commission, 'catalogue'>, device: Device): GearKind | undefined {
  const said = device.kind ?? articleOf(commission, device)?.gear;
  return said ?? BY_NAME.find(([pattern]) => pattern.test(device.name))?.[1];
}

/** Part of a CO2 set that a device is; undefined for a whole set, and for what is none. */
export function co2PartOf(
  commission: Pick<Commission, 'catalogue'>,
  device: Device,
): Device['part'] | undefined {
  return device.part ?? articleOf(commission, device)?.part;
}

/** Devices that come after the build day: what they do starts with them. */
export function lateDevices(commission: Pick<Commission, 'site' | 'brief'>): readonly Device[] {
  return devicesOf(commission).filter(
    (d) => d.arrives !== undefined && d.arrives > commission.brief.buildDay,
  );
}

/** What stands, is poured or is laid under the vessel: it is not set out with the filter. */
const NOT_SET_OUT: ReadonlySet<GearKind | undefined> = new Set(['stand', 'mat', 'film', 'food', 'test-kit']);

/** Devices that are unpacked and set out on the build day: of those that come by then, what is plumbed or plugged. */
export function unpackedDevices(
  commission: Pick<Commission, 'site' | 'brief' | 'catalogue'>,
): readonly Device[] {
  const late = new Set(lateDevices(commission));
  return devicesOf(commission).filter(
    (d) => d.origin !== 'here' && !late.has(d) && !NOT_SET_OUT.has(gearKindOf(commission, d)),
  );
}

/** What the CO2 set costs beside the material, minor units: nothing where it is on the list of gear with a price. */
export function gasCostOf(commission: Pick<Commission, 'site' | 'brief' | 'catalogue'>): number {
  const listed = devicesOf(commission).some(
    (d) => isBought(d) && gearKindOf(commission, d) === 'co2' && articleOf(commission, d)?.packs?.length,
  );
  return listed ? 0 : co2CostOf(commission.brief);
}
