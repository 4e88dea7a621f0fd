import { layerName } from '../commission/origin';
import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { preparedOf } from '../planting/preparation';
import { plantingSequence } from '../survey/plantingSequence';
import { bringing, canMinutes } from '../filling/filling';
import { lateDevices } from '../gear/gear';
import { inLitres, inMm } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import type { Job } from './job';
import { halfFill, laterLayers } from '../takeoff/later';
import { RATES } from './rates';

/** One thing done on a later visit. */
export interface VisitTask {
  title: Said;
  detail: Text;
  minutes: number;
  caution?: Text;
}

/** A day after the build on which the studio comes again, with its own run sheet. */
export interface LaterVisit {
  day: Day;
  afterDays: number;
  /** Water that is let out for it and put back, L, and the height it stands at meanwhile; 0 where none has to. */
  drainL: number;
  drainToMm: number;
  tasks: VisitTask[];
  minutes: number;
}

/** What was put off on purpose, and gear that comes late: a visit for each day, in order. */
export function visitsOf(job: Job): LaterVisit[] {
  const { commission, survey } = job;
  const byDay = new Map<number, { tasks: VisitTask[]; wet: boolean }>();
  const add = (afterDays: number, task: VisitTask, wet: boolean) => {
    const known = byDay.get(afterDays) ?? { tasks: [], wet: false };
    byDay.set(afterDays, { tasks: [...known.tasks, task], wet: known.wet || wet });
  };
  for (const { afterDays, litres, layer } of laterLayers(commission, survey))
    add(
      afterDays,
      {
        title: say('layer.title', {
          material: layerName(commission, layer),
          litres: inLitres(litres),
        }),
        detail: say('soil.detail.wet'),
        minutes: litres * (RATES.pourWetPerL + RATES.rinsePerL),
      },
      true,
    );
  for (const turn of plantingSequence(commission, survey)) {
    const { plant, afterDays } = turn;
    const { plugs, minutes, todo } = preparedOf(turn);
    if (!afterDays || plugs === 0) continue;
    const each =
      plant.roots === 'epiphyte' ? RATES.epiphyte : plant.roots === 'float' ? RATES.floater : RATES.plug;
    add(
      afterDays,
      {
        title: plant.name,
        detail: say('visit.plant', { count: plugs, todo }),
        minutes: plugs * each + minutes,
        caution: CAUTIONS.mist,
      },
      plant.roots !== 'float',
    );
  }
  for (const device of lateDevices(commission))
    add(
      daysFrom(commission.brief.buildDay, device.device.arrives!),
      {
        title: device.name,
        detail: say('visit.gear'),
        minutes: RATES.equipment * job.size,
        caution: CAUTIONS.power,
      },
      false,
    );
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([afterDays, { tasks, wet }]) => visitOf(job, afterDays, tasks, wet));
}

function visitOf(
  { commission, survey }: Job,
  afterDays: number,
  work: VisitTask[],
  wet: boolean,
): LaterVisit {
  const { mm: toMm, outL: drainL } = wet ? halfFill(commission, survey) : { mm: 0, outL: 0 };
  const tasks = wet ? [drain(drainL, toMm), ...work, refill(commission, drainL)] : work;
  return {
    day: dayPlus(commission.brief.buildDay, afterDays),
    afterDays,
    drainL,
    drainToMm: toMm,
    tasks,
    minutes: Math.round(tasks.reduce((sum, t) => sum + t.minutes, 0)),
  };
}

function drain(litres: number, toMm: number): VisitTask {
  return {
    title: say('drain.title', { litres: inLitres(litres, 0) }),
    detail: say('visit.drain', { height: inMm(toMm) }),
    minutes: RATES.drain + litres * RATES.stripPerL,
    caution: CAUTIONS.strip,
  };
}

function refill(commission: Job['commission'], litres: number): VisitTask {
  const cans = commission.site?.carry === 'cans' ? canMinutes(litres, commission.site.tapM) : undefined;
  return {
    title: say('fill.title.there', { litres: inLitres(litres, 0) }),
    detail: say('fill.how'),
    minutes: cans ?? bringing(commission, litres).minutes,
    caution: CAUTIONS.siphon,
  };
}
