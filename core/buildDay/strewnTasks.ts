import { isRubble } from '../commission/rubble';
import type { ResolvedStrewn } from '../resolved/resolved';
import { taskOfStrewn } from '../sittings/homes';
import { inKg, inLitres, inMm } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import { each, perLitre, step, type Job } from './job';
import { RATES } from './rates';
import type { Step } from './task';

/** Loose stone before anything is planted between it, the largest first; grain into holes and over edges when all else lies. */
export function strewnTasks({ strewn }: Pick<Job, 'strewn'>): Step[] {
  const of = (task: 'rubble' | 'sprinkle') => largestFirst(strewn.filter((s) => taskOfStrewn(s.material) === task));
  return [...rubbleTask(of('rubble')), ...sprinkleTask(of('sprinkle'))];
} // prettier-ignore

/** Stone that is strewn. */
function rubbleTask(lots: readonly ResolvedStrewn[]): Step[] {
  if (lots.length === 0) return [];
  const kg = lots.reduce((sum, { amount }) => sum + amount.massKg, 0);
  return [
    {
      id: 'rubble',
      phase: 'hardscape',
      title: say('rubble.title', { mass: inKg(kg) }),
      short: say('rubble.short'),
      detail: say('rubble.detail', { lots: inTurn(lots) }),
      minutes: lots.length * RATES.strewnPerLot + kg * RATES.strewnPerKg,
      people: 1,
      caution: say('caution.rubble'),
      workings: [
        step(say('step.lots'), lots.length, 'piece', each(RATES.strewnPerLot)),
        step(say('step.mass'), kg, 'kg', say('rate.kg', { minutes: RATES.strewnPerKg })),
      ],
    },
  ];
}

/** Grain that is strewn. */
function sprinkleTask(lots: readonly ResolvedStrewn[]): Step[] {
  if (lots.length === 0) return [];
  const litres = lots.reduce((sum, { amount }) => sum + amount.litres, 0);
  const names = [...new Set(lots.map((s) => s.material.name))];
  return [
    {
      id: 'sprinkle',
      phase: 'substrate',
      title: say('sprinkle.title', { names, litres: inLitres(litres, 2) }),
      short: say('sprinkle.short', { names }),
      detail: say('sprinkle.detail', { lots: inTurn(lots) }),
      minutes: litres * RATES.sprinklePerL + lots.length * RATES.strewnPerLot,
      people: 1,
      workings: [
        step(say('step.lots'), lots.length, 'piece', each(RATES.strewnPerLot)),
        step(say('step.poured'), litres, 'L', perLitre(RATES.sprinklePerL)),
      ],
    },
  ];
}

function largestFirst(lots: readonly ResolvedStrewn[]): ResolvedStrewn[] {
  const largest = ({ strewn }: ResolvedStrewn) => strewn.sizeMm?.[1] ?? 0;
  return [...lots].sort((a, b) => largest(b) - largest(a));
}

/** One lot after the other, as they are strewn. */
function inTurn(lots: readonly ResolvedStrewn[]): Text {
  return lots.map(lotWords).reduce((one, other) => say('strewn.then', { one, other }));
}

/** `1.5 kg of grey stone, 20 to 60 mm, round S-1 and S-2`. */
function lotWords({ strewn, material, amount }: ResolvedStrewn): Text {
  const how = isRubble(material) ? inKg(amount.massKg) : inLitres(amount.litres, 2);
  const lot: Said = say('strewn.lot', { amount: how, material: material.name });
  const [from, to] = strewn.sizeMm ?? [];
  const sized = from === undefined ? lot : say('strewn.lot.sized', { lot, from: inMm(from), to: inMm(to!) });
  return strewn.around ? say('strewn.lot.around', { lot: sized, pieces: strewn.around }) : sized;
}
