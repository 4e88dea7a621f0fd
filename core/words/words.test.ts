import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import { plan } from '../pipeline/plan';
import { demoCommissions } from '../../demo/commissions';
import { EN } from './en';
import { ENGLISH, inEnglish, spoken } from './english';
import { inWords, type Reader } from './render';
import { inCelsius, inLitres, inMm } from './measure';
import { isText, say, type Text } from './text';

/** Marks around what a message was given, so that it can be told from the message. */
const [OPEN, CLOSE] = ['\uE000', '\uE001'];

/**
 * A language that nobody speaks: every letter of a message is another one, and what the message is given
 * stands between marks. A sentence that was put together elsewhere keeps its Latin letters, and is found.
 */
const PSEUDO: Reader = {
  ...ENGLISH,
  messages: Object.fromEntries(Object.entries(EN).map(([key, message]) => [key, pseudo(message)])),
  figure: (value, unit, places) => ({
    text: `${OPEN}${ENGLISH.figure(value, unit, places).text}${CLOSE}`,
    unit: `${OPEN}${unit}${CLOSE}`,
  }),
  day: (day) => `${OPEN}${day}${CLOSE}`,
  money: (money) => `${OPEN}${ENGLISH.money(money)}${CLOSE}`,
};

/** Cyrillic for the letters outside of braces, and inside of the branches of a plural, however deep. */
function pseudo(message: string): string {
  const kept = /^(?:\{\w+\}|\{\w+, plural, |(?:one|other) \{)/;
  let [turned, rest] = ['', message];
  while (rest) {
    const within = /[ }]$/.test(turned) || rest.startsWith('{');
    const [own = rest[0]] = (within && kept.exec(rest)) || [];
    turned += own.length > 1 ? own : own.replace(/[A-Za-z]/, 'ж');
    rest = rest.slice(own.length);
  }
  return turned;
}

/** Every message in a value, wherever it stands. */
function textsIn(value: unknown, found: Text[] = []): Text[] {
  if (isText(value)) found.push(value);
  if (value !== null && typeof value === 'object' && !ArrayBuffer.isView(value))
    for (const inner of Object.values(value)) textsIn(inner, found);
  return found;
}

/** Where a message or a name may stand. */
const SAID = ['says', 'because', 'source', 'step', 'note', 'title', 'short', 'detail', 'caution', 'rule', 'condition', 'packWords']; // prettier-ignore

/** Plain strings where a message might stand: names of the document, or a sentence put together by hand. */
function plainIn(value: unknown, found: string[] = []): string[] {
  if (value === null || typeof value !== 'object' || isText(value) || ArrayBuffer.isView(value)) return found;
  for (const [key, inner] of Object.entries(value))
    if (typeof inner === 'string' && SAID.includes(key)) found.push(inner);
    else plainIn(inner, found);
  return found;
}

/** Strings of a document that may stand in a sentence: titles, names, notes, colours, ids, pack sizes. */
function namesIn(value: unknown, found = new Set<string>()): Set<string> {
  if (typeof value === 'string') found.add(value);
  else if (value !== null && typeof value === 'object')
    for (const inner of Object.values(value)) namesIn(inner, found);
  return found;
}

const COMMISSIONS = demoCommissions('2026-11-25').map((draft) => {
  const parsed = parseCommission(draft);
  if (!parsed.ok) throw new Error(inEnglish(parsed.faults[0].says));
  return parsed.commission;
});

describe('the catalogue of messages', () => {
  it('fills in names, figures, days, money, lists and other messages', () => {
    expect(inEnglish(say('bed.shallow.says', { depth: inMm(29.7), plant: 'Anubias', grain: say('grain.soil'), where: say('where.back.left') }))).toBe('30 mm of soil under Anubias, back left.'); // prettier-ignore
    expect(inEnglish(say('order.never.says', { supplier: 'X', name: 'Sand', day: { day: '2027-01-14' } }))).toBe('X does not deliver Sand before 14 Jan 2027.'); // prettier-ignore
    expect(inEnglish(say('cost.budget.says', { cost: { minor: 1250, currency: 'JPY' }, agreed: { minor: 1000, currency: 'JPY' } }))).toBe('Material for JPY 1250, JPY 1000 agreed.'); // prettier-ignore
    expect(inEnglish(say('before.soak.title', { pieces: ['R-1', 'R-2'] }))).toBe('Into the tub: R-1, R-2');
    const span = inCelsius([20, 25], 1, 'to');
    expect(inEnglish(say('livestock.water.says', { has: inCelsius(28.04), wants: span, species: 'Betta' }))).toBe('28 °C for the tank, 20 to 25 °C for Betta.'); // prettier-ignore
    expect(inEnglish(say('piece.passes.says', { piece: 'S', across: inMm([260, 280]), widest: inMm([9, 9]) }))).toContain('260 × 280 mm across'); // prettier-ignore
    expect(inEnglish(say('fill.cold', { litres: inLitres(12.04) }))).toBe('12 L cold');
  });

  it('follows a count', () => {
    const late = (late: number) => inEnglish(say('order.late.says', { name: 'Soil', day: { day: '2027-01-14' }, late })); // prettier-ignore
    expect([late(1), late(2)]).toEqual([
      'Soil had to be ordered by 14 Jan 2027, 1 day ago.',
      'Soil had to be ordered by 14 Jan 2027, 2 days ago.',
    ]);
    expect(inEnglish(say('upkeep.changes', { count: 1 }))).toBe('a water change');
  });

  it('leaves a name of the document as it is, whatever is in it', () => {
    for (const plant of ['{plant}', '<b>x</b>', "it's # {", '40 kg'])
      expect(inEnglish(say('plant.co2.says', { plant }))).toBe(`${plant} does poorly without injected CO2.`);
  });

  it('has every message in a form that can be read, with the values that it names and no others', () => {
    for (const key of Object.keys(EN) as (keyof typeof EN)[]) {
      const names = [...EN[key].matchAll(/\{(\w+)(?:\}|, plural)/g)].map((m) => m[1]);
      const values = Object.fromEntries(names.map((name) => [name, 2]));
      const words = inEnglish({ say: key, with: values });
      expect(words, key).not.toMatch(/[{}]|undefined|\bsafe\b/);
      if (names.length > 0) expect(() => inEnglish({ say: key }), key).toThrow();
    }
    expect(() => inWords({ say: 'no.such' as 'placed' }, ENGLISH)).toThrow('no message');
  });

  it('has no message that nobody says', () => {
    const root = join(import.meta.dirname, '..', '..');
    const sources = ['core', 'web', 'cli', 'server']
      .flatMap((folder) =>
        readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((file) =>
          join(folder, file),
        ),
      ) // prettier-ignore
      .filter((file) => /\.(ts|vue)$/.test(file) && !/\.test\.ts$|words\/en\//.test(file))
      .map((file) => readFileSync(join(root, file), 'utf8'))
      .join('\n');
    // A key may be put together: `side.${side}` says all of them.
    const made = [...sources.matchAll(/say\(`([\w.-]*\$\{[^`]*)`/g)].map(
      ([, template]) => new RegExp(`^${template.replace(/\$\{[^}]*\}/g, '[\\w-]+').replaceAll('.', '\\.')}$`),
    );
    const unsaid = Object.keys(EN).filter((key) => !sources.includes(`'${key}'`) && !made.some((m) => m.test(key))); // prettier-ignore
    expect(unsaid.filter((key) => !['list.between', 'measure.to'].includes(key))).toEqual([]);
  });

  it('has everything that the computation says of the demo’s commissions: another language leaves nothing out', () => {
    let sentences = 0;
    for (const commission of COMMISSIONS) {
      const names = namesIn(commission);
      for (const { id } of commission.options) {
        const whole = plan(commission, { optionId: id, today: '2026-11-25' });
        const { field: _field, standing: _standing, ...survey } = whole.survey;
        for (const plain of plainIn({ ...whole, survey }))
          expect(isGiven(plain, names) || plain.split(', ').every((part) => isGiven(part, names)), plain).toBe(true); // prettier-ignore
        for (const text of textsIn({ ...whole, survey })) {
          const words = inWords(marked(text), PSEUDO);
          sentences++;
          const outside = words.replaceAll(/\uE000[^\uE000\uE001]*\uE001/g, '');
          expect(outside, text.say).not.toMatch(/[A-Za-z]{2,}/);
          // What stands between the marks is the document's, or a figure.
          for (const [, given] of words.matchAll(/\uE000([^\uE000\uE001]*)\uE001/g))
            expect(isGiven(given, names), `${text.say}: ${given}`).toBe(true);
        }
      }
    }
    expect(sentences).toBeGreaterThan(2_000);
  });

  it('puts whole answers into words, and leaves their figures alone', () => {
    const [commission] = COMMISSIONS;
    const { findings, takeOff } = plan(commission, { today: '2027-06-01' });
    expect(spoken(takeOff.lines)[0]).toMatchObject({ measured: takeOff.lines[0].measured });
    for (const f of spoken(findings)) expect([f.says, f.because].join(' ')).toMatch(/^[A-Z].*\.$/);
  });
});

/** The same message with marks around every name that it was given. */
function marked(text: Text): Text {
  const mark = (value: unknown): unknown => {
    if (typeof value === 'string') return `${OPEN}${value}${CLOSE}`;
    if (Array.isArray(value)) return value.map(mark);
    return isText(value) ? marked(value) : value;
  };
  const values = Object.entries(text.with ?? {}).map(([name, value]) => [name, mark(value)]);
  return text.with ? { say: text.say, with: Object.fromEntries(values) as Text['with'] } : text;
}

/** Design loads are named by their standard. */
const STANDARD = /^EN 1991-1-1 category [A-D](?:; IRC R301\.5: 1\.92)?$/;
/** Species come from the program's own list, by their botanical names. */
const BOTANICAL = /^[A-Z][a-z]+ (?:[a-z-]+|sp\.)(?: .*)?$/;
const FIGURE = /^-?[\d.,:]+(?: ?(?:[A-Za-z°²/µ%]+|L an hour|kN\/m²))?$/;
const UNIT = /^(?:mm|m|L|mL|kg|kgf|g|°C|°d|kN\/m²|L an hour|[A-Z]{3} [\d.]+|\d{4}-\d{2}-\d{2}|[\d.]+ (?:plugs?|pieces?))$/; // prettier-ignore

function isGiven(given: string, names: ReadonlySet<string>): boolean {
  return (
    names.has(given) ||
    STANDARD.test(given) ||
    FIGURE.test(given) ||
    UNIT.test(given) ||
    BOTANICAL.test(given)
  );
}
