import { dayPlus, type Day } from '../calendar/day';
import type { Planting } from '../commission/schema';
import { coverDays } from '../growth/growth';
import { closesLike } from '../planting/arranged';
import { splitAcross } from '../planting/cutRegion';
import { isHalved } from '../planting/packs';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import type { Planted } from './planted';

/** A way out of too few packs, with what it costs more and when it then closes. */
export interface WayOut {
  kind: 'wider' | 'packs' | 'finer' | 'halved' | 'fewer' | 'behind';
  says: Text;
  /** What it makes of the planting. */
  part: Partial<Planting>;
  /** Packs more than at hand, and what they cost, minor units. */
  packs: number;
  priceMinor: number;
  /** Days until it closes, and the day; undefined where it does not. */
  coverDays?: number;
  on?: Day;
  /** What it comes to: the spacing, mm; plugs a pack; packs; or how far from the front its plugs reach, mm. */
  figure: number;
}

/**
 * Ways out where the packs at hand leave a part bare: plugs further apart, more packs, finer splits, halved stems, or only
 * the front part, the rest left bare or given to another plant.
 *
 * @param reachOf how far from the front so great a share of its ground lies, mm
 */
export function waysOut(part: Planted, buildDay: Day, reachOf: (share: number) => number): WayOut[] {
  const { missing, plant, planting, growth, count, plugsAtHand, ownPlugs, spacingMm, plugsAPack, afterDays = 0 } = part; // prettier-ignore
  if (missing === 0 || planting.packs === undefined) return [];
  const ways: WayOut[] = [];
  const price = plant.packs?.[0]?.priceMinor ?? 0;
  const add = (kind: WayOut['kind'], figure: number, change: Partial<Planting>, packs = 0) => {
    const mm = change.spacingMm ?? spacingMm;
    const found = mm === undefined ? undefined : coverDays(plant, closesLike(planting.set, mm), growth);
    const days = found && found.days + afterDays;
    const closes = days === undefined ? {} : { coverDays: days, on: dayPlus(buildDay, Math.round(days)) };
    ways.push({ kind, says: saysOf(kind, figure, packs), figure, part: change, packs, priceMinor: packs * price, ...closes }); // prettier-ignore
  };

  if (spacingMm !== undefined && plugsAtHand > 0) {
    // As many plugs over the same surface: a whole millimetre, rounded up so that they suffice.
    const mm = Math.ceil(spacingMm * Math.sqrt(count / plugsAtHand));
    add('wider', mm, { spacingMm: mm });
  }
  const packs = Math.ceil(missing / plugsAPack - 1e-6);
  add('packs', planting.packs + packs, { packs: planting.packs + packs }, packs);
  const atHand = planting.packs;
  /** So many plugs a pack, with one’s own, leave none missing. */
  const suffices = (aPack: number) => ownPlugs + atHand * aPack >= count;
  const fine = part.splits[2] * (isHalved(planting, plant) ? 2 : 1);
  if (fine > plugsAPack && planting.splits !== 'fine' && suffices(fine))
    add('finer', fine, { splits: 'fine' });
  if (plant.habit === 'stem' && !planting.halved && suffices(plugsAPack * 2))
    add('halved', plugsAPack * 2, { halved: true });
  const front = frontPart(part, reachOf);
  if (front) {
    add('fewer', front.mm, { region: front.region });
    add('behind', front.mm, {});
  }
  return ways;
}

function saysOf(kind: WayOut['kind'], figure: number, packs: number): Text {
  if (kind === 'packs') return say('way.packs', { count: packs });
  if (kind === 'finer') return say('way.finer', { plugs: figure });
  if (kind === 'halved') return say('way.halved');
  return say(`way.${kind}`, { mm: inMm(figure) });
}

/** The front part is half a plug smaller than the plugs at hand suffice for: a shade more surface would take one more. */
const HALF_A_PLUG = 0.5;

/** As much of the region from the front as the plugs at hand suffice for; undefined where the rest would be no region. */
function frontPart({ planting, plugsAtHand, netM2, spacingMm }: Planted, reachOf: (share: number) => number) {
  if (!planting.region || spacingMm === undefined) return undefined;
  const share = ((plugsAtHand - HALF_A_PLUG) * spacingMm ** 2) / (netM2 * 1e6);
  if (share <= 0 || share >= 1) return undefined;
  const mm = Math.floor(reachOf(share));
  const parts = splitAcross(planting.region, mm);
  return parts && { mm, region: parts[0].map(([x, y]): [number, number] => [x, y]) };
}
