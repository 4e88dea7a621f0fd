import { daysFrom, dayPlus } from '../../calendar/day';
import { plantOf } from '../../catalogue/entries';
import { materialOf, materialOfKind, optionOf } from '../../commission/lookup';
import { filterStateOf } from '../../commission/usual';
import { layerOrigin, pieceOrigin, pieceState, plantingOrigin } from '../../commission/origin';
import type { Piece, SupplyKind } from '../../commission/schema';
import { isMadeBefore } from '../../hardscape/joining';
import { gearOf, paidBeside } from '../../gear/gear';
import { bacteriaDays } from '../../regime/bacteria';
import { plantingSequence } from '../../planted/plantingSequence';
import { jointed } from '../../survey/groups';
import { carriageAsked } from '../../ordering/order';
import { soakingOf } from '../../survey/soaking';
import { laterLayers } from '../../takeoff/later';
import { poursOf } from '../../takeoff/pours';
import { words, task, careDays, events, near, TODAY, type Agreements, type Case } from './planned';
import { resolved } from '../resolved';

/** The other scape is broken down by a day, or it is said that it is not. */
const isInTime = (c: Case, by: string): boolean =>
  c.doc.brief.brokenDown!.every((b) => b.day <= by) || c.p.findings.some((f) => f.id === 'brokenDown.late');

