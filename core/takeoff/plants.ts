import type { Origin, Pack, Plant } from '../commission/schema';
import { plantingOf, type Resolved, type ResolvedPlanting } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { packsOf } from '../planting/packs';
import { rounded } from '../units/quantity';
import { inMm } from '../words/measure';
import { say } from '../words/text';
import type { Working } from '../words/working';
import { cheapestPacks, costOfPacks } from './packs';
import { lineOf, neededFrom, type TakeOffLine } from './line';

/** A line for each plant, over all its plantings: surface along the slope, plugs, packs. */
export function plantLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const ids = [...new Set(survey.plantings.map((p) => p.plant))];
  return ids.map((id) => plantLine(commission, survey, id));
}

function plantLine(commission: Resolved, survey: Survey, id: string): TakeOffLine {
  const option = commission.option;
  const plantings = survey.plantings.filter((p) => p.plant === id);
  const { plant } = plantingOf(commission, plantings[0].id);
  const area = plantings.reduce((sum, p) => sum + p.netM2, 0);
  const plugs = plantings.reduce((sum, p) => sum + p.plugs, 0);
  const entryOf = (planting: string) => plantingOf(commission, planting).planting;
  const originOf = (p: { id: string }) => plantingOf(commission, p.id).origin;
  const there = plantings.filter((p) => originOf(p) !== 'bought').reduce((sum, p) => sum + p.plugs, 0);
  const bought = plantings.filter((p) => originOf(p) === 'bought');
  const spare = option.allowances?.plantSpare ?? 0;
  const packed = bought.map(({ id, plugs }) => ({ entry: entryOf(id), plugs, ...packsOf(option, entryOf(id), plant, plugs, true) })); // prettier-ignore
  const lifted = plantings.reduce((sum, p) => sum + plantingOf(commission, p.id).lifted, 0);
  const own = packed.reduce((sum, p) => sum + p.ownPlugs, 0) - lifted;
  const toBuy = plugs - there - lifted - own;
  const needed = Math.max(0, Math.ceil(toBuy * (1 + spare) - 1e-6));
  const usual = packed[0]?.splits[1] ?? 1;
  // What the packs have to hold as they are usually split: fewer where they are split finer, as many as were settled.
  const held = packed.reduce(
    (sum, p) =>
      sum +
      (p.entry.packs === undefined
        ? ((p.plugs - p.ownPlugs) * (1 + spare) * usual) / p.plugsAPack
        : p.entry.packs * usual),
    0,
  );
  const workings: Working[] = plantings.flatMap((p) => {
    const { share = 1 } = entryOf(p.id);
    if (p.slopedM2 === 0)
      return [{ step: say('planting.counted', { planting: p.id }), value: p.plugs, unit: 'plug' }];
    return [
      { step: say('planting.slope', { planting: p.id }), value: rounded(p.slopedM2, 5), unit: 'm²' },
      ...(p.standingM2 > 0
        ? [{ step: say('planting.standing'), value: -rounded(p.standingM2, 5), unit: 'm²' }]
        : []),
      ...(share < 1
        ? [{ step: say('planting.share', { percent: rounded(share * 100, 0) }), value: rounded(p.netM2, 5), unit: 'm²' }] // prettier-ignore
        : []),
      {
        step: say('planting.plugs', { spacing: inMm(p.spacingMm ?? 0, 1) }),
        value: p.plugs,
        unit: 'plug',
        note: say('planting.plugs.note'),
      },
    ];
  });
  for (const { entry } of packed)
    if (entry.declined)
      workings.push({
        step: say(`planting.declined.${entry.declined}`, { planting: entry.id }),
        value: 0,
        unit: 'plug',
      });
  if (there > 0) workings.push({ step: say('planting.there'), value: -there, unit: 'plug' });
  if (lifted > 0) workings.push({ step: say('planting.lifted'), value: -lifted, unit: 'plug' });
  if (own > 0) workings.push({ step: say('planting.own'), value: -own, unit: 'plug' });
  if (spare > 0)
    workings.push({
      step: say('planting.spare', { percent: rounded(spare * 100, 0) }),
      value: needed - toBuy,
      unit: 'plug',
    });
  for (const { entry, plugsAPack } of packed) {
    if (entry.packs !== undefined)
      workings.push({
        step: say('planting.settled', { planting: entry.id }),
        value: entry.packs,
        unit: 'pack',
      });
    else if (plugsAPack !== usual)
      workings.push({
        step: say('planting.otherwise', { planting: entry.id }),
        value: plugsAPack,
        unit: 'plug',
      });
  }
  // Said where it is not what the label counts.
  if (plant.plugsAPack && plant.packs?.some((p) => p.unit === 'plug' && p.size !== plant.plugsAPack![1])) {
    const [few, usual, many] = plant.plugsAPack;
    workings.push({ step: say('planting.split', { few, usual, many }), value: usual, unit: 'plug' });
  }
  return lineOf({
    id,
    kind: 'plants',
    name: plant.name,
    measured: area > 0 ? { value: area, unit: 'm²' } : { value: plugs, unit: 'plug' },
    needed: { value: needed, unit: 'plug' },
    packs: splitPacks(plant),
    held: Math.max(0, Math.ceil(held - 1e-6)),
    ...neededFrom(bought.map((p) => plantingOf(commission, p.id).onDay)),
    origins: plantings.flatMap((p) => originsOf(plantingOf(commission, p.id))),
    workings,
  });
}

/** Where the plugs of a planting come from: those of one's own beside the bought ones too. */
const originsOf = ({ origin, atHand, lifted }: ResolvedPlanting): Origin[] => [
  origin,
  ...(lifted > 0 ? ['here' as const] : []),
  ...(origin === 'bought' && atHand > lifted ? ['stock' as const] : []),
];

/** The cheapest packs of a plant for so many plugs and the spare ones, split as usual, and their price; undefined where nobody sells it. */
export function packsForPlugs(plant: Plant, plugs: number, spare: number): { packs: number; priceMinor: number } | undefined {
  const sold = (splitPacks(plant) ?? []).filter((p) => p.unit === 'plug');
  const counts = sold.length > 0 ? cheapestPacks(Math.ceil(plugs * (1 + spare) - 1e-6), sold) : undefined;
  return counts && { packs: counts.reduce((n, c) => n + c.count, 0), priceMinor: costOfPacks(counts, sold) };
} // prettier-ignore

/**
 * Packs by what they are split into: a carpet of tiny leaves gives 25 to 50 plugs a cup, whatever its label
 * counts (common practice); without a figure of its own a pack holds what it says.
 */
function splitPacks({ packs, plugsAPack }: Plant): Pack[] | undefined {
  if (!plugsAPack) return packs;
  return packs?.map((pack) => (pack.unit === 'plug' ? { ...pack, size: plugsAPack[1] } : pack));
}
