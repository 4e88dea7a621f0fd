import { dayPlus, daysFrom, type Day } from '../calendar/day';
import type { Plant } from '../commission/schema';
import { preparedOf } from '../planting/preparation';
import { plantingSequence } from '../planted/plantingSequence';
import { bringing, canMinutes } from '../filling/filling';
import { lateDevices } from '../gear/gear';
import { pieceOf, plantingOf } from '../resolved/resolved';
import { taskOfPiece, taskOfPlant } from '../sittings/homes';
import { afterwardsOf, BUILD, type Sitting } from '../sittings/sittings';
import { inKg, inLitres, inMm } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { liftingOf } from './hardscapeTasks';
import type { Job } from './job';
import { oneByOne } from './order';
import { halfFill, laterLayers } from '../takeoff/later';
import { paced } from './pace';
import { RATES } from './rates';

/** One thing done on a later visit; its id says what it is to the order of work (`order.ts`). */
export interface VisitTask {
  id: string;
  /** The task of the work that it is, where it was given this sitting and may be given another. */
  task?: string;
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
  /** The sitting that it is, where there is one for that day: what it is called, when it starts and with how many. */
  sitting?: string;
  title?: Said;
  startTime?: string;
  crew?: number;
  note?: string;
}

/** Something to do so many days after the build; `wet` where hands or sand go in, and water out for it. */
interface Later {
  afterDays: number;
  task: VisitTask;
  wet: boolean;
}

/** What was put off on purpose, and gear that comes late: a visit for each day, in order. */
export function visitsOf(job: Job): LaterVisit[] {
  const later = [
    ...laterPours(job),
    ...laterPieces(job),
    ...laterPlants(job),
    ...takenOutAgain(job),
    ...tiesCut(job),
    ...lateGear(job),
    ...looks(job),
  ];
  const days = [...new Set(later.map((l) => l.afterDays))].sort((a, b) => a - b);
  return days.map((afterDays) => {
    const due = later.filter((l) => l.afterDays === afterDays);
    const visit = visitOf(
      job,
      afterDays,
      due.map((l) => l.task),
      due.some((l) => l.wet),
    );
    const sitting = afterwardsOf(job.commission).find((s) => s.aheadDays === -afterDays);
    return sitting ? { ...visit, ...named(sitting) } : visit;
  });
}

function named({ id, kind, title, start, crew, note }: Sitting): Partial<LaterVisit> {
  return {
    sitting: id,
    title: title ?? say(`sitting.${kind}`),
    startTime: start,
    crew,
    ...(note ? { note } : {}),
  };
}

/** A sitting after the water begins with a look at what has moved, and a picture where it was put off to it. */
function looks({ commission, size }: Job): Later[] {
  const look = { id: 'look', title: say('visit.look.title'), detail: say('visit.look.detail'), minutes: RATES.look * size }; // prettier-ignore
  const bySchool: Later[] = commission.brief.schools?.lookAfter && afterwardsOf(commission).every((s) => s.aheadDays !== -1) ? [{ afterDays: 1, wet: false, task: look }] : []; // prettier-ignore
  const sittings = afterwardsOf(commission).flatMap((sitting): Later[] => {
    const later = (task: VisitTask): Later => ({ afterDays: -sitting.aheadDays, wet: false, task });
    const picture = { id: 'photograph', task: 'photograph', title: say('photograph.title'), detail: say('photograph.detail'), minutes: RATES.photograph * size }; // prettier-ignore
    return [later(look), ...(sitting.tasks.includes('photograph') ? [later(picture)] : [])];
  });
  return [...bySchool, ...sittings];
}

/** Stones and wood that are set when the water is in. */
function laterPieces({ commission, survey }: Job): Later[] {
  return survey.pieces.flatMap((p): Later[] => {
    const { onDay, material, piece, sitting } = pieceOf(commission, p.id);
    if (onDay <= 0) return [];
    const isWood = material.kind === 'wood';
    return [
      {
        afterDays: onDay,
        wet: true,
        task: {
          id: `${isWood ? 'wood' : 'stones'}-${p.id}`,
          ...inSitting(sitting, taskOfPiece(piece, material.kind)),
          title: say('visit.piece.title', { piece: p.id, material: material.name }),
          detail: say('visit.piece.detail', { mass: inKg(p.massKg) }),
          minutes: (isWood ? RATES.setPerWood : RATES.setPerPiece) + p.massKg * RATES.setPerKg,
          ...liftingOf([p], isWood ? CAUTIONS.wood : CAUTIONS.stone),
        },
      },
    ];
  });
}

/** What stands there only until something else has soaked or set. */
function takenOutAgain({ commission, survey }: Job): Later[] {
  return survey.pieces.flatMap((p): Later[] => {
    const { outDays } = pieceOf(commission, p.id).piece;
    if (outDays === undefined) return [];
    return [
      {
        afterDays: outDays,
        wet: true,
        task: {
          id: `out-${p.id}`,
          title: say('visit.out.title', { piece: p.id }),
          detail: say('visit.out.detail', { mass: inKg(p.massKg) }),
          minutes: RATES.setPerPiece + p.massKg * RATES.setPerKg,
          ...liftingOf([p]),
        },
      },
    ];
  });
}

