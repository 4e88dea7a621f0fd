import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { daysFrom, dayPlus } from './calendar/day';
import { materialOfKind, optionOf } from './commission/lookup';
import { layerOrigin, pieceOrigin, pieceState, plantingOrigin } from './commission/origin';
import type { Commission, SupplyKind } from './commission/schema';
import { bacteriaDays } from './regime/bacteria';
import { gasFromDay, gearOf, lateDevices, unpackedDevices } from './gear/gear';
import { lightOf } from './light/photoperiod';
import { whyNotEarlier } from './build/whyNot';
import { plan, type Plan } from './pipeline/plan';
import { partsInOrder, type PlantedPlan } from './planted/planted';
import { preparationOf, preparedOf } from './planting/preparation';
import { plantingSequence } from './survey/plantingSequence';
import { soakingOf } from './survey/soaking';
import { poursOf } from './takeoff/pours';
import { laterLayers } from './takeoff/later';
import { anyJob, jobDocument, type DrawnJob } from './testing/anyJob';
import { waitingAnimals } from './visit/waiting';
import { inEnglish } from './words/english';
import type { Said } from './words/text';

/*
 * What the stages say of one job agrees: any job of the trade is planned, and what two stages say of the same thing is held
 * against each other. `UTSUWA_SEED` repeats a run, `UTSUWA_JOBS` plans more.
 */

const JOBS = Number(process.env.UTSUWA_JOBS ?? 300);
const SEED = Number(process.env.UTSUWA_SEED ?? Date.now() % 1_000_000_000);
const TODAY = '2026-12-01';

interface Case {
  i: number;
  drawn: DrawnJob;
  doc: Commission;
  p: Plan & { planted: PlantedPlan };
}
const words = (said: Said) => inEnglish(said);
const task = ({ p }: Case, id: string) => p.build.tasks.find((t) => t.id === id);
const careDays = ({ p }: Case) => p.care.weeks.flatMap((w) => w.days);
/** Everything the guide says of single days, by day. */
const events = (c: Case): [day: number, words: string][] => [
  ...careDays(c).flatMap((d) => d.events.map((e): [number, string] => [d.afterDays, words(e)])),
  ...c.p.care.later.map((l): [number, string] => [l.afterDays, words(l.what)]),
];
const fresh = ({ doc, p }: Case) => p.planted.parts.filter((q) => q.count > 0 && plantingOrigin(doc.brief, q.planting) !== 'here'); // prettier-ignore
/** Turns of the day, of which something is set. */
const turnsToday = ({ doc, p }: Case) => plantingSequence(doc, p.survey).filter((t) => t.afterDays === 0 && t.count > 0); // prettier-ignore
const near = (a: number, b: number, by = 1e-6) => Math.abs(a - b) <= by;

