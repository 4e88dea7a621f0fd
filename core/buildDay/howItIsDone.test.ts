import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { lightOf } from '../light/photoperiod';
import { piece, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import type { Commission } from '../commission/schema';
import type { Text } from '../words/text';

/* How things are done that practitioners do in several ways: each way takes what it takes, and the run sheet says it. */

const planned = (d: Commission) => plan(d, { planted: 'later' });
const detail = (d: Commission, id: string) =>
  inEnglish(planned(d).build.tasks.find((t) => t.id === id)!.detail as Text);

describe('an epiphyte', () => {
  const fern = (id: string, count: number, held?: 'glue' | 'tie' | 'wedge') => ({
    id,
    plant: 'fern',
    count,
    on: 'S-1',
    ...(held ? { held } : {}),
  });
  const d = scape({
    option: {
      bed: [soil({ kind: 'level', mm: 50 })],
      pieces: [piece({})],
      plants: [fern('P-1', 4), fern('P-2', 2, 'tie'), fern('P-3', 3, 'wedge')],
    },
  });

  it('is glued, tied or wedged: gel and thread for those alone that take them', () => {
    const needed = (kind: string) => planned(d).takeOff.lines.find((l) => l.id.includes(kind))?.needed.value;
    // 4 dots of 0.3 g, 2 ties of 0.3 m; nothing for what is wedged.
    expect(needed('gel')).toBeCloseTo(1.2, 9);
    expect(needed('tie')).toBeCloseTo(0.6, 9);
    expect(detail(d, 'epiphytes')).toMatch(
      /4 by dots of gel, 2 tied with thread, 3 wedged into gaps, nothing crushed$/,
    );
  });
});

describe('animals that wait in tubs', () => {
  const rescaped = (inKept?: boolean) => {
    const d = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })] } });
    const rescape = {
      stays: ['water' as const],
      filterKept: true,
      animals: 'tubs' as const,
      waterKept: 0.6,
      holdingL: 30,
      ...(inKept ? { inKept } : {}),
    };
    const livestock = [{ species: 'nematobrycon-palmeri', count: 8, present: true }];
    return { ...d, brief: { ...d.brief, rescape, livestock } };
  };

  it('wait in water of their own, or in what is kept: then so much less is kept beside it', () => {
    const litres = (d: Commission) => Number(/(\d+) L into/.exec(detail(d, 'drain'))![1]);
    const { keptL } = planned(rescaped()).visit.water.fill;
    expect(litres(rescaped())).toBe(Math.round(keptL));
    expect(litres(rescaped(true))).toBe(Math.round(keptL - 30));
    expect(detail(rescaped(true), 'return')).toMatch(/poured back with them/);
    expect(detail(rescaped(), 'return')).not.toMatch(/poured back/);
  });
});

describe('a light without a dimmer', () => {
  const lit = (care: Commission['brief']['care'], brief: object = {}) =>
    lightOfWeeks({ ...scape().brief, care, ...brief });
  const lightOfWeeks = (brief: Commission['brief']) =>
    [1, 2, 3, 4, 5, 8]
      .map((week) => lightOf({ brief }, week))
      .map(({ hours, outputShare }) => [hours, outputShare]);

  it('is full from the first day and begins with fewer hours', () => {
    expect(lit({ undimmed: true })).toEqual([
      [5, 1],
      [5, 1],
      [6, 1],
      [6, 1],
      [8, 1],
      [8, 1],
    ]);
    expect(lit({})).toEqual([
      [7, 0.5],
      [7, 0.6],
      [7, 0.75],
      [7, 0.9],
      [8, 1],
      [8, 1],
    ]);
    expect(lit({ undimmed: true }, { daylight: 'window' })[0]).toEqual([4, 1]);
    // What was said is what is done; a share of what cannot be shared is not.
    expect(lit({ undimmed: true, lightHours: 6, firstOutput: 0.4 })[0]).toEqual([6, 1]);
    const d = scape();
    const title = planned({ ...d, brief: { ...d.brief, care: { undimmed: true } } }).build.tasks.find(
      (t) => t.id === 'start',
    )!.title;
    expect(inEnglish(title as Text)).toMatch(/light at 100 %/);
  });
});

describe('hot water for the fill', () => {
  const filled = (hotL?: number) => {
    const d = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })] } });
    return { ...d, site: { tap: { winterC: 8, summerC: 8, hotC: 55, ...(hotL === undefined ? {} : { hotL }) }, target: { tempC: 25 } } };
  };

  it('is held against what the house gives at once', () => {
    const { first } = planned(filled()).visit.water;
    // 25 °C of 8 and 55: (25 − 8) / (55 − 8) = 36.2 % hot.
    expect(first.tapHotL / (first.tapHotL + first.tapColdL)).toBeCloseTo(17 / 47, 2);
    const found = (hotL?: number) => planned(filled(hotL)).findings.filter((f) => f.id === 'water.hot').map((f) => [f.measured, f.limit]);
    expect(found()).toEqual([]);
    expect(found(Math.ceil(first.tapHotL))).toEqual([]);
    expect(found(10)).toEqual([[Math.round(first.tapHotL), 10]]);
  });
}); // prettier-ignore