/** The task that lays a layer on a later day. */
const pourId = (layer: string) => `later-${layer}`;

function laterPours({ commission, survey }: Job): Later[] {
  return laterLayers(commission, survey).map(({ id, laterDays, litres, name, sitting, task }) => ({
    afterDays: laterDays,
    wet: true,
    task: {
      id: pourId(id),
      ...inSitting(sitting, task),
      title: say('layer.title', { material: name, litres: inLitres(litres) }),
      detail: say('soil.detail.wet'),
      minutes: litres * (RATES.pourWetPerL + RATES.rinsePerL),
    },
  }));
}

/** What was put into a sitting may be put into another; what has so many days of its own may not. */
function inSitting(sitting: string, task: string | undefined): Pick<VisitTask, 'task'> {
  return sitting === BUILD || task === undefined ? {} : { task };
}

/** What a plant is to the order of work, and how long one of it takes, min. */
function settingOf({ plant, id }: { plant: Plant; id: string }): { id: string; each: number } {
  switch (plant.roots) {
    case 'epiphyte':
      return { id: 'epiphytes', each: RATES.epiphyte };
    case 'float':
      return { id: 'floaters', each: RATES.floater };
    default:
      return { id: `plant-${id}`, each: RATES.plug };
  }
}

function laterPlants({ commission, survey }: Job): Later[] {
  return plantingSequence(commission, survey).flatMap((turn): Later[] => {
    const { plant, afterDays, planting } = turn;
    const { plugs, minutes, todo } = preparedOf(turn);
    if (!afterDays || plugs === 0) return [];
    const { id, each } = settingOf({ plant, id: planting.id });
    return byDays(plugs, planting.aDay).map((count, day) => ({
      afterDays: afterDays + day,
      wet: plant.roots !== 'float',
      task: {
        id,
        ...inSitting(plantingOf(commission, planting.id).sitting, taskOfPlant(plant)),
        title: plant.name,
        detail: say('visit.plant', { count, todo }),
        minutes: count * each + (minutes * count) / plugs,
        caution: CAUTIONS.mist,
      },
    }));
  });
}

/** Plugs by day: all at once, or so many a day until none is left. `byDays(40, 15)` is `[15, 15, 10]`. */
export function byDays(plugs: number, aDay = plugs): number[] {
  return Array.from({ length: Math.ceil(plugs / aDay) }, (_, day) => Math.min(aDay, plugs - day * aDay));
}

/** Ties that are cut when what they held has set, those of one day together. */
function tiesCut({ joints, size }: Job): Later[] {
  const days = [...new Set(joints.flatMap((j) => j.cutDays ?? []))];
  return days.map((afterDays) => {
    const own = joints.filter((j) => j.cutDays === afterDays).map((j) => j.id);
    const task = { id: 'cut', title: say('visit.cut.title', { joints: own }), detail: say('visit.cut.detail'), minutes: own.length * RATES.jointTie * size }; // prettier-ignore
    return { afterDays, wet: true, task };
  });
}

function lateGear({ commission, size }: Job): Later[] {
  return lateDevices(commission).map((device) => ({
    afterDays: daysFrom(commission.brief.buildDay, device.device.arrives!),
    wet: false,
    task: {
      id: 'equipment',
      title: device.name,
      detail: say('visit.gear'),
      minutes: RATES.equipment * size,
      caution: CAUTIONS.power,
    },
  }));
}

function visitOf(job: Job, afterDays: number, work: VisitTask[], wet: boolean): LaterVisit {
  const { commission, survey } = job;
  const { mm: toMm, outL: drainL } = wet ? halfFill(commission, survey) : { mm: 0, outL: 0 };
  // What has moved is seen before anything is stirred.
  const [first, rest] = [work.filter((t) => t.id === 'look'), work.filter((t) => t.id !== 'look')];
  const all = (wet ? [...first, drain(drainL, toMm), ...rest, refill(commission, drainL)] : [...first, ...rest]).map((t) => paced(t, commission.brief)); // prettier-ignore
  const layers = laterLayers(commission, survey).filter((l) => l.laterDays === afterDays);
  const ids = (list: typeof layers) => new Set(list.map((l) => pourId(l.id)));
  const tasks = oneByOne(all, job, {
    laid: ids(layers),
    lookedAt: ids(layers.filter((l) => l.role === 'cosmetic')),
  });
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
    id: 'drain',
    title: say('drain.title', { litres: inLitres(litres, 0) }),
    detail: say('visit.drain', { height: inMm(toMm) }),
    minutes: RATES.drain + litres * RATES.stripPerL,
    caution: CAUTIONS.strip,
  };
}

function refill(commission: Job['commission'], litres: number): VisitTask {
  const cans = commission.site?.carry === 'cans' ? canMinutes(litres, commission.site.tapM) : undefined;
  return {
    id: 'fill',
    title: say('fill.title.there', { litres: inLitres(litres, 0) }),
    detail: say('fill.how'),
    minutes: cans ?? bringing(commission, litres).minutes,
    caution: CAUTIONS.siphon,
  };
}
