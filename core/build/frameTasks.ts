import { bringing, recipeFor } from '../filling/filling';
import { inCelsius, inLitres } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS, together } from './cautions';
import { step, type Job } from './job';
import { plantingTaskIds } from './plantTasks';
import { RATES } from './rates';
import type { Task } from './task';

/** What every build has: the floor and the gear before it, water and start after it. */
export function openingTasks({ commission }: Job): Task[] {
  return [
    whole(
      'protect',
      'prepare',
      [say('protect.title'), say('protect.short')],
      say('protect.detail'),
      RATES.protect,
      [],
      CAUTIONS.floor,
    ),
    whole(
      'unpack',
      'prepare',
      [say('unpack.title'), say('unpack.short')],
      say(commission.brief.co2 ? 'unpack.detail.co2' : 'unpack.detail'),
      RATES.unpack,
      [],
    ),
  ];
}

export function closingTasks(job: Job): Task[] {
  const { co2 } = job.commission.brief;
  return [
    whole(
      'equipment',
      'finish',
      [say(co2 ? 'equipment.title.co2' : 'equipment.title'), say('equipment.short')],
      say('equipment.detail'),
      RATES.equipment,
      ['unpack', 'gaps', 'stones', 'wood', 'soil'],
    ),
    fill(job),
    whole(
      'refloat',
      'water',
      job.option.plants.length > 0
        ? [say('refloat.title'), say('refloat.short')]
        : [say('refloat.title.bare')],
      say('refloat.detail'),
      RATES.refloat,
      ['fill'],
    ),
    whole(
      'start',
      'finish',
      [say('start.title'), say('start.short')],
      say(co2 ? 'start.detail.co2' : 'start.detail'),
      RATES.start,
      ['fill', 'equipment'],
      co2 ? together([CAUTIONS.power, CAUTIONS.gas]) : CAUTIONS.power,
    ),
    whole(
      'photograph',
      'finish',
      [say('photograph.title'), say('photograph.short')],
      say('photograph.detail'),
      RATES.photograph,
      ['refloat', 'start'],
      CAUTIONS.animals,
    ),
    whole('clear-up', 'finish', [say('clear-up.title')], say('clear-up.detail'), RATES.clearUp, ['fill']),
  ];
}

function fill(job: Job): Task {
  const { freeWaterL, poreWaterL } = job.survey;
  const volume = freeWaterL + poreWaterL;
  return {
    id: 'fill',
    phase: 'water',
    title: say('fill.title', { litres: inLitres(volume, 0) }),
    short: say('fill.short'),
    detail: fillWords(job, volume),
    minutes: bringing(job.commission, volume).minutes,
    people: 1,
    // Everything that is done dry comes first.
    needs: [
      'protect',
      'filler',
      'soil',
      'gaps',
      'sand',
      'wiggle',
      'epiphytes',
      'equipment',
      ...plantingTaskIds(job),
    ],
    caution: CAUTIONS.siphon,
    workings: [
      step(say('step.water'), freeWaterL, 'L'),
      step(say('step.pores'), poreWaterL, 'L'),
      step(say('step.brought'), bringing(job.commission, volume).minutes, 'min', PRACTICE),
    ],
  };
}

/** The water recipe, where the tap was measured, and how it goes in. */
function fillWords({ commission }: Job, volumeL: number): Text {
  if (!commission.site?.tap) return say('fill.how');
  const r = recipeFor(commission, volumeL);
  const parts = [
    [r.tapColdL, 'fill.cold'],
    [r.tapHotL, 'fill.hot'],
    [r.roL, 'fill.ro'],
  ] as const;
  const mix = parts.flatMap(([l, what]) => (l >= 0.5 ? [say(what, { litres: inLitres(l, 0) })] : []));
  return say('fill.detail', { mix, celsius: inCelsius(r.celsius, 0) });
}

/** A task whose duration does not depend on the scape. */
function whole(
  id: string,
  phase: Task['phase'],
  [title, short]: readonly [Text, Text?],
  detail: Text,
  minutes: number,
  needs: string[],
  caution?: Text,
): Task {
  const workings = [step(say('step.whole'), minutes, 'min', PRACTICE)];
  return {
    id,
    phase,
    title,
    ...(short ? { short } : {}),
    detail,
    minutes,
    people: 1,
    needs,
    ...(caution ? { caution } : {}),
    workings,
  };
}