/** Each says what does not agree, a line each; nothing where all does. */
const AGREEMENTS: Record<string, (c: Case) => unknown[]> = {
  'plugs are numbered through in the order of planting': (c) => {
    let no = 1;
    return partsInOrder(c.p.planted).filter((q) => {
      const first = no;
      no += q.spots.length / 3;
      return q.firstNo !== first;
    });
  },
  'the run sheet plants in the order in which the plan is numbered, as many kinds at once as hands': (c) => {
    const kinds = [...new Set(turnsToday(c).map((t) => (t.plant.roots === 'bed' ? t.plant.id : t.plant.roots === 'epiphyte' ? 'epiphytes' : 'floaters')))]; // prettier-ignore
    const spans = kinds.flatMap((id) => {
      const own = c.p.build.tasks.filter((t) => t.id === id || t.id.startsWith(`plant-${id}-`));
      return own.length > 0 ? [{ id, from: Math.min(...own.map((t) => t.startMin)), to: Math.max(...own.map((t) => t.endMin)) }] : []; // prettier-ignore
    });
    return spans.filter((later, i) => spans.slice(0, Math.max(0, i - c.doc.brief.crew + 1)).some((first) => first.to > later.from)); // prettier-ignore
  },
  'a visit plants in the order in which the plan is numbered': (c) =>
    c.p.build.visits.filter((v) => {
      const wanted = plantingSequence(c.doc, c.p.survey).filter((t) => t.afterDays === v.afterDays && preparedOf(t).plugs > 0).map((t) => t.plant.name); // prettier-ignore
      const said = v.tasks.map((t) => words(t.title)).filter((t) => wanted.includes(t));
      return said.join() !== wanted.join();
    }),
  'plugs that are set are those at hand': (c) => {
    const of = (roots: string) => turnsToday(c).filter((t) => t.plant.roots === roots).reduce((n, t) => n + Math.min(t.count, t.plugsAtHand), 0); // prettier-ignore
    const set = (test: (id: string) => boolean) => c.p.build.tasks.filter((t) => test(t.id)).reduce((n, t) => n + t.workings[0].value, 0); // prettier-ignore
    return [
      [of('bed'), set((id) => id.startsWith('plant-'))],
      [of('epiphyte'), set((id) => id === 'epiphytes')],
      [of('float'), set((id) => id === 'floaters')],
    ].filter(([a, b]) => a !== b);
  },
  'preparation takes the same minutes in plan and run sheet': (c) => {
    const today = c.p.planted.parts.filter((q) => q.afterDays === 0 && q.count > 0 && q.plugsAtHand > 0);
    const planned = preparationOf(today).minutes;
    const tasks = c.p.build.tasks.filter((t) => t.id.startsWith('prepare-'));
    const day = tasks.reduce((n, t) => n + t.workings.at(-1)!.value, 0);
    return near(planned, day) ? [] : [[planned, day]];
  },
  'animals that live in it are seen to before anything is stirred, and are back where they were taken out': (
    c,
  ) => {
    const waiting = waitingAnimals(c.doc, c.p.survey);
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
  'what is there already is not prepared': (c) =>
    c.p.planted.parts.filter(
      (q) =>
        plantingOrigin(c.doc.brief, q.planting) === 'here' && preparationOf(c.p.planted.parts).rows.has(q.id),
    ),
  'packs that are opened on the day are those that are ordered for it, or settled': (c) => {
    const opened = turnsToday(c).reduce((n, t) => n + preparedOf(t).packs, 0);
    const bought = turnsToday(c).reduce((n, t) => n + (t.planting.form === 'running' ? 0 : (t.planting.packs ?? t.packsNeeded)), 0); // prettier-ignore
    return opened === bought ? [] : [[opened, bought]];
  },
  'every task starts when what it needs is done and has cured': (c) =>
    c.p.build.tasks.flatMap((t) =>
      t.needs.filter((id) => {
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
  'a visit and a week of the guide last as long as their parts': (c) => [
    ...c.p.build.visits.filter((v) => v.minutes !== Math.round(v.tasks.reduce((n, t) => n + t.minutes, 0))),
    ...c.p.care.weeks.filter((w) => w.minutes !== Math.round(w.upkeep.reduce((n, u) => n + u.minutes, 0))),
  ],
  'each new piece is set once, and what is there is neither washed nor set': (c) => {
    const { option } = { option: optionOf(c.doc, c.p.survey.optionId) };
    const brought = option.pieces.filter((q) => pieceOrigin(c.doc, q) !== 'here').length;
    const counted = ['stones', 'wood', 'floor-stones'].reduce((n, id) => n + (task(c, id)?.workings[0].value ?? 0), 0); // prettier-ignore
    return brought === counted ? [] : [[brought, counted]];
  },
  'a layer is poured on the day or on its visit, and in all as much as the take-off brings': (c) => {
    const late = new Set(laterLayers(c.doc, c.p.survey).map((l) => l.id));
    return poursOf(c.doc, c.p.survey).filter(({ layer, task: id, role, litres }) => {
      if (late.has(layer)) return task(c, id) !== undefined || !c.p.build.visits.some((v) => v.afterDays === laterLayers(c.doc, c.p.survey).find((l) => l.id === layer)!.afterDays); // prettier-ignore
      if (role === 'filler') return false;
      const said = role === 'soil' ? [task(c, 'soil'), task(c, 'gaps')] : [task(c, id)];
      return !near(
        said.reduce((n, t) => n + (t?.workings[0].value ?? 0), 0),
        litres,
        1e-6,
      );
    });
  },
  'every layer, stone and plant that is bought has its line, and none that is not': (c) => {
    const option = optionOf(c.doc, c.p.survey.optionId);
    const has = (id: string) => c.p.takeOff.lines.find((l) => l.id === id);
    const bought = [
      ...option.bed.filter((l) => layerOrigin(c.doc.brief, l) === 'bought').map((l) => l.material),
      ...option.plants.filter((q) => plantingOrigin(c.doc.brief, q) === 'bought').map((q) => q.plant),
    ];
    return bought.filter((id) => !has(id));
  },
  'a device is bought when it says so, and by nothing else': (c) => {
    const lines = c.p.takeOff.lines.filter((l) => l.kind === 'gear').map((l) => l.id);
    const own = gearOf(c.doc)
      .filter((g) => g.origin === 'bought')
      .map((g) => g.article?.id ?? `gear-${g.id}`);
    return lines.filter((id) => !own.includes(id)).concat(own.filter((id) => !lines.includes(id)));
  },
  'what is unpacked, put in and started is on the list, and there by the day': (c) => {
    const late = lateDevices(c.doc).map((g) => g.name);
    const said = ['unpack', 'equipment', 'start'].flatMap((id) => (task(c, id) ? [words(task(c, id)!.detail).split('; still to come')[0]] : [])); // prettier-ignore
    const unpacked = task(c, 'unpack') && !c.doc.brief.rescape?.filterKept ? unpackedDevices(c.doc).map((g) => g.name) : []; // prettier-ignore
    return [
      ...late.filter((name) => said.some((s) => s.includes(name))),
      ...unpacked.filter((name) => !said[0].includes(name)),
    ];
  },
  'a heater, a pump, bacteria, media are named only where there are any': (c) => {
    const kinds = new Set(gearOf(c.doc).map((g) => g.kind));
    const said = c.p.build.tasks.map((t) => `${words(t.title)} ${words(t.detail)}`).join('\n').replaceAll(/device \w+( \w+)? \d+/g, ''); // prettier-ignore
    return [
      /heater/i.test(said) && !kinds.has('heater') ? 'heater' : '',
      /bacteria/i.test(said) && !bacteriaDays(c.doc).includes(0) ? 'bacteria' : '',
      /CO2/.test(said) && !c.doc.brief.co2 ? 'CO2' : '',
    ].filter(Boolean);
  },
  'gear that comes late has its visit and its day in the guide': (c) =>
    lateDevices(c.doc).filter(({ name, device }) => {
      const after = daysFrom(c.doc.brief.buildDay, device.arrives!);
      const visit = c.p.build.visits.find((v) => v.afterDays === after);
      return !visit?.tasks.some((t) => words(t.title) === name) || !events(c).some(([d, e]) => d === after && e.includes(name)); // prettier-ignore
    }),
  'gas begins when it has come, on the same day in guide and calendar': (c) => {
    const after = gasFromDay(c.doc);
    const from = c.p.care.light.co2From;
    const said = events(c)
      .filter(([, e]) => /CO2 (on|begins|starts)|gas/i.test(e))
      .map(([d]) => d);
    const wanted = after ? dayPlus(c.doc.brief.buildDay, after) : undefined;
    return [...(from === wanted ? [] : [[from, wanted]]), ...(after && !said.includes(after) ? [said] : [])];
  },
  'the first trim of a plant is planting’s, and none where it has none': (c) => {
    const wanted = new Map<string, number>();
    for (const q of fresh(c)) if (q.trims.length > 0) wanted.set(q.plant.name, Math.min(q.trims[0], wanted.get(q.plant.name) ?? Infinity)); // prettier-ignore
    const said = events(c).filter(([, e]) => e.startsWith('first trim')).map(([d, e]) => `${d} ${e.split(': ')[1]}`).sort(); // prettier-ignore
    const own = [...wanted].map(([name, day]) => `${day} ${name}`).sort();
    return said.join() === own.join() ? [] : [[said, own]];
  },
  'a carpet closes on one day in planting and guide': (c) => {
    const closes = fresh(c).filter((q) => q.plant.habit === 'carpet' && q.cover && q.cover.days >= 1 && q.cover.days <= 365); // prettier-ignore
    const own = [...new Set(closes.map((q) => `${Math.round(q.cover!.days)} ${q.plant.name}`))].sort();
    const said = events(c).filter(([, e]) => e.startsWith('closed by')).map(([d, e]) => `${d} ${e.split(': ')[1]}`).sort(); // prettier-ignore
    return own.join() === said.join() ? [] : [[own, said]];
  },
  'leaves that were cut off before planting do not melt ten days later': (c) => {
    const melts = events(c)
      .filter(([, e]) => /melt/.test(e))
      .map(([, e]) => e)
      .join();
    return fresh(c).filter((q) => q.plant.emersedLeaves === 'melt' && !fresh(c).some((r) => r.plant.name === q.plant.name && r.plant.emersedLeaves === 'change') && melts.includes(q.plant.name)); // prettier-ignore
  },
  'upkeep cuts in the weeks in which something is cut': (c) =>
    c.p.care.weeks.filter((w) => {
      const cut = c.p.planted.parts.some((q) => q.trims.some((d) => Math.ceil(d / 7) === w.week) && ['stem', 'carpet', 'moss', 'creeper', 'grass'].includes(q.plant.habit ?? '') && (q.plant.habit === 'stem' ? q.count : q.netM2) > 0.002); // prettier-ignore
      const said = w.upkeep.some((u) => u.kind === 'trimming');
      return cut && !said;
    }),
  'light is one figure in planting, run sheet and guide': (c) => {
    const start = task(c, 'start');
    const lamps = gearOf(c.doc).filter((g) => g.kind === 'lamp' && !g.late);
    const lit = lamps.length > 0 || gearOf(c.doc).length === 0;
    const percent = Math.round(lightOf(c.doc, 1).outputShare * 100);
    return [
      ...(start && words(start.title).includes(`${percent} %`) !== lit ? [words(start.title)] : []),
      ...(c.p.planted.living.hours === c.p.care.weeks[7].hours ? [] : [c.p.planted.living.hours]),
    ];
  },
  'bacteria are dosed where they are bought, and bought where they are dosed': (c) => {
    const line = c.p.takeOff.lines.find((l) => l.id === 'bac');
    const dosed = events(c).some(([, e]) => /bacteria/i.test(e)) || /bacteria/.test(words(task(c, 'start')?.detail ?? '')); // prettier-ignore
    return Boolean(line) === bacteriaDays(c.doc).length > 0 && Boolean(line) === dosed ? [] : [[line, dosed]];
  },
  'what the guide uses up is bought for its whole span, and nothing else of the kind': (c) => {
    const days = careDays(c);
    const food = days.reduce((n, d) => n + d.doses, 0) * (c.p.care.dosing.mlADose ?? 0);
    const tests = days.filter((d) => d.test).length;
    const own = new Map(c.p.care.supplies.map((s) => [s.kind, s.value]));
    const lines = new Map(c.p.takeOff.lines.map((l) => [l.id, l.needed.value]));
    const idOf = (kind: SupplyKind) => materialOfKind(c.doc, kind)?.id ?? kind;
    const isKit = gearOf(c.doc).some((g) => g.kind === 'test-kit');
    return [
      ['plant-food', food, own.get('plant-food') ?? 0, lines.get(idOf('plant-food')) ?? 0],
      ['test', tests, own.get('test') ?? 0, isKit ? tests : (lines.get(idOf('test')) ?? 0)],
    ].filter(([, used, said, bought]) => !near(used as number, said as number) || !near(used as number, bought as number)); // prettier-ignore
  },
  'nothing is needed later than what needs it, or comes after it is needed': (c) =>
    c.p.order.suppliers.flatMap(
      (s) =>
      s.lines.filter((l) => (l.arriveBy && l.arriveBy > l.neededOn) || (l.orderBy && l.arriveBy && l.orderBy > l.arriveBy)), // prettier-ignore
    ),
  'what is set, poured or planted is ordered for the day on which it goes in': (c) => {
    const firsts = new Map<string, number>();
    const note = (id: string, after: number) => firsts.set(id, Math.min(after, firsts.get(id) ?? Infinity));
    for (const t of plantingSequence(c.doc, c.p.survey)) if (plantingOrigin(c.doc.brief, t.planting) === 'bought') note(t.plant.id, t.afterDays!); // prettier-ignore
    return c.p.order.suppliers
      .flatMap((s) => s.lines)
      .filter((l) => firsts.has(l.line) && daysFrom(c.doc.brief.buildDay, l.neededOn) > firsts.get(l.line)!);
  },
  'only dry wood that is brought and would float is soaked': (c) => {
    const option = optionOf(c.doc, c.p.survey.optionId);
    const soaked = c.p.build.beforehand
      .filter((b) => b.kind === 'soak')
      .map((b) => words(b.title))
      .join(' ');
    return option.pieces.filter((q) => {
      const from = pieceOrigin(c.doc, q);
      const floats = c.p.survey.groups.find((g) => g.pieces.includes(q.id))!.floats;
      return (
        new RegExp(`${q.id}\\b`).test(soaked) && (from === 'here' || pieceState(q, from) !== 'dry' || !floats)
      );
    });
  },
  'animals that live in it are not told to come, and those that come come when they may': (c) => {
    const coming = (c.doc.brief.livestock ?? []).filter((s) => !s.present);
    const { stock } = c.p.care;
    const all = c.doc.brief.livestock ?? [];
    if (all.length > 0 && coming.length === 0) return stock || events(c).some(([, e]) => /may come/.test(e)) ? ['told to come'] : []; // prettier-ignore
    return events(c).filter(([d, e]) => {
      const from = /^fish/.test(e) ? stock?.fishFrom : /^shrimps/.test(e) ? stock?.shrimpsFrom : undefined;
      return from !== undefined && daysFrom(c.doc.brief.buildDay, from) !== d;
    });
  },
  'sand that the school has first lies before anything is planted': (c) => {
    const looked = c.p.build.tasks.filter((t) => poursOf(c.doc, c.p.survey).some((q) => q.role === 'cosmetic' && q.task === t.id)); // prettier-ignore
    const first = Math.min(
      ...c.p.build.tasks.filter((t) => t.id.startsWith('plant-')).map((t) => t.startMin),
    );
    const throughWater = (task(c, 'fill')?.endMin ?? Infinity) <= first;
    if (c.doc.brief.schools?.sand !== 'before' && !throughWater) return [];
    return looked.filter((t) => t.endMin > first);
  },
  'every task can say what it waits for': (c) =>
    c.p.build.tasks.filter((t) => {
      const { waitedFor } = whyNotEarlier(t, c.p.build.tasks);
      return (waitedFor.length === 0) !== (t.startMin === 0) || waitedFor.some((id) => !task(c, id));
    }),
  'a layer is poured after what it lies on': (c) => {
    const later = new Set(laterLayers(c.doc, c.p.survey).map((l) => l.id));
    const today = poursOf(c.doc, c.p.survey).filter((p) => !later.has(p.layer) && p.role !== 'cosmetic');
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
  'the bed under what is planted lies before it is planted': (c) => {
    const lain = Math.max(0, ...c.p.build.tasks.filter((t) => poursOf(c.doc, c.p.survey).some((q) => q.role !== 'cosmetic' && q.task === t.id) || t.id === 'gaps').map((t) => t.endMin)); // prettier-ignore
    return c.p.build.tasks.filter((t) => t.id.startsWith('plant-') && t.startMin < lain);
  },
  'what would float soaks, and is ordered and set aside in time for it': (c) => {
    const soaking = soakingOf(c.doc, c.p.survey);
    const option = optionOf(c.doc, c.p.survey.optionId);
    const soak = c.p.build.beforehand.filter((b) => b.kind === 'soak');
    const aside = c.p.build.beforehand.filter((b) => b.kind === 'client' || b.kind === 'reserve');
    return [...soaking].filter(([id, days]) => {
      const own = soak.find((b) => new RegExp(`${id}\\b`).test(words(b.title)));
      const from = pieceOrigin(
        c.doc,
        option.pieces.find((q) => q.id === id)!,
      );
      const asked = aside.find((b) => b.kind === (from === 'stock' ? 'reserve' : 'client'));
      const lines = c.p.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'branch');
      const floats = c.p.survey.groups.find((g) => g.pieces.includes(id))!.floats;
      if (!floats || own?.day !== dayPlus(c.doc.brief.buildDay, -days)) return true;
      return from === 'bought' ? lines.some((l) => l.neededOn > own.day) : !asked || asked.day >= own.day;
    });
  },
  'a visit that drains is the change of its day': (c) =>
    c.p.build.visits.filter(
      (v) => v.drainL > 0 && careDays(c).some((d) => d.afterDays === v.afterDays && d.change),
    ),
  'a reading stands just before animals come': (c) =>
    events(c).filter(([d, e]) => /may come/.test(e) && d <= 56 && !careDays(c).some((t) => t.test && t.afterDays <= d && t.afterDays >= d - 3)), // prettier-ignore
  'nothing is named twice or with nothing of it': (c) =>
    c.p.build.tasks.map((t) => `${words(t.title)}: ${words(t.detail)}`).filter((s) => /(^|\D)0 (L|kg|min|pack|plug)/.test(s) || /(material \w+ \d+)[, and]+\1/.test(s)), // prettier-ignore
  'what should have begun before today is said': (c) => {
    const past = c.p.build.beforehand.filter((b) => b.day < TODAY);
    return past.length === c.p.findings.filter((f) => f.id === 'build.past').length ? [] : past;
  },
  'a finding is said once of one place, and says something': (c) => {
    const said = c.p.findings.map((f) => `${f.id} ${JSON.stringify(f.at)} ${words(f.says)}`);
    return said.filter((s, i) => said.indexOf(s) !== i || s.endsWith(' '));
  },
  'the same follows whatever things are called': (c) => {
    // Planned once more: a part of the jobs will do.
    if (c.i % 5 !== 0) return [];
    // Names that say nothing, and names that say something else.
    const lies = ['heater', 'pump', 'LED lamp', 'CO2 valve', 'skimmer'];
    const named = jobDocument(c.drawn, (what, i) =>
      what.startsWith('device') ? `${lies[i % lies.length]} ${i}` : `Zq${[...what].length}x${i}`,
    );
    const other = plan(named, { today: TODAY, cellMm: 20 });
    const figures = (p: Plan) => [
      p.findings.map((f) => [f.id, f.measured]),
      p.build.tasks.map((t) => [t.id, t.minutes, t.startMin]),
      p.takeOff.lines.map((l) => [l.id, l.needed.value, l.priceMinor]),
      p.care.weeks.map((w) => [w.minutes, w.hours]),
      p.visit.heat.devicesW,
      p.build.beforehand.map((b) => [b.kind, b.day]),
    ];
    const [a, b] = [figures(c.p), figures(other)];
    return a.flatMap((part, i) => (JSON.stringify(part) === JSON.stringify(b[i]) ? [] : [[part, b[i]]]));
  },
};

describe(`the stages agree (seed ${SEED}, ${JOBS} jobs)`, () => {
  const cases: Case[] = [];
  beforeAll(() => {
    for (const drawn of fc.sample(anyJob, { numRuns: JOBS, seed: SEED })) {
      const doc = jobDocument(drawn);
      cases.push({ i: cases.length, drawn, doc, p: plan(doc, { today: TODAY, cellMm: 20 }) as Case['p'] });
    }
  }, 300_000);

  it('on jobs that have all there is', () => {
    const some = (test: (c: Case) => boolean) => expect(cases.filter(test).length).toBeGreaterThan(JOBS / 50);
    some((c) => c.doc.brief.rescape !== undefined);
    some((c) => c.p.build.visits.length > 0);
    some((c) => lateDevices(c.doc).length > 0);
    some((c) => turnsToday(c).length > 2);
    some((c) => c.p.build.beforehand.some((b) => b.kind === 'soak'));
    some((c) => events(c).some(([, e]) => e.startsWith('closed by')));
  });

  it.each(Object.entries(AGREEMENTS))('%s', (_name, check) => {
    for (const [i, c] of cases.entries()) {
      const wrong = check(c);
      expect(wrong, `job ${i} of UTSUWA_SEED=${SEED}`).toEqual([]);
    }
  });
});
