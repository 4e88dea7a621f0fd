import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import { glanceOf } from './glance';
import { plan } from './plan';

const commission = example('held-root');
const at = (today: string) => glanceOf(commission, plan(commission, { today, planted: 'later' }), today);

describe('a commission at a glance', () => {
  it('is the scape from the front, every piece within what was measured of it', () => {
    const { survey } = plan(commission, { planted: 'later' });
    const { ridgeMm, pieces, bed } = at('2027-01-01');
    expect(bed).toBe('soil-granules');
    const highest = Math.max(...survey.field.cornerMm);
    expect(Math.max(...ridgeMm)).toBe(Math.round(highest));
    expect(pieces).toHaveLength(commission.options[0].pieces.length);
    // The hindmost first; each as high and as low as the survey has it.
    const behind = [...commission.options[0].pieces].sort((a, b) => b.at[1] - a.at[1]);
    for (const [i, p] of behind.entries()) {
      const s = survey.pieces.find((x) => x.id === p.id)!;
      const zs = pieces[i].rings.flat().map(([, z]) => z);
      expect(Math.max(...zs)).toBeCloseTo(s.topMm, -0.5);
      expect(Math.min(...zs)).toBeCloseTo(s.bottomMm, -0.5);
    }
  });

  it('says what is open, what it costs and what is due next', () => {
    const whole = plan(commission, { today: '2027-01-01', planted: 'later' });
    expect(at('2027-01-01')).toMatchObject({
      toSettle: whole.findings.filter((f) => f.severity !== 'note').length,
      costMinor: whole.order.totalMinor,
      toOrder: 2,
      confirmed: 0,
    });
    expect(at('2027-01-01')).toMatchObject({ standing: 'drawn', next: at('2027-01-01').upcoming[0] });
    expect(at('2027-01-01').amounts).toEqual([
      { what: 'water', value: whole.survey.freeWaterL, unit: 'L' },
      {
        what: 'bed',
        value: whole.takeOff.lines.find((l) => l.id === 'soil-granules')!.measured.value,
        unit: 'L',
      },
      { what: 'stone', value: whole.takeOff.lines.find((l) => l.id === 'slate')!.measured.value, unit: 'kg' },
      { what: 'wood', value: whole.takeOff.lines.find((l) => l.id === 'branch')!.measured.value, unit: 'kg' },
      { what: 'plugs', value: whole.survey.plantings.reduce((n, p) => n + p.plugs, 0), unit: 'plug' },
    ]);
    expect(['2027-01-14', '2027-01-15', '2027-03-11', '2027-03-12'].map((day) => at(day).standing)).toEqual([
      'drawn',
      'in-care',
      'in-care',
      'done',
    ]);
    const next = (today: string) => [at(today).next!.day, inEnglish(at(today).next!.what)];
    expect(next('2027-01-01')).toEqual(['2027-01-06', 'Order from Glasshouse Nine']);
    // An order that should have gone out stays first as long as there is a day to build for.
    expect(next('2027-01-10')).toEqual(['2027-01-06', 'Order from Glasshouse Nine']);
    expect(next('2027-01-14')[0]).toBe('2027-01-06');
    expect(next('2027-01-15')[0] > '2027-01-15').toBe(true);
  });
});
