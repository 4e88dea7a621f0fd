import { materialOfKind } from '../commission/lookup';
import type { Plant } from '../commission/schema';
import { packsOf } from '../planting/packs';
import { plantingOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import { inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import { lineOf, neededFrom, type TakeOffLine } from './line';

/** One tab for each square of this side of planted floor, mm (common practice: 50 to 80). */
export const TAB_EVERY_MM = 65;
/** Days after which tabs are renewed (common practice: every two to three months). */
export const TABS_LAST_DAYS = 75;

/** Tabs in a bed that gives nothing itself: 0.1 m² of planted sand at one each 65 mm take 24. */
export function rootTabs(commission: Resolved, survey: Survey): number {
  return tabbed(commission, survey).reduce((sum, t) => sum + t.count, 0);
}

/** A planting that tabs feed: over which surface, m², and how many of them. */
export interface Tabbed {
  planting: string;
  plant: Plant;
  m2: number;
  count: number;
  /** Days after the build on which they go in, with the planting. */
  onDay: number;
}

/** Plantings that tabs feed: in a bed of which every layer is inert, all of them where soil gets tabs too, none where they are declined. */
export function tabbed(commission: Resolved, survey: Survey): Tabbed[] {
  const { rootTabs: said } = commission.brief.care ?? {};
  if (said === 'none') return [];
  const feeds =
    said !== 'also' &&
    [...commission.layers.values()].some((l) => ['soil', 'base'].includes(l.material.kind));
  if (feeds) return [];
  return survey.plantings.flatMap(({ id, netM2, plugs }): Tabbed[] => {
    const { plant, planting, origin, onDay } = plantingOf(commission, id);
    const count = Math.ceil(netM2 / (TAB_EVERY_MM / 1000) ** 2 - 1e-9);
    // Where no pack is at hand nothing is set that could be fed.
    const isSet = packsOf(commission.option, planting, plant, plugs, origin === 'bought').plugsAtHand > 0;
    const isFed = plant.roots === 'bed' && origin !== 'here' && count > 0 && isSet;
    return isFed ? [{ planting: id, plant, m2: netM2, count, onDay }] : [];
  });
}

export function rootTabLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const parts = tabbed(commission, survey);
  const count = rootTabs(commission, survey);
  if (count === 0) return [];
  const material = materialOfKind(commission, 'root-tab');
  return [
    lineOf({
      id: material?.id ?? 'root-tab',
      kind: 'consumables',
      name: material?.name ?? say('consumable.tabs'),
      measured: { value: count, unit: 'piece' },
      needed: { value: count, unit: 'piece' },
      packs: material?.packs,
      ...neededFrom(parts.map((t) => t.onDay)),
      workings: [
        {
          step: say('tabs.planted'),
          value: rounded(
            parts.reduce((m2, t) => m2 + t.m2, 0),
            4,
          ),
          unit: 'm²',
        },
        { step: say('tabs.each', { side: inMm(TAB_EVERY_MM) }), value: count, unit: 'piece', note: PRACTICE },
      ],
    }),
  ];
}
