import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume } from '../core/geometry/mesh';
import { parseCommission } from '../core/commission/parse';
import { solidMesh } from '../core/hardscape/solid';
import { plan } from '../core/pipeline/plan';
import { MATERIALS } from './catalogue/materials';
import { PLANTS } from './catalogue/plants';
import { YARD } from './catalogue/yard';
import { demoCommissions } from './commissions';

const TODAY = '2026-11-25';
const [sound, faulty, small, ...visits] = demoCommissions(TODAY);
const secondHand = visits.at(-1)!;

describe('the demo', () => {
  it('has documents that are read without a fault', () => {
    for (const commission of [sound, faulty, small, ...visits])
      expect(parseCommission(commission)).toMatchObject({ ok: true });
  });

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
    const rescape = plan(visits.at(-2)!, { today: TODAY });
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