/** What is bought against what is poured, set, planted, used up: no more, no less, in time. */
export const BUYING: Agreements = {
  'a layer is poured on the day or on its visit, and in all as much as the take-off brings': (c) => {
    const late = new Set(laterLayers(resolved(c.doc, c.p.survey), c.p.survey).map((l) => l.id));
    return poursOf(resolved(c.doc, c.p.survey), c.p.survey).filter(({ layer, task: id, role, litres }) => {
      if (late.has(layer)) return task(c, id) !== undefined || !c.p.build.visits.some((v) => v.afterDays === laterLayers(resolved(c.doc, c.p.survey), c.p.survey).find((l) => l.id === layer)!.laterDays); // prettier-ignore
      if (role === 'filler') return false;
      const said = role === 'soil' ? [task(c, 'soil'), task(c, 'gaps')] : [task(c, id)];
      return !near(
        said.reduce((n, t) => n + (t?.workings[0].value ?? 0), 0),
        litres,
        1e-6,
      );
    });
  },
  'a mixture is bought, rinsed and poured with all its parts': (c) => {
    const option = optionOf(c.doc, c.p.survey.optionId);
    const named = (id: string) => materialOf(c.doc, id).name;
    return option.bed
      .filter((l) => l.mix && layerOrigin(c.doc.brief, l) === 'bought')
      .flatMap((l) => {
        const parts = l.mix!.map((m) => m.material);
        const poured = [...c.p.build.tasks, ...c.p.build.visits.flatMap((v) => v.tasks)].map((t) =>
          words(t.title),
        );
        const rinsed = words(task(c, 'rinse')?.title ?? '');
        const isLater = laterLayers(resolved(c.doc, c.p.survey), c.p.survey).some((x) => x.id === l.id);
        return parts.filter(
          (id) =>
            !c.p.takeOff.lines.some((line) => line.id === id && line.needed.value > 0) ||
            !poured.some((title) => parts.every((part) => title.includes(named(part)))) ||
            (!isLater && !rinsed.includes(named(id))),
        );
      });
  },
  'as many root tabs are pushed in, on the day and on visits, as are bought': (c) => {
    const bought = c.p.takeOff.lines.find((l) => l.id === 'root-tab')?.needed.value ?? 0;
    const tasks = [...c.p.build.tasks, ...c.p.build.visits.flatMap((v) => v.tasks)].filter(
      (t) => t.id === 'tabs',
    );
    const counts = tasks.map((t) => words(t.title).split(' ')[0]).map((n) => (n === 'One' ? 1 : Number(n)));
    const pushed = counts.reduce((sum, n) => sum + n, 0);
    return pushed === bought ? [] : [[bought, pushed]];
  },
  'mesh bags are bought for filler that lies in bags, and for no other': (c) => {
    const filler = poursOf(resolved(c.doc, c.p.survey), c.p.survey).find((q) => q.role === 'filler');
    const bags = c.p.takeOff.lines.filter((l) => words(l.name).startsWith('Mesh bags'));
    return Boolean(filler && !c.drawn.loose) === bags.length > 0 ? [] : [[c.drawn.loose, bags]];
  },
  'media mature where new ones are listed, and come before they begin to': (c) => {
    const begins = c.p.build.beforehand.filter((b) => b.kind === 'media');
    const listed = gearOf(c.doc);
    const media = listed.filter(
      (g) => g.kind === 'media' && g.origin !== 'here' && !g.device.from && !g.late,
    );
    const isNew = filterStateOf(c.doc.brief) === 'new';
    const late = c.p.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'rings' && isNew && media.some((g) => g.origin === 'bought') && begins.length > 0 && l.neededOn > begins[0].day); // prettier-ignore
    const aside = c.p.build.beforehand.filter((b) => b.kind === 'client' || b.kind === 'reserve');
    const own = media.filter((g) => g.origin === 'stock' || g.origin === 'client');
    const asked = own.filter(
      (g) => !aside.some((b) => words(b.title).includes(g.name) && b.day < (begins[0]?.day ?? '')),
    );
    const expected = isNew && (listed.length === 0 || media.length > 0);
    return [...late, ...(isNew ? asked : own.filter((g) => aside.some((b) => words(b.title).includes(g.name)))), ...(begins.length > 0 === expected ? [] : [begins])]; // prettier-ignore
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
  'plugs that are lifted here stand on no shelf, and the take-off says where they come from': (c) => {
    const job = resolved(c.doc, c.p.survey);
    return [...job.plantings.values()].filter(({ lifted, atHand, plant, planting, origin }) => {
      const line = c.p.takeOff.lines.find((l) => l.id === plant.id);
      const others = [...job.plantings.values()].some((q) => q.plant.id === plant.id && q.planting.id !== planting.id); // prettier-ignore
      const isTaken = c.p.takes.some((t) => t.of === plant.id && t.unit === 'plug');
      return (
        lifted > atHand ||
        (lifted > 0 && !line?.origins.includes('here')) ||
        (lifted > 0 && !line?.workings.some((w) => words(w.step).includes('lifted here'))) ||
        (lifted > 0 && lifted === atHand && origin === 'bought' && !others && isTaken)
      );
    });
  },
  'a device is bought when it says so, and by nothing else': (c) => {
    const lines = c.p.takeOff.lines.filter((l) => l.kind === 'gear').map((l) => l.id);
    const own = gearOf(c.doc)
      .filter((g) => g.origin === 'bought')
      .map((g) => g.article?.id ?? `gear-${g.id}`);
    return lines.filter((id) => !own.includes(id)).concat(own.filter((id) => !lines.includes(id)));
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
    for (const t of plantingSequence(resolved(c.doc, c.p.survey), c.p.survey)) if (plantingOrigin(c.doc.brief, t.planting) === 'bought') note(t.plant.id, t.afterDays!); // prettier-ignore
    return c.p.order.suppliers
      .flatMap((s) => s.lines)
      .filter((l) => firsts.has(l.line) && daysFrom(c.doc.brief.buildDay, l.neededOn) > firsts.get(l.line)!);
  },
  'only dry wood that is brought and would float is soaked, with what is joined to it': (c) => {
    const option = optionOf(c.doc, c.p.survey.optionId);
    const soaked = c.p.build.beforehand
      .filter((b) => b.kind === 'soak')
      .map((b) => words(b.title))
      .join(' ');
    const curing = option.joints.filter((j) => isMadeBefore(j)).map((j) => j.pieces);
    const carried = jointed(option.pieces.map((q) => q.id), curing); // prettier-ignore
    const group = (id: string) => c.p.survey.groups.find((g) => g.pieces.includes(id))!;
    const soaks = (q: Piece) => {
      const from = pieceOrigin(c.doc, q);
      return from !== 'here' && pieceState(q, from) === 'dry' && group(q.id).floats;
    };
    return option.pieces.filter((q) => {
      const joined = option.pieces.filter((o) => carried.find((ids) => ids.includes(q.id))!.includes(o.id));
      return new RegExp(`${q.id}\\b`).test(soaked) && !joined.some(soaks);
    });
  },
  'what would float soaks, and is ordered and set aside in time for it': (c) => {
    const soaking = soakingOf(c.doc, c.p.survey);
    const option = optionOf(c.doc, c.p.survey.optionId);
    const soak = c.p.build.beforehand.filter((b) => b.kind === 'soak');
    const aside = c.p.build.beforehand.filter((b) => b.kind === 'client' || b.kind === 'reserve');
    return [...soaking].filter(([id, days]) => {
      const own = soak.find((b) => new RegExp(`${id}\\b`).test(words(b.title)));
      const piece = option.pieces.find((q) => q.id === id)!;
      const from = pieceOrigin(c.doc, piece);
      const asked = aside.find((b) => b.kind === (from === 'stock' ? 'reserve' : 'client'));
      const lines = c.p.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'branch');
      const floats = c.p.survey.groups.find((g) => g.pieces.includes(id))!.floats;
      if (!floats || own?.day !== dayPlus(c.doc.brief.buildDay, -days)) return true;
      if (piece.from) return !isInTime(c, own.day);
      return from === 'bought' ? lines.some((l) => l.neededOn > own.day) : !asked || asked.day >= own.day;
    });
  },
  'what is joined beforehand is asked for before it is, and is joined before it soaks': (c) => {
    const { pieces, joints } = optionOf(c.doc, c.p.survey.optionId);
    const days = (kind: string) => c.p.build.beforehand.filter((b) => b.kind === kind).map((b) => b.day);
    const [joined] = days('silicone');
    if (!joined) return [];
    const own = pieces.filter((q) => joints[0].pieces.includes(q.id));
    const lines = c.p.order.suppliers.flatMap((s) => s.lines);
    const soaks = soakingOf(c.doc, c.p.survey);
    return own.flatMap((q) => {
      const from = pieceOrigin(c.doc, q);
      const late =
        from === 'bought'
          ? lines.some((l) => l.line === q.material && l.neededOn > joined)
          : q.from
            ? !isInTime(c, joined)
            : days(from === 'stock' ? 'reserve' : 'client').every((day) => day >= joined);
      return [...(late ? [[q.id, 'comes too late to be joined']] : []), ...(soaks.has(q.id) && days('soak').some((day) => day <= joined) ? [[q.id, 'is in the tub when it is joined']] : [])]; // prettier-ignore
    });
  },
  'what comes out of another scape is named on the day on which that is broken down, and bought or asked for nowhere':
    (c) => {
      const option = optionOf(c.doc, c.p.survey.optionId);
      const [scape] = c.doc.brief.brokenDown ?? [];
      const rows = c.p.build.beforehand.filter((b) => b.kind === 'brokenDown');
      const things = [
        ...option.pieces.filter((q) => q.from && pieceOrigin(c.doc, q) !== 'here').map((q) => q.id),
        ...option.bed
          .filter((l) => l.from && layerOrigin(c.doc.brief, l) !== 'here')
          .map((l) => materialOf(c.doc, l.material).name),
        ...option.plants
          .filter((q) => q.from && plantingOrigin(c.doc.brief, q) !== 'here')
          .map((q) => plantOf(c.doc, q.plant).name),
        ...gearOf(c.doc)
          .filter((g) => g.device.from)
          .map((g) => g.name),
        ...(c.doc.brief.livestock ?? []).filter((a) => a.from).map((a) => `${a.count} `),
      ];
      const isEmpty = c.p.findings.some((f) => f.id === 'brokenDown.empty');
      const unsaid = things.filter(
        (name) => !rows.some((b) => b.day === scape.day && words(b.title).includes(name)),
      );
      const pieces = option.pieces.filter((q) => q.from).map((q) => q.id);
      const elsewhere = c.p.build.beforehand
        .filter((b) => b.kind === 'reserve' || b.kind === 'client')
        .flatMap((b) => pieces.filter((id) => new RegExp(`${id}\\b`).test(words(b.title))));
      return [
        ...unsaid,
        ...elsewhere,
        ...(rows.length === (things.length > 0 ? 1 : 0) &&
        isEmpty === (scape !== undefined && things.length === 0)
          ? []
          : [rows, things]),
      ];
    },
  'gear that is taken out is in no power, and is unplugged before anything is drained': (c) => {
    const out = (c.doc.site?.devices ?? []).filter((d) => d.leaves);
    const own = task(c, 'old-gear');
    const drained = task(c, 'drain');
    const drawn = c.p.visit.power.devices.filter((d) => out.some((o) => o.name === d.name && !c.doc.site!.devices!.some((x) => x.name === d.name && !x.leaves)));
    const late = own && drained && own.endMin > drained.startMin ? [own, drained] : [];
    return [...drawn, ...late, ...((own !== undefined) === out.length > 0 ? [] : [own, out])];
  }, // prettier-ignore
  'what all of it costs is the lines of the take-off and their carriage': (c) => {
    const { order, takeOff } = c.p;
    const sum = takeOff.lines.reduce((minor, l) => minor + l.priceMinor, 0) + carriageAsked(order);
    return order.totalMinor === sum && takeOff.totalMinor === sum - carriageAsked(order)
      ? []
      : [[order.totalMinor, sum, takeOff.totalMinor]];
  },
  'what the studio pays by the quote is what the orders come to, with what is paid beside them': (c) => {
    const beside = paidBeside({ brief: c.doc.brief, gear: gearOf(c.doc) }).all;
    const { quote, order } = c.p;
    const sum = quote.lines.reduce((n, l) => n + l.minor, 0);
    return quote.costMinor === order.totalMinor + beside && sum === quote.netMinor && quote.totalMinor === quote.netMinor + quote.taxMinor ? [] : [[quote, order.totalMinor, beside]];
  }, // prettier-ignore
  'what should have begun before today is said': (c) => {
    const past = c.p.build.beforehand.filter((b) => b.day < TODAY);
    return past.length === c.p.findings.filter((f) => f.id === 'build.past').length ? [] : past;
  },
};
