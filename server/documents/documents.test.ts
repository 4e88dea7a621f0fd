import { parse } from 'csv-parse/sync';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import type { Commission } from '../../core/commission/schema';
import { plan } from '../../core/pipeline/plan';
import { example } from '../../core/testing/scape';
import { calendarFile } from './calendar';
import { booksCsv } from './booksCsv';
import { takeOffCsv } from './takeOffCsv';

const changed = (change: (c: Commission) => void = () => {}) => {
  const commission = structuredClone(example('held-root'));
  change(commission);
  return { commission, whole: plan(commission) };
};
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));

describe('the take-off as CSV', () => {
  it('has a row a line, figures with their unit in a column of its own', () => {
    const { commission, whole } = changed();
    const rows = parse(takeOffCsv(commission, whole), { columns: true }) as Record<string, string>[];
    expect(rows).toHaveLength(whole.takeOff.lines.length);
    expect(rows[0]).toMatchObject({ group: 'substrate', 'measured unit': 'L', 'needed unit': 'L' });
    expect(Number(rows[0].measured)).toBeCloseTo(whole.takeOff.lines[0].measured.value, 4);
    expect(rows[0].workings).toContain('under the drawn surface: 15.12 L');
    const total = rows.reduce((sum, r) => sum + Number(r['price GBP']), 0);
    expect(Math.round(total * 100)).toBe(whole.takeOff.totalMinor);
  });

  it.each([
    '=1+1',
    '+1',
    '-1',
    '@SUM(A1)',
    '\t=1',
    '\r\n=1',
    '\n=1',
    ' =1',
    '\u00a0=1',
    '\ufeff=1',
    '\u200b=1',
    '＝1',
    '＋1',
    '－1',
    '＠A1',
  ])('defuses a name that begins like a formula: %j', (name) => {
    const { commission, whole } = changed((c) => (c.catalogue.materials[0].name = name));
    const [row] = parse(takeOffCsv(commission, whole), { columns: true }) as Record<string, string>[];
    expect(row.item.startsWith("'")).toBe(true);
  });

  it('ends every row as RFC 4180 wants it, and quotes what needs quoting', () => {
    const { commission, whole } = changed((c) => (c.catalogue.materials[0].name = 'Soil, "active"'));
    const text = takeOffCsv(commission, whole);
    expect(text.split('\r\n')[1]).toContain('"Soil, ""active"""');
    expect(text.replaceAll('\r\n', '')).not.toContain('\n');
  });
});

describe('the books as CSV', () => {
  it('have a row an entry, amounts as numbers, below zero too, and no formulas', () => {
    const { commission, whole } = changed((c) => {
      c.brief.client = { name: '=HYPERLINK("x")' };
      c.quote = { tax: { name: 'VAT', share: 0.2 }, extras: [{ key: 'off', name: 'Regular client', minor: -1_050 }] }; // prettier-ignore
    });
    const rows = parse(booksCsv(commission, whole), { columns: true }) as Record<string, string>[];
    expect(rows).toHaveLength(whole.books.entries.length);
    const off = rows.find((r) => r.what === 'Regular client')!;
    expect(off).toMatchObject({ side: 'asked of the client', amount: '-10.5', tax: '-2.1', currency: 'GBP' });
    expect(off['with whom'].startsWith("'=")).toBe(true);
    const asked = rows
      .filter((r) => r.side === 'asked of the client')
      .reduce((n, r) => n + Number(r.amount), 0);
    expect(Math.round(asked * 100)).toBe(whole.quote.netMinor);
  });
});

describe('dates as iCalendar', () => {
  const { commission, whole } = changed((c) => {
    c.title = 'Held root; a, b';
    c.catalogue.materials[2].soakDays = 14;
    // Nothing holds the root: it soaks.
    c.options[0].joints = [];
  });

  it('carries orders, what comes before, the build day and the care', () => {
    const events = eventsOf(calendarFile('c', commission, whole));
    const titles = events.map((e) => e.summary.split(' · ')[0]);
    expect(titles.slice(0, 2)).toEqual(['Order from Marl & Timber Yard', 'Order from Glasshouse Nine']);
    expect(titles).toContain('Into the tub: R-1');
    expect(titles).toContain('Build day');
    expect(titles.filter((t) => t.startsWith('Change '))).toHaveLength(19);
    expect(events.every((e) => e.summary.endsWith('Held root; a, b'))).toBe(true);
  });

  it('gives each entry a day of its own length and a lasting name', () => {
    const [once, again] = [calendarFile('c', commission, whole), calendarFile('c', commission, whole)].map(
      eventsOf,
    );
    expect(again.map((e) => e.uid)).toEqual(once.map((e) => e.uid));
    for (const e of once) expect(e.endDate.subtractDate(e.startDate).days).toBe(1);
    expect(eventsOf(calendarFile('other', commission, whole))[0].uid).not.toBe(once[0].uid);
  });

  it('takes no line of its own from a name with line breaks in it', () => {
    const { commission, whole } = changed((c) => {
      c.title = 'Hall\r\nATTACH:http://elsewhere.example\nEND:VEVENT';
      c.catalogue.suppliers[0].name = 'Yard\u2028ATTACH:x\rURL:y';
      c.catalogue.materials[0].name = 'Soil\r\nDTSTART:19700101';
    });
    const text = calendarFile('c', commission, whole);
    expect(text).not.toMatch(/^(ATTACH|URL|DTSTART:1970)/m);
    const events = eventsOf(text);
    expect(events.length).toBeGreaterThan(20);
    expect(events[0].summary).toBe(
      'Order from Yard ATTACH:x URL:y · Hall ATTACH:http://elsewhere.example END:VEVENT',
    );
    expect(new ICAL.Component(ICAL.parse(text)).getAllProperties('attach')).toEqual([]);
  });

  it('leaves the studio’s own dates out of what the client gets', () => {
    const care = eventsOf(calendarFile('c', commission, whole, 'care'));
    expect(care.some((e) => /Order|Build|tub/.test(e.summary))).toBe(false);
    expect(care[0].description).toContain('light 7 h at 50 %');
  });
});
