import { dayPlus, daysFrom, type Day } from '../calendar/day';
import type { Plant } from '../commission/schema';
import { preparedOf } from '../planting/preparation';
import { plantingSequence } from '../planted/plantingSequence';
import { bringing, canMinutes } from '../filling/filling';
import { lateDevices, type Gear } from '../gear/gear';
import { pieceOf, plantingOf } from '../resolved/resolved';
import { taskOfPiece, taskOfPlant, taskOfStrewn } from '../sittings/homes';
import { afterwardsOf, BUILD, sittingTitle, type Sitting } from '../sittings/sittings';
import { inKg, inLitres, inMm } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { liftingOf } from './hardscapeTasks';
import type { Job } from './job';
import { oneByOne } from './order';
import { halfFill, laterLayers } from '../takeoff/later';
import { tabbed, type Tabbed } from '../takeoff/rootTabs';
import { tabStep } from './plantTasks';
import { paced } from './pace';
import { RATES } from './rates';
import { strewnTasks } from './strewnTasks';
import type { Phase } from './task';

/** One thing done on a later visit; its id says what it is to the order of work (`order.ts`). */
export interface VisitTask {
  id: string;
  /** The task of the work that it is, where it was given this sitting and may be given another. */
  task?: string;
  phase: Phase;
  title: Said;
  detail: Text;
  minutes: number;
  /** How many it takes at once; one where nothing is said. */
  people?: number;
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
  /** The sitting that it is, where it is one and not only follows from something laid or planted later. */
  sitting?: Sitting;
}

/** What a visit is called: as its sitting is, and so many days after the build. */
export function visitTitle({ sitting, afterDays: after }: Pick<LaterVisit, 'sitting' | 'afterDays'>): Text {
  if (!sitting) return say('visit.title', { after });
  return say('visit.title.named', { title: sittingTitle(sitting), after });
}

/** Something to do so many days after the build; `wet` where hands or sand go in, and water out for it. */
interface Later {
  afterDays: number;
  /** The sitting to which it was given; what has only a day is done in the first of that day. */
  sitting?: string;
  task: VisitTask;
  wet: boolean;
}

/** What was put off on purpose, and gear that comes late: a visit for each sitting, and for each other day, in order. */
export function visitsOf(job: Job): LaterVisit[] {
  const held = afterwardsOf(job.commission);
  const later = [
    ...laterPours(job),
    ...laterPieces(job),
    ...laterStrewn(job),
    ...laterPlants(job),
    ...laterTabs(job),
    ...takenOutAgain(job),
    ...tiesCut(job),
    ...lateGear(job),
    ...looks(job),
  ];
  const sittingOf = ({ sitting, afterDays }: Later) => held.find((s) => (sitting === undefined ? s.aheadDays === -afterDays : s.id === sitting)); // prettier-ignore
  const lots = new Map<string, { afterDays: number; sitting?: Sitting; due: Later[] }>();
  for (const one of later) {
    const [sitting, { afterDays }] = [sittingOf(one), one];
    const key = sitting ? `sitting ${sitting.id}` : `day ${afterDays}`;
    lots.set(key, { afterDays, ...(sitting ? { sitting } : {}), due: [...(lots.get(key)?.due ?? []), one] });
  }
  const place = ({ sitting }: { sitting?: Sitting }) => (sitting ? held.indexOf(sitting) : -1);
  return [...lots.values()]
    .sort((a, b) => a.afterDays - b.afterDays || place(a) - place(b))
    .map(({ afterDays, sitting, due }) => ({
      ...visitOf(job, afterDays, due.map((l) => l.task), due.some((l) => l.wet)),
      ...(sitting ? { sitting } : {}),
    })); // prettier-ignore
}

