import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { faultOf, pathOf, shown } from './fault';
import { spoken } from '../words/english';
import { ENGLISH } from '../words/english';
import { inWords } from '../words/render';
import { METRIC, readerIn } from '../words/readers';
import { fieldUnit } from './fieldUnit';
import { figure } from './primitives';

const says = (schema: z.ZodType, value: unknown) => {
  const result = schema.safeParse(value);
  return result.success ? [] : result.error.issues.map((issue) => spoken(faultOf(issue, value)));
};

describe('faults', () => {
  it('write paths as people read them', () => {
    expect(pathOf(['options', 0, 'bed', 2, 'top', 'mm'])).toBe('options[0].bed[2].top.mm');
    expect(pathOf([])).toBe('(document)');
    expect(pathOf([3])).toBe('[3]');
  });

  it('show values briefly, and text apart from numbers', () => {
    expect(shown(12)).toBe(12);
    expect(spoken(shown('12'))).toBe('"12" (text)');
    expect(spoken(shown('x'.repeat(99)))).toBe(`"${'x'.repeat(40)}…" (text)`);
    expect([shown(undefined), shown(null), shown([1, 2]), shown({})].map((v) => spoken(v))).toEqual([
      'missing',
      'null',
      'a list of 2',
      'an object',
    ]);
  });

  it.each<[string, z.ZodType, unknown, string]>([
    ['a type', z.number(), 'a', 'is "a" (text), must be a number'],
    ['something missing', z.string(), undefined, 'is missing, must be text'],
    ['a list', z.array(z.number()), 4, 'is 4, must be a list'],
    ['a whole number', z.number().int(), 1.5, 'is 1.5, must be a whole number'],
    ['a least value', z.number().min(3), 1, 'is 1, must be at least 3'],
    ['a value above', z.number().gt(0), 0, 'is 0, must be more than 0'],
    ['a most value', z.number().max(3), 9, 'is 9, must be at most 3'],
    ['a value below', z.number().lt(3), 3, 'is 3, must be less than 3'],
    ['a choice', z.enum(['a', 'b']), 'c', 'is "c" (text), must be "a" or "b"'],
    ['a short list', z.array(z.number()).min(3), [1], 'is a list of 1, must have at least 3 entries'],
    ['a long text', z.string().max(2), 'abc', 'is "abc" (text), must have at most 2 characters'],
    ['a pattern', z.string().regex(/^x/, 'must begin with x'), 'y', 'is "y" (text), must begin with x'],
    ['a rule', z.number().refine(() => false, 'must be even'), 3, 'is 3, must be even'],
  ])('say what is there and what is allowed: %s', (_what, schema, value, message) => {
    expect(says(schema, value)).toEqual([{ path: '(document)', says: message }]);
  });

  it('name the kinds of a union at its kind', () => {
    const shape = z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('box') }),
      z.object({ kind: z.literal('ball') }),
    ]);
    expect(says(z.object({ shape }), { shape: { kind: 'egg' } })).toEqual([
      { path: 'shape.kind', says: 'is "egg" (text), must have a kind of "box", "ball"' },
    ]);
  });

  it('say figures of a field with its unit, in the units of whoever reads them', () => {
    const us = readerIn({ ...METRIC, units: 'us' });
    const schema = z.object({
      innerMm: z.object({ length: z.number().max(3_000) }),
      at: z.array(z.number().min(0)),
      hotC: z.number().max(60),
      standKg: z.number().min(1),
      feet: z.number().max(12),
    });
    const { error } = schema.safeParse({
      innerMm: { length: 10_160 },
      at: [4, -25.4],
      hotC: 80,
      standKg: 0.5,
      feet: 13,
    });
    const faults = error!.issues.map((issue) => faultOf(issue, { innerMm: { length: 10_160 }, at: [4, -25.4], hotC: 80, standKg: 0.5, feet: 13 })); // prettier-ignore
    expect(faults.map((f) => inWords(f.says, ENGLISH))).toEqual([
      'is 10160 mm, must be at most 3000 mm',
      'is -25.4 mm, must be at least 0 mm',
      'is 80 °C, must be at most 60 °C',
      'is 0.5 kg, must be at least 1 kg',
      'is 13, must be at most 12',
    ]);
    // 10 160 / 25.4 = 400; 60 °C = 140 °F; 1 kg / 0.4536 = 2.20 lb (NIST SP 811, appendix B).
    expect(faults.map((f) => inWords(f.says, us))).toEqual([
      'is 400 in, must be at most 118.11 in',
      'is -1 in, must be at least 0 in',
      'is 176 °F, must be at most 140 °F',
      'is 1.1 lb, must be at least 2.2 lb',
      'is 13, must be at most 12',
    ]);
  });

  it('know which fields have which unit, and which have none', () => {
    const units = ['waterLineMm', 'mm', 'massKg', 'presentL', 'ammoniaMgL', 'hotC', 'gh', 'tapM', 'turnDeg', 'bulkKgPerL', 'dosePer100L', 'litresPerHour', 'ph', 'crew']; // prettier-ignore
    expect(units.map((name) => fieldUnit(name).unit)).toEqual(['mm', 'mm', 'kg', 'L', 'mg/L', '°C', '°d', 'm', '°', undefined, undefined, undefined, undefined, undefined]); // prettier-ignore
    expect(fieldUnit('waterLineMm').stem).toBe('waterLine');
  });

  it('say what is too fine to be told from nothing as it stands', () => {
    const [issue] = figure(0, 9).safeParse(5e-6).error!.issues;
    expect(inWords(faultOf(issue, 5e-6).says, ENGLISH)).toBe('is 0.000005, must be 0 or at least 0.0001');
  });
});
