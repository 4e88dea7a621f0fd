import { describe, expect, it } from 'vitest';
import { inEnglish } from '../../core/words/english';
import { plan } from '../../core/pipeline/plan';
import { slateValley } from '../../demo/commissions/slateValley';
import { figuresOf } from './optionFigures';

const says = {
  volume: (l: number) => `${l.toFixed(1)} L`,
  mass: (kg: number) => `${kg.toFixed(1)} kg`,
  money: (minor: number) => (minor / 100).toFixed(2),
  day: (day: string) => day,
  words: inEnglish,
};

describe('the side-by-side sheet', () => {
  const doc = slateValley('2026-11-25');
  const of = (optionId: string) => {
    const option = doc.options.find((o) => o.id === optionId)!;
    const p = plan(doc, { optionId, today: '2026-11-25' });
    return { p, rows: new Map(figuresOf(p, option, doc, says).map((r) => [r.name, r])) };
  };

  it('has the same rows for every option, with the figures of its own plan', () => {
    const [a, b] = [of('a'), of('b')];
    expect([...a.rows.keys()]).toEqual([...b.rows.keys()]);
    for (const { p, rows } of [a, b]) {
      expect(rows.get('Free water')!.text).toBe(says.volume(p.survey.freeWaterL));
      expect(rows.get('Material')!.text).toBe(says.money(p.order.totalMinor));
      expect(rows.get('Upkeep')!.text).toBe(`${p.care.weeks[0].minutes} min in week 1`);
      const plugs = p.survey.plantings.reduce((n, x) => n + x.plugs, 0);
      expect(rows.get('Plants')!.text).toBe(`${plugs} plugs`);
    }
    // Plants for £232 at £7.50 to bring; soil, wood and dry goods above what each brings for nothing.
    expect(a.rows.get('Material')!.below).toMatch(/^7\.50 of it carriage/);
    expect(a.rows.get('Material')!.text).not.toBe(b.rows.get('Material')!.text);
  });
});