/** A sitting after the water begins with a look at what has moved, and a picture where it was put off to it. */
function looks({ commission, size }: Job): Later[] {
  const look: VisitTask = { id: 'look', phase: 'finish', title: say('visit.look.title'), detail: say('visit.look.detail'), minutes: RATES.look * size }; // prettier-ignore
  const picture: VisitTask = { id: 'photograph', phase: 'finish', task: 'photograph', title: say('photograph.title'), detail: say('photograph.detail'), minutes: RATES.photograph * size }; // prettier-ignore
  const held = afterwardsOf(commission);
  const bySchool = commission.brief.schools?.lookAfter && held.every((s) => s.aheadDays !== -1);
  return [
    ...(bySchool ? [{ afterDays: 1, wet: false, task: look }] : []),
    ...held.flatMap(
      ({ id, aheadDays, tasks }) =>
      [look, ...(tasks.includes('photograph') ? [picture] : [])].map((task) => ({ afterDays: -aheadDays, sitting: id, wet: false, task })), // prettier-ignore
    ),
  ];
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
        ...named(sitting),
        wet: true,
        task: {
          id: `${isWood ? 'wood' : 'stones'}-${p.id}`,
          phase: 'hardscape',
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
          phase: 'hardscape',
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
  return laterLayers(commission, survey).map(({ id, laterDays, litres, name, sitting, task }): Later => ({
    afterDays: laterDays,
    ...named(sitting),
    wet: true,
    task: {
      id: pourId(id),
      phase: 'substrate',
      ...inSitting(sitting, task),
      title: say('layer.title', { material: name, litres: inLitres(litres) }),
      detail: say('soil.detail.wet'),
      minutes: litres * (RATES.pourWetPerL + RATES.rinsePerL),
    },
  }));
}

/** What is strewn when the water is in, through a tube where it is grain. */
function laterStrewn({ commission }: Job): Later[] {
  const later = commission.strewn.filter((s) => s.onDay > 0 && s.origin !== 'here');
  return later.flatMap((lot) =>
    strewnTasks({ strewn: [lot] }).map(({ id, phase, title, detail, minutes, caution }): Later => ({
      afterDays: lot.onDay,
      ...named(lot.sitting),
      wet: true,
      task: {
        id: `${id}-${lot.strewn.id}`,
        phase,
        ...inSitting(lot.sitting, taskOfStrewn(lot.material)),
        title,
        detail,
        minutes: minutes * RATES.underWater,
        ...(caution ? { caution } : {}),
      },
    })),
  );
}

/** The sitting of a thing that has one after the water. */
const named = (sitting: string): Pick<Later, 'sitting'> => (sitting === BUILD ? {} : { sitting });

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
    const { sitting } = plantingOf(commission, planting.id);
    return byDays(plugs, planting.aDay).map((count, day): Later => ({
      afterDays: afterDays + day,
      // Of several days the first is its sitting's.
      ...(day === 0 ? named(sitting) : {}),
      wet: plant.roots !== 'float',
      task: {
        id,
        phase: 'planting',
        ...inSitting(sitting, taskOfPlant(plant)),
        title: plant.name,
        detail: say('visit.plant', { count, todo }),
        minutes: count * each + (minutes * count) / plugs,
        caution: CAUTIONS.mist,
      },
    }));
  });
}

/** Tabs of what is planted on a later day go in with it. */
function laterTabs({ commission, survey }: Job): Later[] {
  const later = tabbed(commission, survey).filter((t) => t.onDay > 0);
  const lots = new Map<string, Tabbed[]>();
  for (const t of later) {
    const key = `${t.onDay} ${plantingOf(commission, t.planting).sitting}`;
    lots.set(key, [...(lots.get(key) ?? []), t]);
  }
  return [...lots.values()].map((lot): Later => {
    const { id, phase, title, detail, minutes } = tabStep(lot);
    return { afterDays: lot[0].onDay, ...named(plantingOf(commission, lot[0].planting).sitting), wet: true, task: { id, phase, title, detail, minutes: minutes * RATES.underWater } }; // prettier-ignore
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
    const task: VisitTask = { id: 'cut', phase: 'hardscape', title: say('visit.cut.title', { joints: own }), detail: say('visit.cut.detail'), minutes: own.length * RATES.jointTie * size }; // prettier-ignore
    return { afterDays, wet: true, task };
  });
}

/** What a late device is called on its visit, and what is done: put in, or put in another's place. */
function swapWords({ gear }: Job['commission'], { name, device }: Gear): Pick<VisitTask, 'title' | 'detail'> {
  const old = gear.find((g) => g.id === device.replaces);
  if (!old) return { title: name, detail: say('visit.gear') };
  return {
    title: say('visit.swap.title', { device: name, old: old.name }),
    detail: say('visit.swap.detail'),
  };
}

function lateGear({ commission, size }: Job): Later[] {
  return lateDevices(commission).map((device): Later => ({
    afterDays: daysFrom(commission.brief.buildDay, device.device.arrives!),
    wet: false,
    task: {
      id: 'equipment',
      phase: 'finish',
      ...swapWords(commission, device),
      minutes: RATES.equipment * size,
      caution: CAUTIONS.power,
    },
  }));
}

function visitOf(job: Job, afterDays: number, work: VisitTask[], wet: boolean): Omit<LaterVisit, 'sitting'> {
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
    phase: 'water',
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
    phase: 'water',
    title: say('fill.title.there', { litres: inLitres(litres, 0) }),
    detail: say('fill.how'),
    minutes: cans ?? bringing(commission, litres).minutes,
    caution: CAUTIONS.siphon,
  };
}
