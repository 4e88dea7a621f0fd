import { materialOf, optionOf } from '../../commission/lookup';
import { animalsOf } from '../../commission/usual';
import { gearOf } from '../../gear/gear';
import { dayPlus, daysFrom } from '../../calendar/day';
import { plan, type Plan } from '../../pipeline/plan';
import { jobDocument } from '../anyJob';
import { spoken } from '../../words/english';
import { words, careDays, events, TODAY, type Agreements } from './planned';

const SEVERAL_OF_ONE = /(?:^|[\s(])1 (?!is\b|has\b|was\b|gas\b|less\b|across\b)[a-z]+s\b/;

/** What generated jobs call their things. */
const NUMBERED = /(?:device|material|plant|animal) [\w-]+ \d+/g;

/** Every text in something, however deep. */
function sentences(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  return value && typeof value === 'object' ? Object.values(value).flatMap(sentences) : [];
}

/** What the guide and the findings say. */
export const GUIDE: Agreements = {
  'animals that live in it are not told to come, and those that come come when they may': (c) => {
    const { coming } = animalsOf(c.doc.brief);
    const { stock } = c.p.care;
    const all = c.doc.brief.livestock ?? [];
    if (all.length > 0 && coming.length === 0) return stock || events(c).some(([, e]) => /may come/.test(e)) ? ['told to come'] : []; // prettier-ignore
    return events(c).filter(([d, e]) => {
      const from = /^fish/.test(e) ? stock?.fishFrom : /^shrimps/.test(e) ? stock?.shrimpsFrom : undefined;
      return from !== undefined && daysFrom(c.doc.brief.buildDay, from) !== d;
    });
  },
  'a reading stands just before animals come': (c) =>
    events(c).filter(([d, e]) => /may come/.test(e) && d <= 56 && !careDays(c).some((t) => t.test && t.afterDays <= d && t.afterDays >= d - 3)), // prettier-ignore
  'where the guide says that ammonia is read each day of the first week it is': (c) => {
    const says = c.p.care.stock ? words(c.p.care.stock.says) : '';
    if (!says.includes('each day of the first week')) return [];
    return careDays(c).filter((d) => d.afterDays <= 7 && !d.test);
  },
  'the guide speaks of wood, stone, heater and pump only where there are some': (c) => {
    const { unplug, refill, passes } = c.p.care.guide;
    const option = optionOf(c.doc, c.p.survey.optionId);
    const has = (kind: string) => option.pieces.some((q) => materialOf(c.doc, q.material).kind === kind);
    const listed = gearOf(c.doc);
    const runs = (...kinds: string[]) =>
      listed.length === 0 || listed.some((g) => kinds.includes(g.kind ?? ''));
    return [
      [words(passes), /new wood/, has('wood')],
      [words(passes), /on the stones/, has('stone')],
      [words(refill), /large stone/, has('stone')],
      [words(unplug), /heater/, runs('heater')],
      [words(unplug), /pump/, runs('filter', 'pump')],
    ].filter(([said, of, isThere]) => (of as RegExp).test(said as string) && !isThere);
  },
  'what the guide says of days is all that is due on them, each once': (c) => {
    const said = c.p.care.dates.flatMap(({ from, to, what }) =>
      Array.from({ length: daysFrom(from, to) + 1 }, (_, i) => `${dayPlus(from, i)} ${words(what)}`),
    );
    const due = careDays(c).flatMap((d) => d.events.map((e) => `${d.day} ${words(e)}`));
    return said.sort().join('\n') === due.sort().join('\n') ? [] : [said, due];
  },
  'a finding is said once of one place, and says something': (c) => {
    const said = c.p.findings.map((f) => `${f.id} ${JSON.stringify(f.at)} ${words(f.says)}`);
    return said.filter((s, i) => said.indexOf(s) !== i || s.endsWith(' '));
  },
  'one of a thing is said as one, several as several': (c) => {
    // Everything is put into words: a part of the jobs will do.
    if (c.i % 3 !== 0) return [];
    return sentences(spoken(c.p)).filter((text) => SEVERAL_OF_ONE.test(text.replace(NUMBERED, '')));
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
