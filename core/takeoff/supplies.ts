import { materialOfKind } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { conditionerDose } from '../filling/conditioner';
import { recipeFor } from '../filling/filling';
import { firstFill } from '../filling/firstFill';
import { amountOf, lastsWeeks, SUPPLY_NAMES, usedUp, type UsedUp } from '../regime/usedUp';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import { PRACTICE, say } from '../words/text';
import type { Working } from '../words/working';
import { lineOf, type TakeOffLine } from './line';

/**
 * What is used up on the build day and in the eight weeks of the guide, each for that whole span, with how long what is
 * bought then lasts. What the client has is not bought; readings are not where a test kit is on the list of gear.
 */
export function supplyLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const hasKit = commission.gear.some((g) => g.kind === 'test-kit');
  return usedUp(commission, survey)
    .filter((u) => !u.isClients && !(u.kind === 'test' && hasKit))
    .map((used) => supplyLine(commission, survey, used));
}

function supplyLine(commission: Resolved, survey: Survey, used: UsedUp): TakeOffLine {
  const { kind, unit } = used;
  const material = materialOfKind(commission, kind);
  const value = amountOf(used);
  const line = lineOf({
    id: material?.id ?? kind,
    kind: 'consumables',
    name: material?.name ?? SUPPLY_NAMES[kind],
    measured: { value, unit },
    needed: { value, unit },
    packs: material?.packs,
    workings: [...ahead(commission, survey, used), ...spans(used)],
  });
  const weeks = line.bought > 0 ? lastsWeeks(used, line.bought) : undefined;
  return weeks === undefined
    ? line
    : { ...line, workings: [...line.workings, { step: say('supply.lasts'), value: weeks, unit: 'week' }] };
}

/** What goes on the build day, and in the weeks after it. */
function spans({ days, unit }: UsedUp): Working[] {
  const weeks = days.slice(1).reduce((sum, amount) => sum + amount, 0);
  return [
    ...(days[0] > 0 ? [{ step: say('supply.build'), value: days[0], unit }] : []),
    ...(weeks > 0 ? [{ step: say('supply.weeks'), value: weeks, unit }] : []),
  ];
}

/** Where the amounts come from. */
function ahead(commission: Resolved, survey: Survey, { kind, days }: UsedUp): Working[] {
  const count = days.filter((amount) => amount > 0).length;
  switch (kind) {
    case 'conditioner':
      return conditionerSteps(commission, survey);
    case 'bacteria':
      return [
        { step: say('bacteria.days'), value: count, unit: 'day' },
        { step: say('bacteria.dose'), value: Math.max(...days), unit: 'mL', note: say('label.decides') },
      ];
    case 'plant-food':
      return [{ step: say('supply.food.days'), value: count, unit: 'day', note: say('label.decides') }];
    case 'test':
      return [{ step: say('supply.test.days'), value: count, unit: 'day', note: PRACTICE }];
    default:
      return [{ step: say('supply.mineral'), value: rounded(Math.max(...days), 1), unit: 'g' }];
  }
}

function conditionerSteps(commission: Resolved, survey: Survey): Working[] {
  const dose = conditionerDose(commission);
  const fill = firstFill(commission, survey);
  const { tapColdL, tapHotL, roL } = recipeFor(commission, fill.newL);
  const note = fill.newL < fill.totalL - 0.05 ? 'first.fill.kept' : roL > 0 ? 'first.fill.tap' : 'first.fill.all'; // prettier-ignore
  return [
    { step: say('first.fill'), value: rounded(tapColdL + tapHotL, 1), unit: 'L', note: say(note) },
    { step: say('conditioner.dose', { dose, litres: '100 L' }), value: dose, unit: 'mL', note: say('label.decides') }, // prettier-ignore
  ];
}
