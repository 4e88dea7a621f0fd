import { rounded } from '../units/quantity';
import { bringing, recipeFor } from '../visit/water';
import { CAUTIONS } from './cautions';
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
      'Floor sheet, stand level, mat',
      '2 mm a metre at most; wipe the glass inside',
      RATES.protect,
      [],
      CAUTIONS.floor,
    ),
    whole(
      'unpack',
      'prepare',
      'Unpack, rinse and lay out the gear',
      `filter, pipes, heater${commission.brief.co2 ? ', CO2 set' : ''}, timer; nothing is missing`,
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
      `Intake, outflow, heater${co2 ? ', diffuser' : ''}`,
      'nothing powered yet; hidden, but within reach',
      RATES.equipment,
      ['unpack', 'gaps', 'stones', 'wood', 'soil'],
    ),
    fill(job),
    whole(
      'refloat',
      'water',
      job.option.plants.length > 0 ? 'Re-plant floaters, net debris' : 'Net debris',
      'cloudy: change 30 % now',
      RATES.refloat,
      ['fill'],
    ),
    whole(
      'start',
      'finish',
      'Media in, filter, heater, light 50 %',
      co2 ? 'CO2 slowly; bacteria; timer set' : 'bacteria; timer set',
      RATES.start,
      ['fill', 'equipment'],
      co2 ? `${CAUTIONS.power} ${CAUTIONS.gas}` : CAUTIONS.power,
    ),
    whole(
      'photograph',
      'finish',
      'Photograph, hand over the guide',
      'from where it will be looked at',
      RATES.photograph,
      ['refloat', 'start'],
      CAUTIONS.animals,
    ),
    whole('clear-up', 'finish', 'Clear up', 'spare stone and soil to the yard, floor dry', RATES.clearUp, [
      'fill',
    ]),
  ];
}

function fill(job: Job): Task {
  const { freeWaterL, poreWaterL } = job.survey;
  const volume = freeWaterL + poreWaterL;
  return {
    id: 'fill',
    phase: 'water',
    title: `Fill, slowly, ${rounded(volume, 0)} L`,
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
      step('water above the bed', freeWaterL, 'L'),
      step('in the bed', poreWaterL, 'L'),
      step('brought and poured', bringing(job.commission, volume).minutes, 'min', 'common practice'),
    ],
  };
}

/** The water recipe, where the tap was measured, and how it goes in. */
function fillWords({ commission }: Job, volumeL: number): string {
  const how = 'over a stone or through a bag; conditioner in it';
  if (!commission.site?.tap) return how;
  const r = recipeFor(commission, volumeL);
  const parts = [
    [r.tapColdL, 'cold'],
    [r.tapHotL, 'hot'],
    [r.roL, 'RO'],
  ] as const;
  const mix = parts.flatMap(([l, what]) => (l >= 0.5 ? [`${rounded(l, 0)} L ${what}`] : [])).join(', ');
  return `${mix}: ${rounded(r.celsius, 0)} °C; ${how}`;
}

/** A task whose duration does not depend on the scape. */
function whole(
  id: string,
  phase: Task['phase'],
  title: string,
  detail: string,
  minutes: number,
  needs: string[],
  caution?: string,
): Task {
  const workings = [step('as a whole', minutes, 'min', 'common practice')];
  return { id, phase, title, detail, minutes, people: 1, needs, ...(caution ? { caution } : {}), workings };
}