describe('a plant that is set in water', () => {
  const grass = (id: string, inWaterMm?: number) => ({ id, plant: 'grass', count: 10, ...(inWaterMm ? { inWaterMm } : {}) }); // prettier-ignore
  const d = scape({
    option: {
      bed: [soil({ kind: 'level', mm: 50 })],
      plants: [grass('P-1'), grass('P-2', 120), grass('P-3', 900)],
    },
  });

  it('waits for the first of the water, or for all of it; the two fills are the whole', () => {
    const { tasks } = planned(d).build;
    const at = (id: string) => tasks.find((t) => t.id === id)!;
    const order = ['plant-grass-0', 'fill-part', 'partly-grass', 'fill', 'submerged-grass', 'refloat'];
    expect(tasks.map((t) => t.id).filter((id) => order.includes(id))).toEqual(order);
    const litres = (id: string) => at(id).workings.reduce((n, w) => n + (w.unit === 'L' ? w.value : 0), 0);
    const all = planned({ ...d, options: [{ ...d.options[0], plants: [grass('P-1')] }] }).build.tasks.find((t) => t.id === 'fill')!; // prettier-ignore
    const whole = all.workings.reduce((n, w) => n + (w.unit === 'L' ? w.value : 0), 0);
    expect(litres('fill-part') + litres('fill')).toBeCloseTo(whole, 6);
    // 600 × 360 mm of floor: 70 mm of open water over 50 mm of soil are 15.1 L, and its pores hold the rest.
    expect(litres('fill-part')).toBeGreaterThan(15.12);
    expect(at('partly-grass').minutes).toBe(Math.round(10 * 0.4 * 1.5));
  });
});

describe('a bed', () => {
  const bed = (poured?: 'around' | 'glued') => [
    { ...soil({ kind: 'level', mm: 60 }), ...(poured ? { poured } : {}) },
  ];
  const pieces = [piece({ id: 'S-1', stand: { kind: 'floor' } }), piece({ id: 'S-2', at: [420, 180], stand: { kind: 'floor' } })]; // prettier-ignore
  const joints = [{ id: 'J-1', pieces: ['S-1', 'S-2'], method: 'gel-glue' as const }];
  const order = (poured?: 'around' | 'glued') => {
    const { tasks } = planned(scape({ option: { bed: bed(poured), pieces, joints } })).build;
    const at = (id: string) => tasks.find((t) => t.id === id)?.startMin;
    return { soil: at('soil'), gaps: at('gaps'), stones: at('floor-stones')!, wiggle: at('wiggle')! };
  };

  it('is poured around what stands, all of it, and once the glue has set where that is said', () => {
    expect(order().soil).toBeGreaterThan(order().stones);
    const around = order('around');
    expect(around.soil).toBeUndefined();
    expect(around.gaps).toBeGreaterThan(around.stones);
    expect(order('glued').gaps).toBeGreaterThan(order('glued').wiggle);
  });

  it('carries what is said to stand on it, whatever lies under the middle', () => {
    const two = [soil({ kind: 'level', mm: 40 }), { id: 'cap', material: 'sand', top: { kind: 'level' as const, mm: 60 } }]; // prettier-ignore
    const stood = (layer?: string) => planned(scape({ option: { bed: two, pieces: [piece({ stand: { kind: 'bed', buryMm: 5, ...(layer ? { layer } : {}) } })] } })).survey.pieces[0].restsIn; // prettier-ignore
    expect([stood(), stood('soil')]).toEqual(['cap', 'soil']);
  });
});

describe('a joint', () => {
  const joined = (rest: object) => scape({ option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: [piece({ id: 'S-1' }), piece({ id: 'S-2', at: [380, 180] })], joints: [{ id: 'J-1', pieces: ['S-1', 'S-2'], method: 'gel-glue', ...rest } as Commission['options'][0]['joints'][0]] } }); // prettier-ignore

  it('is held by several means: each has its time and what it takes, the slowest its cure', () => {
    const minutes = (rest: object) =>
      planned(joined(rest)).build.tasks.find((t) => t.id === 'joints')!.minutes;
    // Gel 5 min and 2 held; a tie 6 beside it.
    expect([minutes({}), minutes({ also: ['tie'] })]).toEqual([7, 13]);
    expect(detail(joined({ also: ['tie'] }), 'joints')).toMatch(/gel.*(tie|tied)/);
    const lines = planned(joined({ also: ['tie'] })).takeOff.lines;
    expect(lines.find((l) => l.id.includes('gel'))!.needed.value).toBe(3);
    expect(lines.find((l) => l.id.includes('tie'))!.needed.value).toBeCloseTo(0.6, 9);
    // With silicone in it, it cures for a day: outside, beforehand.
    expect(planned(joined({ also: ['silicone'] })).build.beforehand.some((b) => b.kind === 'silicone')).toBe(
      true,
    );
  });

  it('loses its tie on the day that was said', () => {
    const [visit] = planned(joined({ also: ['tie'], cutDays: 42 })).build.visits;
    expect([visit.afterDays, visit.tasks.map((t) => t.id)]).toEqual([42, ['drain', 'cut', 'fill']]);
  });
});

describe('a bed that something stands on', () => {
  it('is there before that, whatever was said of it: nothing waits for itself', () => {
    const two = (poured: 'around' | 'glued') => [{ ...soil({ kind: 'level', mm: 40 }), poured }, { id: 'cap', material: 'sand', top: { kind: 'level' as const, mm: 60 } }]; // prettier-ignore
    const pieces = [piece({ id: 'S-1', stand: { kind: 'bed', buryMm: 5 } }), piece({ id: 'S-2', at: [380, 180], stand: { kind: 'floor' } })]; // prettier-ignore
    const joints = [{ id: 'J-1', pieces: ['S-1', 'S-2'], method: 'gel-glue' as const }];
    for (const poured of ['around', 'glued'] as const) {
      const { tasks } = planned(scape({ option: { bed: two(poured), pieces, joints } })).build;
      const at = (id: string) => tasks.find((t) => t.id === id)!.startMin;
      expect(at('soil')).toBeLessThan(at('stones'));
      expect(at('stones')).toBeLessThan(at('wiggle'));
    }
  });
});
