import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume } from '../core/geometry/mesh';
import { otherTerms } from '../core/edits/buying';
import { changesBetween } from '../core/commission/changes';
import { parseCommission } from '../core/commission/parse';
import type { Commission } from '../core/commission/schema';
import { mayChange, seen, SIGHTS } from '../core/commission/sight';
import { solidMesh } from '../core/hardscape/solid';
import { plan } from '../core/pipeline/plan';
import { MATERIALS } from './catalogue/materials';
import { PLANTS } from './catalogue/plants';
import { YARD } from './catalogue/yard';
import { suppliersOn } from './catalogue/suppliers';
import { demoCommissions } from './commissions';

const TODAY = '2026-11-25';
const [sound, faulty, small, ...visits] = demoCommissions(TODAY);
const [rescaped, secondHand, reading, arch] = visits.slice(-4);

describe('what somebody sees of the demo', () => {
  /** Every figure of money in a value. */
  const money = (value: unknown): unknown[] =>
    value !== null && typeof value === 'object'
      ? Object.entries(value).flatMap(([key, v]) => (/minor$/i.test(key) ? [v] : money(v)))
      : [];

  it.each(demoCommissions(TODAY).map((c) => [c.title, c] as const))(
    'of %s is a commission, without a sum where there is to be none',
    (_title, whole) => {
      expect(money(whole).some((m) => m !== 0)).toBe(true);
      for (const sight of SIGHTS) {
        const theirs = JSON.parse(JSON.stringify(seen(whole, sight))) as Commission;
        expect([sight, parseCommission(theirs).ok]).toEqual([sight, true]);
        if (sight !== 'books') expect([sight, money(theirs).filter((m) => m !== 0)]).toEqual([sight, []]);
        for (const { path } of changesBetween(whole, theirs))
          expect(mayChange(sight, [{ path }])).toBe(false);
      }
    },
  );
});

describe('the demo', () => {
  it('has documents that are read without a fault', () => {
    for (const commission of [sound, faulty, small, ...visits])
      expect(parseCommission(commission)).toMatchObject({ ok: true });
  });

  it.each(['2026-01-07', TODAY, '2026-12-30'])(
    'asks of every commission, on %s, what the studio is asked',
    (day) => {
      for (const commission of demoCommissions(day))
        expect(otherTerms(commission, suppliersOn(day))).toEqual([]);
    },
  );

  it('has a sound commission, a small one, and one with every finding of the format', () => {
    expect(plan(sound, { today: TODAY }).findings).toEqual([]);
    expect(plan(small, { today: TODAY }).findings).toEqual([]);
    const found = new Set(plan(faulty, { today: TODAY }).findings.map((f) => f.id));
    for (const id of [
      'bed.shallow',
      'bed.steep',
      'piece.floats',
      'piece.glass',
      'piece.above',
      'order.late',
      'vessel.label',
    ])
      expect(found).toContain(id);
  });

  it('has a second-hand tank in which a root is fixed, and a rescape in which most stays', () => {
    const tank = plan(secondHand, { today: TODAY });
    expect(tank.findings).toEqual([]);
    expect(tank.build.tasks.map((t) => t.id)).not.toContain('wood');
    const rescape = plan(rescaped, { today: TODAY });
    const bought = rescape.order.suppliers.flatMap((s) => s.lines.map((l) => l.line));
    expect([...new Set(bought)].sort()).toEqual([
      'bacteria',
      'conditioner',
      'cryptocoryne-wendtii',
      'plant-food',
      'soil-granules',
      'tests',
    ]);
  });

  it('has a rescape of which the tank as it is now is drawn: stones are lifted and set again, roots and sand leave', () => {
    const { before, build, order } = plan(reading, { today: TODAY });
    const of = (fate: 'stays' | 'moved' | 'left') =>
      before!.lines.filter((l) => l[fate] > 0).map((l) => l.id);
    expect(of('moved')).toEqual(['K-1', 'K-2', 'K-3', 'K-4', 'K-5', 'P-1', 'P-2']);
    expect(of('left')).toEqual(['sand', 'L-1', 'L-2', 'L-3', 'L-4', 'L-5', 'L-6', 'L-7', 'P-1', 'lava']);
    // A ramp of 40 to 55 mm over 1100 × 450 mm is 23.5 L; what stands in it takes the less, and sand does not settle.
    const sand = before!.lines[0];
    expect(sand.there).toBeGreaterThan(22.5);
    expect(sand.there).toBeLessThan(23.5125);
    const at = (id: string) => build.tasks.find((t) => t.id === id)!.startMin;
    expect(at('lift')).toBeLessThan(at('strip'));
    expect(at('strip')).toBeLessThan(at('soil'));
    expect(at('soil')).toBeLessThan(at('stones'));
    const bought = order.suppliers.flatMap((s) => s.lines.map((l) => l.line));
    expect(bought).not.toContain('slate');
    expect(bought).not.toContain('vallisneria-nana');
  });

  it('has an arch that is glued in place over two evenings, and a path that is poured five weeks after the water', () => {
    const { build, order, findings } = plan(arch, { today: TODAY });
    expect(findings).toEqual([]);
    expect(build.earlier.map((s) => [s.id, s.left?.state])).toEqual([
      ['table', 'table'],
      ['pillars', 'dry'],
      ['lintel', 'dry'],
    ]);
    const where = (id: string) => [...build.earlier, { ...build, id: 'build' }].filter((s) => s.tasks.some((t) => t.id === id)).map((s) => s.id); // prettier-ignore
    expect([where('floor-stones'), where('joints'), where('wiggle'), where('fill')]).toEqual([['pillars'], ['lintel'], ['build'], ['build']]); // prettier-ignore
    expect(build.visits.map((v) => [v.sitting?.id, v.afterDays, v.tasks.map((t) => t.id)])).toEqual([
      ['after', 1, ['look', 'photograph']],
      ['path', 35, ['look', 'drain', 'later-path', 'fill']],
    ]);
    const sand = order.suppliers.flatMap((s) => s.lines).find((l) => l.line === 'quartz-sand')!;
    expect(sand.neededOn).toBe(build.visits[1].day);
  });

  it('has first visits in which every conflict of brief, vessel and site appears', () => {
    const found = new Set(visits.flatMap((v) => plan(v, { today: TODAY }).findings.map((f) => f.id)));
    for (const id of [
      'brief.occasion',
      'brief.sun',
      'care.minutes',
      'cost.budget',
      'vessel.label',
      'vessel.mat',
      'piece.passes',
      'site.floor',
      'route.depth',
      'route.mass',
      'route.turn',
      'route.team',
      'power.sockets',
      'power.load',
      'power.protection',
      'power.loops',
      'water.hard',
      'water.ro',
      'water.nitrate',
      'heat.cool',
      'heat.heater',
      'livestock.temperature',
      'livestock.gh',
      'livestock.apart',
      'livestock.narrow',
      'livestock.stone',
      'livestock.eaten',
      'livestock.group',
      'livestock.room',
      'livestock.jumps',
      'livestock.digs',
      'livestock.plants',
      'livestock.crowd',
    ])
      expect(found, id).toContain(id);
  });

  it('has about 25 materials, 30 plants, and a yard of closed stones and roots', () => {
    expect(MATERIALS.length).toBeGreaterThanOrEqual(25);
    expect(PLANTS.length).toBeGreaterThanOrEqual(30);
    for (const { shape } of YARD) {
      const mesh = solidMesh(shape);
      expect(meshFault(mesh.vertices.length / 3, mesh.faces)).toBeUndefined();
      expect(meshVolume(mesh)).toBeGreaterThan(0);
    }
  });
});
