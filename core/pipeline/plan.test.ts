import { describe, expect, it } from 'vitest';
import { optionOf, supplierOf } from '../commission/lookup';
import { example, scape, soil } from '../testing/scape';
import { plan } from './plan';
import { report } from './report';

describe('the whole pipeline', () => {
  it('gives the same for the same document, and changes nothing in it', () => {
    const commission = example('held-root');
    const before = JSON.stringify(commission);
    const strip = (p: ReturnType<typeof plan>) => JSON.stringify(report(p, 'care'));
    expect(strip(plan(commission))).toBe(strip(plan(commission)));
    expect(JSON.stringify(commission)).toBe(before);
  });

  it('follows one change from the slope to the care guide', () => {
    const low = plan(scape({ option: { bed: [soil({ kind: 'ramp', frontMm: 50, backMm: 70 })] } }));
    const high = plan(scape({ option: { bed: [soil({ kind: 'ramp', frontMm: 50, backMm: 150 })] } }));
    expect(high.takeOff.lines[0].needed.value).toBeGreaterThan(low.takeOff.lines[0].needed.value);
    expect(high.order.totalMinor).toBeGreaterThan(low.order.totalMinor);
    const soilMin = (p: typeof low) => p.build.tasks.find((t) => t.id === 'soil')!.minutes;
    expect(soilMin(high)).toBeGreaterThan(soilMin(low));
    expect(high.care.water.litres).toBeLessThan(low.care.water.litres);
    expect(high.survey.floorKg).not.toBe(low.survey.floorKg);
  });

  it('looks at the chosen option, or at the one asked for', () => {
    const commission = scape({ option: { bed: [soil({ kind: 'level', mm: 40 })] } });
    commission.options.push({ ...commission.options[0], id: 'b', bed: [] });
    expect(plan(commission).survey.bedL).toBeGreaterThan(0);
    expect(plan(commission, { optionId: 'b' }).survey.bedL).toBe(0);
    expect(() => optionOf(commission, 'z')).toThrow('option: is "z", must be one of "a", "b"');
    expect(() => supplierOf(commission, 'z')).toThrow('supplier "z" is not in the document');
  });

  it('finds material over budget', () => {
    const commission = example('held-root');
    commission.brief.budgetMinor = 10_000;
    const found = plan(commission).findings.find((f) => f.id === 'cost.budget');
    expect(found).toMatchObject({ severity: 'warn', measured: 209, limit: 100, unit: 'GBP' });
    commission.brief.budgetMinor = 20_900;
    expect(plan(commission).findings.map((f) => f.id)).not.toContain('cost.budget');
  });

  it('works on an empty bench: nothing to buy but conditioner and tests, a fill, a care plan', () => {
    const empty = plan(scape());
    expect(empty.takeOff.lines.map((l) => l.id)).toEqual(['conditioner', 'test']);
    expect(empty.order.suppliers).toEqual([]);
    expect(empty.build.tasks.map((t) => t.id)).toContain('fill');
    expect(empty.findings).toEqual([]);
    expect(empty.care.weeks).toHaveLength(8);
  });
});

describe('the report', () => {
  const part = (name: Parameters<typeof report>[1]) => report(plan(example('held-root')), name) as any;

  it('has survey, lines and findings, and the part asked for', () => {
    expect(Object.keys(part('takeoff'))).toEqual([
      'survey',
      'lines',
      'totalMinor',
      'carriageMinor',
      'findings',
    ]);
    expect(part('order').order.suppliers[0].name).toBe('Marl & Timber Yard');
    expect(part('build').build.tasks.length).toBeGreaterThan(8);
    expect(part('care').care.weeks).toHaveLength(8);
  });

  it('leaves the height field out and rounds figures to four places', () => {
    const { survey } = part('takeoff');
    expect(survey.field).toBeUndefined();
    expect(survey.standing).toBeUndefined();
    const numbers = JSON.stringify(survey).match(/\d+\.\d+/g)!;
    expect(numbers.length).toBeGreaterThan(20);
    expect(numbers.every((n) => n.split('.')[1].length <= 4)).toBe(true);
  });
});
