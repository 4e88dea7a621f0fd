import { grownHeightMm } from '../catalogue/sizes';
import { commonArea } from '../geometry/offset';
import { dliOf } from '../catalogue/knownPlants';
import { daysFrom } from '../calendar/day';
import { pieceOf, plantingOf, type Resolved } from '../resolved/resolved';
import { shutOff } from '../flow/passages';
import { DEAD_SHARE } from '../flow/tankFlow';
import { keptOf } from '../resolved/kept';
import { isClump } from '../growth/growth';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import type { FindingId } from '../words/findingIds';
import { inCelsius, inDegreesOfHardness, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { eyeFrom } from '../view/eye';
import { comesAs } from '../planting/preparation';
import type { Living } from './conditions';
import { hiddenShare, keptBelowMm, standOf } from './hiding';
import { inTime } from './inTime';
import type { Planted } from './planted';

/** Light above this many times of what a plant grows well with burns it or feeds algae on it (common practice). */
const TOO_MUCH = 2.2;
/** From this light on the bed on something has to grow fast from the first day, mol/m²/d (common practice). */
const STRONG_DLI = 2.2;

/** What is wrong with a planting where it stands, each with both figures and what would settle it. */
export function plantedFindings(commission: Resolved, living: Living, parts: readonly Planted[]): Finding[] {
  return [
    ...parts.flatMap((p) => [
      ...placeFindings(p),
      ...grownFindings(commission, p),
      ...declinedFindings(commission, p),
      ...lightFindings(p, living),
      ...shadeFindings(p, parts),
      ...waterFindings(p, living),
      ...levelFindings(p, commission.vessel.waterLineMm),
      ...flowFindings(p),
      ...coverFindings(commission, p, living),
    ]),
    ...hidingFindings(commission, parts),
    ...stoneFindings(commission, parts),
    ...startFindings(commission, parts, living),
    ...speciesFindings(commission, parts),
    ...passageFindings(commission, living),
  ];
}

/** What has grown onto a piece in another tank, and a piece that is dry, or none at all. */
function grownFindings(commission: Resolved, part: Planted): Finding[] {
  const { planting, plant } = part;
  if (planting.held !== 'grown') return [];
  const because = say('plant.grown.because');
  if (planting.on === undefined)
    return [finding('plant.grown', 'warn', part, [0, 1, 'piece'], say('plant.grown.says.none', { plant: plant.name }), because)]; // prettier-ignore
  if (pieceOf(commission, planting.on).state === 'living') return [];
  const says = say('plant.grown.says', { plant: plant.name, piece: planting.on });
  return [finding('plant.grown', 'warn', part, [0, 1, 'piece'], says, because)];
}

/** One's own stock stays where it is for what lives on it, and what is bought instead has stood in such tanks too. */
function declinedFindings(commission: Resolved, part: Planted): Finding[] {
  const { planting, plant } = part;
  const { declined } = planting;
  const isBought = plantingOf(commission, planting.id).origin === 'bought';
  if ((declined !== 'algae' && declined !== 'snails') || !isBought || comesAs(part) === 'gel') return [];
  const values = { plant: plant.name };
  return [finding('plant.declined', 'note', part, [0, 1, 'piece'], say(`plant.declined.${declined}.says`, values), say('plant.declined.because'))]; // prettier-ignore
}

function finding(
  id: FindingId,
  severity: Finding['severity'],
  part: Planted | undefined,
  figures: [measured: number, limit: number, unit: string],
  says: Text,
  because: Text,
): Finding {
  const [measured, limit, unit] = figures;
  return {
    id,
    severity,
    at: part ? { plant: part.id } : {},
    measured: rounded(measured, 2),
    limit: rounded(limit, 2),
    unit,
    says,
    because,
    source: PRACTICE,
  };
}

function lightFindings(part: Planted, { lit }: Living): Finding[] {
  if (!lit || part.spots.length === 0) return [];
  const { plant, leastDli, meanDli, mostDli } = part;
  const [least, good] = dliOf(plant);
  const names = {
    plant: plant.name,
    dli: rounded(leastDli, 1),
    least: rounded(least, 1),
    good: rounded(good, 1),
  };
  if (meanDli < least)
    return [finding('plant.dark', 'warn', part, [meanDli, least, 'mol/m²/d'], say('plant.dark.says', { ...names, dli: rounded(meanDli, 1) }), say('plant.dark.because'))]; // prettier-ignore
  if (plant.red && meanDli < good)
    return [finding('plant.red', 'note', part, [meanDli, good, 'mol/m²/d'], say('plant.red.says', { ...names, dli: rounded(meanDli, 1) }), say('plant.red.because'))]; // prettier-ignore
  if (leastDli < least * 0.8) {
    const dark = part.dli.reduce((n, d) => n + (d < least ? 1 : 0), 0);
    return [finding('plant.dark', 'note', part, [leastDli, least, 'mol/m²/d'], say('plant.dark.says.part', { ...names, count: dark }), say('plant.dark.because'))]; // prettier-ignore
  }
  if (mostDli > good * TOO_MUCH && plant.growth === 'slow')
    return [finding('plant.burns', 'note', part, [mostDli, good * TOO_MUCH, 'mol/m²/d'], say('plant.burns.says', { ...names, dli: rounded(mostDli, 1) }), say('plant.burns.because'))]; // prettier-ignore
  return [];
}

/** A region of which nothing is free ground. */
function placeFindings(part: Planted): Finding[] {
  if (!part.planting.region || part.count > 0) return [];
  const says = say('plant.nowhere.says', { planting: part.id, plant: part.plant.name });
  return [finding('plant.nowhere', 'warn', part, [0, 1, 'plug'], says, say('plant.nowhere.because'))];
}

/** Light enough as planted, too little once a neighbour has grown. */
function shadeFindings(part: Planted, parts: readonly Planted[]): Finding[] {
  const { plant, meanDli, grownDli, shadedBy } = part;
  const [least] = dliOf(plant);
  if (grownDli === undefined || meanDli < least || grownDli >= least) return [];
  const other = parts.find((p) => p.id === shadedBy)?.plant.name;
  const says = say('plant.shaded.says', { plant: plant.name, other: other ?? say('plant.shaded.floating'), now: rounded(meanDli, 1), then: rounded(grownDli, 1), least: rounded(least, 1) }); // prettier-ignore
  return [finding('plant.shaded', 'note', part, [grownDli, least, 'mol/m²/d'], says, say('plant.shaded.because'))]; // prettier-ignore
}

/** Species at most, of the school that keeps to few. */
const FEW_SPECIES = 3;

function speciesFindings({ brief }: Resolved, parts: readonly Planted[]): Finding[] {
  const species = new Set(parts.filter((p) => p.count > 0).map((p) => p.plant.id)).size;
  if (brief.schools?.species !== 'three' || species <= FEW_SPECIES) return [];
  return [finding('plants.species', 'note', undefined, [species, FEW_SPECIES, 'species'], say('plants.species.says', { count: species, most: FEW_SPECIES }), say('plants.species.because'))]; // prettier-ignore
}

/** A fish turns where there is half of its length (common practice), and nothing narrower than this is a way, mm. */
const [NEEDS_SHARE, LEAST_WAY_MM] = [0.5, 25];

/** Water behind stones that the largest fish of the brief gets into and not out of. */
function passageFindings(commission: Resolved, { flow }: Living): Finding[] {
  const fish = keptOf(commission)
    .map((k) => k.species)
    .filter((s) => s.kind === 'fish')
    .sort((a, b) => b.adultMm - a.adultMm)[0];
  if (!fish) return [];
  const needs = Math.max(LEAST_WAY_MM, NEEDS_SHARE * fish.adultMm);
  const worst = flow.flatMap((layer) => shutOff(layer, needs)).sort((a, b) => b.areaMm2 - a.areaMm2)[0];
  if (!worst) return [];
  const { zMm, at, areaMm2, widestMm } = worst;
  const says = say('water.shut.says', { z: inMm(zMm), area: rounded(areaMm2 / 1e4, 1), x: inMm(at[0]), y: inMm(at[1]), animal: fish.name, needs: inMm(needs), widest: inMm(widestMm) }); // prettier-ignore
  return [finding('water.shut', 'note', undefined, [widestMm, needs, 'mm'], says, say('water.shut.because'))];
}

function waterFindings(part: Planted, { waterC, gh }: Living): Finding[] {
  const { tempC, gh: hard, name } = part.plant;
  const found: Finding[] = [];
  // Too warm is said of the water as a whole, by the visit.
  if (tempC && waterC < tempC[0])
    found.push(finding('plant.warmth', 'warn', part, [waterC, tempC[0], '°C'],
      say('plant.warmth.says', { plant: name, span: inCelsius(tempC, 0, 'to'), water: inCelsius(waterC) }), say('plant.warmth.because'))); // prettier-ignore
  if (hard && (gh < hard[0] || gh > hard[1]))
    found.push(finding('plant.hardness', gh > hard[1] * 1.5 ? 'warn' : 'note', part, [gh, gh < hard[0] ? hard[0] : hard[1], '°d'],
      say('plant.hardness.says', { plant: name, span: inDegreesOfHardness(hard, 0, 'to'), water: inDegreesOfHardness(gh) }), say('plant.hardness.because'))); // prettier-ignore
  return found;
}

/** Plants of the air below the water, and plants of the water above it. */
function levelFindings(part: Planted, waterMm: number): Finding[] {
  const { plant, planting, spots, count } = part;
  if (plant.roots === 'float' || (!planting.on && !planting.region)) return [];
  let above = 0;
  for (let i = 2; i < spots.length; i += 3) if (spots[i] >= waterMm) above++;
  if (plant.habit === 'emersed')
    return above >= count
      ? []
      : [finding('plant.drowned', 'warn', part, [above, count, 'plug'], say('plant.drowned.says', { plant: plant.name, piece: planting.on ?? say('plant.drowned.bed'), count: above, wanted: count }), say('plant.drowned.because'))]; // prettier-ignore
  if (above === 0) return [];
  return [finding('plant.dry', 'warn', part, [above, 0, 'plug'], say('plant.dry.says', { plant: plant.name, count: above }), say('plant.dry.because'))]; // prettier-ignore
}

function flowFindings(part: Planted): Finding[] {
  const { plant, movesShare, planting } = part;
  if (plant.roots !== 'epiphyte' || plant.habit === 'emersed') return [];
  if (planting.region && plant.habit === 'epiphyte')
    return [finding('plant.rhizome', 'warn', part, [1, 0, 'region'], say('plant.rhizome.says', { plant: plant.name }), say('plant.rhizome.because'))]; // prettier-ignore
  if (movesShare === undefined || movesShare >= DEAD_SHARE) return [];
  const says = say('plant.still.says', { plant: plant.name, percent: rounded(100 * movesShare, 0) });
  return [finding('plant.still', 'note', part, [100 * movesShare, 100 * DEAD_SHARE, '%'], says, say('plant.still.because'))]; // prettier-ignore
}

/** Fewer rosettes than these stand each by itself: nobody asks them to close (common practice). */
const FEW_CLUMPS = 6;

/** The date against the photograph or the opening of the brief. */
function coverFindings({ brief }: Resolved, part: Planted, living: Living): Finding[] {
  const day = brief.occasion?.day;
  if (!day || part.spacingMm === undefined || part.count === 0 || part.plant.roots !== 'bed') return [];
  if (isClump(part.plant) && part.count < FEW_CLUMPS) return [];
  const until = daysFrom(brief.buildDay, day);
  const { cover, plant } = part;
  if (until <= 0 || (cover && cover.days <= until)) return [];
  const ways = inTime(part, until, living);
  const because =
    ways.length > 0
      ? say('plant.cover.because', { count: ways.length, ways })
      : say('plant.cover.because.none');
  const says = cover
    ? say('plant.cover.says', { plant: plant.name, on: { day: cover.on }, day: { day } })
    : say('plant.cover.says.never', { plant: plant.name, day: { day } });
  return [finding('plant.cover', cover ? 'warn' : 'note', part, [cover?.days ?? 0, until, 'day'], says, because)]; // prettier-ignore
}

/** Plants of which so much is hidden are not seen. */
const HIDDEN_SHARE = 0.5;
/** What grows no higher than this hides nothing worth a word, mm. */
const HIDES_FROM_MM = 100;

/** From the main seat, what grows so high that it hides most of what stands behind it. */
function hidingFindings({ brief, vessel, site }: Resolved, parts: readonly Planted[]): Finding[] {
  const [seat] = brief.seats ?? [];
  const eye = eyeFrom(vessel, seat, site?.baseHeightMm);
  const placed = parts.filter((p) => p.plant.roots === 'bed' && p.spots.length > 0);
  return placed
    .filter((p) => grownHeightMm(p.plant)[1] > HIDES_FROM_MM)
    .flatMap((front): Finding[] => {
      const stand = standOf(front);
      const [worst] = placed
        .filter((p) => p.id !== front.id && p.plant.id !== front.plant.id && !areMixed(p, front))
        .map((p) => ({ p, behind: standOf(p) }))
        .map((b) => ({ ...b, share: hiddenShare(eye, stand, b.behind) }))
        .sort((a, b) => b.share - a.share);
      if (!worst || worst.share <= HIDDEN_SHARE) return [];
      const says = say('plant.hides.says', { from: seat ? say('plant.hides.seat', { name: seat.name }) : say('plant.hides.front'), plant: front.plant.name, high: inMm(stand.highMm), other: worst.p.plant.name, low: inMm(worst.behind.highMm), percent: rounded(100 * worst.share, 0) }); // prettier-ignore
      const kept = Math.floor(keptBelowMm(eye, stand, worst.behind, HIDDEN_SHARE) / 10) * 10;
      const because = kept >= grownHeightMm(front.plant)[0] ? say('plant.hides.because.kept', { mm: inMm(kept) }) : say('plant.hides.because'); // prettier-ignore
      return [finding('plant.hides', 'note', front, [100 * worst.share, 100 * HIDDEN_SHARE, '%'], says, because)]; // prettier-ignore
    });
}

/** Two that share their ground on purpose: one among the other is what was wanted. */
function areMixed({ planting: a }: Planted, { planting: b }: Planted): boolean {
  if (!a.region || !b.region || (a.share ?? 1) + (b.share ?? 1) > 1 + 1e-9) return false;
  return commonArea(a.region, b.region) > 0;
}

/** Soft-water plants in a tank with stone that gives off carbonate. */
function stoneFindings(commission: Resolved, parts: readonly Planted[]): Finding[] {
  const stones = [...commission.pieces.values()].filter((p) => p.material.hardens);
  if (stones.length === 0) return [];
  return parts
    .filter((p) => (p.plant.gh?.[1] ?? 99) <= 8)
    .map((p) => finding('plant.carbonate', 'warn', p, [stones.length, 0, 'stone'], say('plant.carbonate.says', { plant: p.plant.name, stones: stones.map((s) => s.piece.id) }), say('plant.carbonate.because'))); // prettier-ignore
}

/** The first weeks: something that grows fast while light is strong, and leaves that were grown above water. */
function startFindings(
  commission: Resolved,
  parts: readonly Planted[],
  { light, hours, windowDli, lamps }: Living,
): Finding[] {
  const now = parts.filter((p) => (p.afterDays ?? 0) === 0 && p.count > 0);
  if (now.length === 0) return [];
  const found: Finding[] = [];
  const mean = light.ppfd.reduce((a, b) => a + b, 0) / Math.max(1, light.ppfd.length);
  const dli = (mean * hours * 3600) / 1e6 + windowDli;
  if (lamps.length > 0 && dli > STRONG_DLI && !now.some((p) => p.plant.growth === 'fast'))
    found.push(finding('plants.slow', 'note', undefined, [dli, STRONG_DLI, 'mol/m²/d'], say('plants.slow.says', { dli: rounded(dli, 1) }), say('plants.slow.because'))); // prettier-ignore
  const bought = now.filter(
    (p) => plantingOf(commission, p.id).origin === 'bought' && p.plant.roots === 'bed',
  );
  const melts = bought.filter((p) => p.planting.form === 'emersed' && p.plant.emersedLeaves === 'melt');
  for (const p of melts)
    found.push(finding('plant.melts', 'note', p, [1, 0, 'planting'], say('plant.melts.says', { plant: p.plant.name }), say('plant.melts.because'))); // prettier-ignore
  return found;
}
