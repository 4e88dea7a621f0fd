import { whyNotEarlier } from '../../buildDay/whyNot';
import { daysFrom, dayPlus } from '../../calendar/day';
import { optionOf } from '../../commission/lookup';
import { animalsOf } from '../../commission/usual';
import { pieceOrigin } from '../../commission/origin';
import { gearOf, lateDevices, leavingGear, unpackedDevices } from '../../gear/gear';
import { bacteriaDays } from '../../regime/bacteria';
import { laterLayers } from '../../takeoff/later';
import { poursOf } from '../../takeoff/pours';
import { waitingAnimals } from '../../visit/waiting';
import { words, task, careDays, events, type Agreements } from './planned';
import { resolved } from '../resolved';
import { gasFrom } from '../../regime/gas';

/** The day, its clocks and its visits: what comes before what, who does it, and only with what there is. */
export const DAY: Agreements = {
  'animals that live in it are seen to before anything is stirred, and are back where they were taken out': (
    c,
  ) => {
    const waiting = waitingAnimals(resolved(c.doc, c.p.survey), c.p.survey);
    const [out, back] = [task(c, 'holding'), task(c, 'return')];
    if (!waiting) return [out, back].filter(Boolean);
    const first = ['drain', 'strip'].flatMap((id) => task(c, id) ?? []);
    const comesBack = events(c).some(([, e]) => /back if ammonia/.test(e));
    return [
      ...first.filter((t) => !out || t.startMin < out.endMin),
      ...(Boolean(back) === (waiting.where === 'tubs') && comesBack === (waiting.where === 'elsewhere') ? [] : [[waiting.where, back, comesBack]]), // prettier-ignore
      ...(waiting.where !== 'elsewhere' && task(c, 'fill') && c.p.build.lanes.filter((l) => l.kind === 'animals').length !== 1 ? ['no clock'] : []), // prettier-ignore
    ];
  },
  'who leaves is caught before anything is stirred, and is neither waited for nor in the guide': (c) => {
    const { leaving, here } = animalsOf(c.doc.brief);
    const [out, back] = [task(c, 'leaving'), task(c, 'holding')];
    const first = ['holding', 'drain', 'strip'].flatMap((id) => task(c, id) ?? []);
    return [
      ...(Boolean(out) === leaving.length > 0 ? [] : [[out, leaving]]),
      ...first.filter((t) => out && t.startMin < out.endMin),
      ...(back && here.length === 0 ? [back] : []),
    ];
  },
  'plants are set before the water comes, or through all of it where the school has that': (c) => {
    const [fill, isFlooded] = [task(c, 'fill'), c.doc.brief.schools?.moisture === 'flooded'];
    const rooted = c.p.build.tasks.filter((t) => t.id.startsWith('plant-'));
    return fill && !isFlooded ? rooted.filter((t) => t.endMin > fill.startMin) : [];
  },
  'sand that is only looked at lies before or after the plants, as the school has it': (c) => {
    const { sand = 'last', moisture } = c.doc.brief.schools ?? {};
    const looked = poursOf(resolved(c.doc, c.p.survey), c.p.survey).flatMap((q) =>
      q.role === 'cosmetic' ? (task(c, q.task) ?? []) : [],
    );
    const rooted = c.p.build.tasks.filter((t) => t.id.startsWith('plant-'));
    if (moisture === 'flooded') return [];
    return looked.flatMap((l) =>
      rooted.filter((t) => (sand === 'before' ? t.startMin < l.endMin : t.endMin > l.startMin)),
    );
  },
  'every task starts when what it needs is done and has cured': (c) =>
    c.p.build.tasks.flatMap((t) =>
      Object.keys(t.needs).filter((id) => {
        const need = task(c, id);
        return need && need.endMin + (need.cure?.minutes ?? 0) > t.startMin + 1e-9;
      }),
    ),
  'nobody does two things at once, and no task has more hands than come': (c) => {
    const busy = c.p.build.tasks.flatMap((t) => t.crew.map((who) => ({ who, ...t })));
    return busy.filter((a) => a.who >= c.doc.brief.crew || busy.some((b) => b !== a && b.who === a.who && b.startMin < a.endMin && a.startMin < b.endMin)); // prettier-ignore
  },
  'the day ends with its last task, and the water is in when it is filled': (c) => {
    const { doneMin, waterInMin, tasks } = c.p.build;
    return [
      [doneMin, Math.max(...tasks.map((t) => t.endMin))],
      [waterInMin, task(c, 'fill')?.endMin],
    ].filter(([a, b]) => a !== b);
  },
  'a visit lets the water out first, fills it after what is rooted and laid, and has what floats last': (c) =>
    c.p.build.visits.flatMap(({ tasks, drainL }) => {
      const at = (is: (id: string) => boolean) => tasks.flatMap((t, i) => (is(t.id) ? [i] : []));
      const [out, fill] = [at((id) => id === 'drain'), at((id) => id === 'fill')];
      const wet = at((id) => /^(?:plant-|later-|epiphytes$)/.test(id));
      const floating = at((id) => id === 'floaters');
      if (wet.length === 0) return [...out, ...fill, ...(drainL > 0 ? ['drained for nothing'] : [])];
      return [
        ...(out[0] === 0 && out.length === 1 && fill.length === 1 ? [] : tasks.map((t) => t.id)),
        ...wet.filter((i) => i > fill[0]),
        ...floating.filter((i) => i < fill[0]),
      ];
    }),
  'a visit and a week of the guide last as long as their parts': (c) => [
    ...c.p.build.visits.filter((v) => v.minutes !== Math.round(v.tasks.reduce((n, t) => n + t.minutes, 0))),
    ...c.p.care.weeks.filter((w) => w.minutes !== Math.round(w.upkeep.reduce((n, u) => n + u.minutes, 0))),
  ],
  'each new piece is set once, and what is there is neither washed nor set': (c) => {
    const { option } = { option: optionOf(c.doc, c.p.survey.optionId) };
    const brought = option.pieces.filter((q) => pieceOrigin(c.doc, q) !== 'here').length;
    const counted = ['stones', 'ware', 'wood', 'floor-stones'].reduce((n, id) => n + (task(c, id)?.workings[0].value ?? 0), 0); // prettier-ignore
    return brought === counted ? [] : [[brought, counted]];
  },
  'what is unpacked, put in and started is on the list, and there by the day': (c) => {
    const late = lateDevices({ gear: gearOf(c.doc) }).map((g) => g.name);
    const said = ['unpack', 'equipment', 'start'].flatMap((id) => (task(c, id) ? [words(task(c, id)!.detail).split('; still to come')[0]] : [])); // prettier-ignore
    const unpacked = task(c, 'unpack') && !c.doc.brief.rescape?.filterKept ? unpackedDevices({ gear: gearOf(c.doc) }).map((g) => g.name) : []; // prettier-ignore
    return [
      ...late.filter((name) => said.some((s) => s.includes(name))),
      ...unpacked.filter((name) => !said[0].includes(name)),
    ];
  },
  'a heater, a pump, bacteria, media are named only where there are any': (c) => {
    const kinds = new Set([...gearOf(c.doc), ...leavingGear(c.doc)].map((g) => g.kind));
    const said = c.p.build.tasks.map((t) => `${words(t.title)} ${words(t.detail)}`).join('\n').replaceAll(/device \w+( \w+)? \d+/g, ''); // prettier-ignore
    return [
      /heater/i.test(said) && !kinds.has('heater') ? 'heater' : '',
      /bacteria/i.test(said) && !bacteriaDays(c.doc).includes(0) ? 'bacteria' : '',
      /CO2/.test(said) &&
      (!c.doc.brief.co2 ||
        (kinds.size > 0 &&
          !kinds.has('co2') &&
          !c.doc.brief.rescape &&
          c.doc.brief.co2CostMinor === undefined))
        ? 'CO2'
        : '',
      /\bmat\b/.test(said) && !kinds.has('mat') && !c.doc.vessel.mat ? 'mat' : '',
    ].filter(Boolean);
  },
  'gear that comes late has its visit and its day in the guide': (c) =>
    lateDevices({ gear: gearOf(c.doc) }).filter(({ name, device }) => {
      const after = daysFrom(c.doc.brief.buildDay, device.arrives!);
      const visit = c.p.build.visits.find((v) => v.afterDays === after);
      return !visit?.tasks.some((t) => words(t.title) === name) || !events(c).some(([d, e]) => d === after && e.includes(name)); // prettier-ignore
    }),
  'gas begins when it has come, on the same day in guide and calendar': (c) => {
    const after = gasFrom(resolved(c.doc, c.p.survey))?.day;
    const from = c.p.care.light.co2From;
    const said = events(c)
      .filter(([, e]) => /CO2 (on|begins|starts)|gas/i.test(e))
      .map(([d]) => d);
    const wanted = after ? dayPlus(c.doc.brief.buildDay, after) : undefined;
    return [...(from === wanted ? [] : [[from, wanted]]), ...(after && !said.includes(after) ? [said] : [])];
  },
  'every task can say what it waits for': (c) =>
    c.p.build.tasks.filter((t) => {
      const { waitedFor } = whyNotEarlier(t, c.p.build.tasks);
      return (waitedFor.length === 0) !== (t.startMin === 0) || waitedFor.some((id) => !task(c, id));
    }),
  'a layer is poured after what it lies on': (c) => {
    const later = new Set(laterLayers(resolved(c.doc, c.p.survey), c.p.survey).map((l) => l.id));
    const today = poursOf(resolved(c.doc, c.p.survey), c.p.survey).filter(
      (p) => !later.has(p.layer) && p.role !== 'cosmetic',
    );
    const fillers = today.filter((p) => p.role === 'filler');
    return today.flatMap((p, i) =>
      today.slice(0, i).filter((below) => {
        // Bags of several hills go in together, before all that lies on the lowest.
        if (p.role === 'filler' && p !== fillers[0]) return false;
        const [own, other] = [task(c, p.task), task(c, below.task)];
        return own && other && own.id !== other.id && own.startMin < other.endMin;
      }),
    );
  },
  'what stays and is moved is moved before bed and water': (c) => {
    const moved = task(c, 'move');
    const after = c.p.build.tasks.filter((t) => ['filler', 'soil', 'fill', 'stones'].includes(t.id) || t.id.startsWith('layer-')); // prettier-ignore
    return moved ? after.filter((t) => t.startMin < moved.endMin) : [];
  },
  'a visit that drains is the change of its day': (c) =>
    c.p.build.visits.filter(
      (v) => v.drainL > 0 && careDays(c).some((d) => d.afterDays === v.afterDays && d.change),
    ),
  'nothing is named twice or with nothing of it': (c) =>
    c.p.build.tasks.map((t) => `${words(t.title)}: ${words(t.detail)}`).filter((s) => /(^|\D)0 (L|kg|min|pack|plug)/.test(s) || /(material \w+ \d+)[, and]+\1/.test(s)), // prettier-ignore
};
