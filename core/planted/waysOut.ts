import { closesLike } from '../planting/arranged';
import { isHalved } from '../planting/packs';
import { splitAcross } from '../planting/cutRegion';
import { coverDays } from '../growth/growth';
import type { Planting } from '../commission/schema';
import type { Planted } from './planted';

/** A way out of too few packs, with what it costs more and when it then closes. */
export interface WayOut {
  kind: 'wider' | 'packs' | 'finer' | 'halved' | 'behind';
  /** What it makes of the planting. */
  part: Partial<Planting>;
  /** Packs more than at hand, and what they cost, minor units. */
  packs: number;
  priceMinor: number;
  /** Days until it closes; undefined where it does not. */
  coverDays?: number;
  /** What it comes to: the spacing, mm, plugs a pack, packs; or the share of the region that the plugs at hand reach. */
  figure: number;
}

/** Ways out where the packs at hand leave a part bare: plugs further apart, more packs, finer splits, halved stems. */
export function waysOut(part: Planted): WayOut[] {
  const { missing, plant, planting, growth, count, plugsAtHand, ownPlugs, spacingMm, plugsAPack } = part;
  if (missing === 0 || planting.packs === undefined) return [];
  const ways: WayOut[] = [];
  const price = plant.packs?.[0]?.priceMinor ?? 0;
  const later = planting.laterDays ?? 0;
  const closes = (mm: number | undefined) => {
    const found = mm === undefined ? undefined : coverDays(plant, closesLike(planting.set, mm), growth);
    return found && found.days + later;
  };
  if (spacingMm !== undefined && plugsAtHand > 0) {
    // As many plugs over the same surface: a whole millimetre, rounded up so that they suffice.
    const mm = Math.ceil(spacingMm * Math.sqrt(count / plugsAtHand));
    ways.push({
      kind: 'wider',
      part: { spacingMm: mm },
      packs: 0,
      priceMinor: 0,
      coverDays: closes(mm),
      figure: mm,
    });
  }
  const packs = Math.ceil(missing / plugsAPack - 1e-6);
  ways.push({
    kind: 'packs',
    part: { packs: planting.packs + packs },
    packs,
    priceMinor: packs * price,
    coverDays: closes(spacingMm),
    figure: planting.packs + packs,
  });
  const atHand = planting.packs;
  /** So many plugs a pack, with one’s own, leave none missing. */
  const suffices = (aPack: number) => ownPlugs + atHand * aPack >= count;
  const fine = part.splits[2] * (isHalved(planting, plant) ? 2 : 1);
  if (fine > plugsAPack && planting.splits !== 'fine' && suffices(fine))
    ways.push({
      kind: 'finer',
      part: { splits: 'fine' },
      packs: 0,
      priceMinor: 0,
      coverDays: closes(spacingMm),
      figure: fine,
    });
  if (plant.habit === 'stem' && !planting.halved && suffices(plugsAPack * 2))
    ways.push({
      kind: 'halved',
      part: { halved: true },
      packs: 0,
      priceMinor: 0,
      coverDays: closes(spacingMm),
      figure: plugsAPack * 2,
    });
  // What they do not reach is given to another plant, which is chosen then.
  const reach = plugsAtHand / count;
  if (planting.region && splitAcross(planting.region, reach))
    ways.push({ kind: 'behind', part: {}, packs: 0, priceMinor: 0, coverDays: closes(spacingMm), figure: reach }); // prettier-ignore
  return ways;
}
