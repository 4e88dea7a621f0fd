import type { Site } from '../commission/schema';

type Device = NonNullable<Site['devices']>[number];

/** The list without a device; undefined where none is left. */
export function withoutDevice(devices: readonly Device[], id: string): Device[] | undefined {
  const left = onlyLinked(devices.filter((d) => d.id !== id));
  return left.length > 0 ? left : undefined;
}

/** The list, no device of it said to come in place of one that is not on it. */
export function onlyLinked(devices: readonly Device[]): Device[] {
  const there = new Set(devices.map((d) => d.id));
  return devices.map((device) => {
    if (device.replaces === undefined || there.has(device.replaces)) return device;
    const { replaces: _gone, ...rest } = device;
    return rest;
  });
}
