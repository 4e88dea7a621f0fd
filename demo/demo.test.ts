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

  it('has three first visits in which every conflict of brief, vessel and site appears', () => {
    const found = new Set(visits.flatMap((v) => plan(v, { today: TODAY }).findings.map((f) => f.id)));
    for (const id of [
      'brief.occasion',
      'brief.sun',
      'care.minutes',
      'cost.budget',
      'rescape.filter',
      'rescape.surfaces',
      'rescape.holding',
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
