import { materialOfKind } from '../commission/lookup';
import { plantingOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import { inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import { lineOf, type TakeOffLine } from './line';

/** One tab for each square of this side of planted floor, mm (common practice: 50 to 80). */
export const TAB_EVERY_MM = 65;
/** Days after which tabs are renewed (common practice: every two to three months). */
export const TABS_LAST_DAYS = 75;

/** Tabs in a bed that gives nothing itself: 0.1 m² of planted sand at one each 65 mm take 24. */
export function rootTabs(commission: Resolved, survey: Survey): number {
  return Math.ceil(tabbedM2(commission, survey) / (TAB_EVERY_MM / 1000) ** 2 - 1e-9);
}

/** Planted surface, m², that tabs feed: of which every layer is inert, all of it where soil gets them too, none where they are declined. */
export function tabbedM2(commission: Resolved, survey: Survey): number {
  const { rootTabs: said } = commission.brief.care ?? {};
  if (said === 'none') return 0;
  const feeds =
    said !== 'also' &&
    [...commission.layers.values()].some((l) => ['soil', 'base'].includes(l.material.kind));
  if (feeds) return 0;
  return survey.plantings
    .filter((p) => {
      const { plant, origin } = plantingOf(commission, p.id);
      return plant.roots === 'bed' && origin !== 'here';
    })
    .reduce((m2, p) => m2 + p.netM2, 0);
}

export function rootTabLines(commission: Resolved, survey: Survey): TakeOffLine[] {
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
      workings: [
        { step: say('tabs.planted'), value: rounded(tabbedM2(commission, survey), 4), unit: 'm²' },
        { step: say('tabs.each', { side: inMm(TAB_EVERY_MM) }), value: count, unit: 'piece', note: PRACTICE },
      ],
    }),
  ];
}
