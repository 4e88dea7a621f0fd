import type { Commission, Material } from '../commission/schema';
import { onlyLinked } from '../edits/devices';
import { freshId } from '../edits/ids';
import type { Text } from '../words/text';
import { proposedGear, type Need } from './propose';
import { devicesOf, type Device } from './gear';

/**
 * The devices of a commission with those that were proposed and that nobody has touched since as they would be proposed now:
 * larger or smaller, another article, more heaters or fewer, gone where nothing is wished for any more. Kinds that were left
 * out stay out. Undefined where nothing changes.
 * Valid for the tank that `need` was measured of. Leaves out: what is ordered already, which whoever asks has to know.
 * Test: followed.test.ts, "follow the tank until somebody touches them".
 */
export function followed(
  commission: Pick<Commission, 'brief' | 'vessel' | 'site' | 'catalogue'>,
  need: Need,
  words: (said: Text) => string,
  articles: readonly Material[],
): Device[] | undefined {
  const own = [...devicesOf(commission)];
  if (!own.some((d) => d.proposed)) return undefined;
  const touched = own.filter((d) => !d.proposed);
  const wished = proposedGear({ ...commission, site: { ...commission.site, devices: touched } }, need, words, articles); // prettier-ignore
  const left = [...wished];
  /** The next wish of a kind that is still to be given to a device. */
  const next = ({ kind, part }: Device): Device | undefined => {
    const at = left.findIndex((w) => w.kind === kind && w.part === part);
    return at < 0 ? undefined : left.splice(at, 1)[0];
  };
  const now = own.flatMap((device): Device[] => {
    if (!device.proposed) return [device];
    const wish = next(device);
    return wish ? [{ ...wish, id: device.id, proposed: true }] : [];
  });
  // Of a kind that was taken there may be more than before: a second heater for a larger tank.
  const kinds = new Set(own.filter((d) => d.proposed).map((d) => d.kind));
  const more = left.filter((w) => w.kind === 'heater' && kinds.has('heater'));
  const all = onlyLinked(more.reduce((list, w) => [...list, { ...w, id: freshId(w.id, list), proposed: true }], now)); // prettier-ignore
  return JSON.stringify(all.map(figuresOf)) === JSON.stringify(own.map(figuresOf)) ? undefined : all;
}

/** What of a device a proposal says. */
function figuresOf({ id, name, watts, litresPerHour, material, origin, kind, part }: Device) {
  return [id, name, watts, litresPerHour, material, origin, kind, part];
}
