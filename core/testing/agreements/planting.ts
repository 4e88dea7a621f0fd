import { plantingOrigin } from '../../commission/origin';
import { gearOf } from '../../gear/gear';
import { lightOf } from '../../light/photoperiod';
import { partsInOrder } from '../../planted/planted';
import { paceOf } from '../../commission/usual';
import { preparationOf, preparedOf } from '../../planting/preparation';
import { plantingSequence } from '../../planted/plantingSequence';
import { poursOf } from '../../takeoff/pours';
import { words, task, events, fresh, turnsToday, near, type Agreements } from './planned';
import { resolved } from '../resolved';

/** Planting, run sheet, light and guide: what grows, in which order it goes in, when it is cut. */
export const PLANTING: Agreements = {
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
      const wanted = plantingSequence(resolved(c.doc, c.p.survey), c.p.survey).filter((t) => t.afterDays === v.afterDays && preparedOf(t).plugs > 0).map((t) => t.plant.name); // prettier-ignore
      const said = v.tasks.map((t) => words(t.title)).filter((t) => wanted.includes(t));
      return said.join() !== wanted.join();
    }),
  'plugs that are set are those at hand': (c) => {
    const of = (roots: string) => turnsToday(c).filter((t) => t.plant.roots === roots).reduce((n, t) => n + Math.min(t.count, t.plugsAtHand), 0); // prettier-ignore
    const set = (test: (id: string) => boolean) => c.p.build.tasks.filter((t) => test(t.id)).reduce((n, t) => n + t.workings[0].value, 0); // prettier-ignore
    return [
      // What is set in water is a task of its own, whatever it roots in.
      [of('bed') + of('epiphyte'), set((id) => /^(plant|partly|submerged)-|^epiphytes$/.test(id))],
      ...(c.doc.options[0].plants.some((p) => p.inWaterMm !== undefined)
        ? []
        : [[of('bed'), set((id) => id.startsWith('plant-'))]]),
      [of('float'), set((id) => id === 'floaters')],
    ].filter(([a, b]) => a !== b);
  },
  'preparation takes the same minutes in plan and run sheet': (c) => {
    const today = c.p.planted.parts.filter((q) => q.afterDays === 0 && q.count > 0 && q.plugsAtHand > 0);
    const planned = preparationOf(today, paceOf(c.doc.brief)).minutes;
    const tasks = c.p.build.tasks.filter((t) => t.id.startsWith('prepare-'));
    const pace = paceOf(c.doc.brief);
    const day = tasks.reduce((n, t) => n + t.workings.findLast((w) => w.unit === 'min')!.value * pace, 0);
    return near(planned, day) ? [] : [[planned, day]];
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
  'sand that the school has first lies before anything is planted': (c) => {
    const looked = c.p.build.tasks.filter((t) => poursOf(resolved(c.doc, c.p.survey), c.p.survey).some((q) => q.role === 'cosmetic' && q.task === t.id)); // prettier-ignore
    const first = Math.min(
      ...c.p.build.tasks.filter((t) => t.id.startsWith('plant-')).map((t) => t.startMin),
    );
    const throughWater = (task(c, 'fill')?.endMin ?? Infinity) <= first;
    if (c.doc.brief.schools?.sand !== 'before' && !throughWater) return [];
    return looked.filter((t) => t.endMin > first);
  },
  'the bed under what is planted lies before it is planted': (c) => {
    const lain = Math.max(0, ...c.p.build.tasks.filter((t) => poursOf(resolved(c.doc, c.p.survey), c.p.survey).some((q) => q.role !== 'cosmetic' && q.task === t.id) || t.id === 'gaps').map((t) => t.endMin)); // prettier-ignore
    return c.p.build.tasks.filter((t) => t.id.startsWith('plant-') && t.startMin < lain);
  },
};
