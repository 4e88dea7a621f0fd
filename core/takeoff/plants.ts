import { optionOf, plantOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import { inMm } from '../words/measure';
import { say } from '../words/text';
import type { Working } from '../words/working';
import { lineOf, type TakeOffLine } from './line';

/** A line for each plant, over all its plantings: surface along the slope, plugs, packs. */
export function plantLines(commission: Commission, survey: Survey): TakeOffLine[] {
  const ids = [...new Set(survey.plantings.map((p) => p.plant))];
  return ids.map((id) => plantLine(commission, survey, id));
}

function plantLine(commission: Commission, survey: Survey, id: string): TakeOffLine {
  const plant = plantOf(commission, id);
  const option = optionOf(commission, survey.optionId);
  const plantings = survey.plantings.filter((p) => p.plant === id);
  const area = plantings.reduce((sum, p) => sum + p.netM2, 0);
  const plugs = plantings.reduce((sum, p) => sum + p.plugs, 0);
  const spare = option.allowances?.plantSpare ?? 0;
  const needed = Math.ceil(plugs * (1 + spare) - 1e-6);
  const workings: Working[] = plantings.flatMap((p) => {
    const spacing = option.plants.find((entry) => entry.id === p.id)?.spacingMm;
    if (p.slopedM2 === 0)
      return [{ step: say('planting.counted', { planting: p.id }), value: p.plugs, unit: 'plug' }];
    return [
      { step: say('planting.slope', { planting: p.id }), value: rounded(p.slopedM2, 5), unit: 'm²' },
      ...(p.standingM2 > 0
        ? [{ step: say('planting.standing'), value: -rounded(p.standingM2, 5), unit: 'm²' }]
        : []),
      {
        step: say('planting.plugs', { spacing: inMm(spacing ?? 0, 1) }),
        value: p.plugs,
        unit: 'plug',
        note: say('planting.plugs.note'),
      },
    ];
  });
  if (spare > 0)
    workings.push({
      step: say('planting.spare', { percent: rounded(spare * 100, 0) }),
      value: needed - plugs,
      unit: 'plug',
    });
  return lineOf({
    id,
    kind: 'plants',
    name: plant.name,
    measured: area > 0 ? { value: area, unit: 'm²' } : { value: plugs, unit: 'plug' },
    needed: { value: needed, unit: 'plug' },
    packs: plant.packs,
    workings,
  });
}
