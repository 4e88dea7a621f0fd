import { describe, expect, it } from 'vitest';
import { say } from '../words/text';
import { inEnglish, spoken } from '../words/english';
import type { Commission } from '../commission/schema';
import { survey } from '../survey/survey';
import { parsed, piece, scape, soil } from '../testing/scape';
import { visit } from './visit';
import { bringing, tapCelsius, waterTarget } from '../filling/filling';
import { resolved } from '../testing/resolved';

/** A sketch in a box of 600 × 360 × 400 mm with parts of brief, site or vessel of its own. */
function sketch(part: { brief?: object; site?: object; vessel?: object }, option = {}): Commission {
  const s = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })], ...option } });
  return parsed({
    ...s,
    brief: { ...s.brief, ...part.brief },
    vessel: { ...s.vessel, ...part.vessel },
    site: part.site ?? {},
  });
}
const visited = (part: Parameters<typeof sketch>[0], option = {}) => {
  const doc = sketch(part, option);
  return spoken(visit(resolved(doc), survey(doc)));
};
const found = (id: string, part: Parameters<typeof sketch>[0], option = {}) =>
  visited(part, option).findings.find((f) => f.id === id);

describe('a visit at which nothing was asked', () => {
  it('finds nothing, and still works everything out', () => {
    const v = visited({});
    expect(v.findings).toEqual([]);
    expect(v.water.target).toMatchObject({ celsius: 24, gh: 6, kh: 4, because: 'common practice' });
    expect(v.heat.heatersW.length).toBeGreaterThan(0);
    expect(v.power.watts).toBe(0);
    expect(v.carrying.loads.map((l) => l.what)).toEqual(['tank', 'cylinder']);
  });
});

describe('the floor', () => {
  it('is spoken of only where there is a room below, and never as able to carry it', () => {
    const site = { storey: 3, use: 'home' };
    // 600 × 360 × 400 mm and what stands on it: 2 kN as a whole is what any room bears in one place.
    expect(found('site.floor', { site })).toBeUndefined();
    const heavy = { innerMm: { length: 1200, width: 450, height: 450 }, waterLineMm: 430 };
    const f = found('site.floor', { site, vessel: heavy })!;
    expect(f.says).toMatch(
      /kN\/m² under the base, on storey 3; homes are usually designed for 1.5 to 2 kN\/m²/,
    );
    expect(f.because).toMatch(/structural engineer/);
    expect(found('site.floor', { site: { ...site, storey: 0 }, vessel: heavy })).toBeUndefined();
    expect(found('site.floor', { site: {}, vessel: heavy })).toBeUndefined();
  });

  it('takes the load on each foot when there are feet', () => {
    const v = visited({ vessel: { feet: 4 } });
    expect(v.floor.footKn).toBeCloseTo((v.floor.totalKg * 9.80665) / 1000 / 4, 9);
  });
});

describe('the way in', () => {
  const lift = { id: 'lift', kind: 'lift', name: 'lift', widthMm: 500, depthMm: 520, loadKg: 400 };

  it('names what does not fit, and then counts the stairs for the lift', () => {
    const part = { site: { route: [lift] } };
    const f = found('route.depth', part)!;
    expect(f).toMatchObject({ severity: 'stop', measured: 616, limit: 520, unit: 'mm' });
    expect(f.says).toBe('The tank does not fit the lift: 616 mm long, 520 mm deep.');
    expect(visited(part).carrying.team.stairs).toBe(true);
    expect(visited({ site: { route: [{ ...lift, depthMm: 900 }] } }).carrying.team.stairs).toBe(false);
  });

  it('carries the heaviest stone by its own name', () => {
    const stones = [
      piece({ id: 'S-1', at: [200, 180], shape: { kind: 'box', sizeMm: [100, 100, 100] } }),
      piece({ id: 'S-2', at: [400, 180], shape: { kind: 'box', sizeMm: [260, 240, 250] } }),
    ];
    const door = { id: 'd', kind: 'door', name: 'hatch', widthMm: 280, heightMm: 2000 };
    const v = visited({ site: { route: [door] } }, { pieces: stones });
    expect(v.carrying.loads.map((l) => l.name)).toContain('S-2');
    expect(v.findings.filter((f) => f.id === 'route.width').map((f) => f.says)[1]).toBe(
      'S-2 needs 300 mm at the hatch, 280 mm wide.',
    );
  });

  it('asks for more hands than come, once the way is known', () => {
    const site = { route: [{ id: 's', kind: 'stairs', name: 'stairs', steps: 16 }] };
    const f = found('route.team', { site, brief: { crew: 1 } })!;
    expect(f.measured).toBe(1);
    expect(f.limit).toBeGreaterThan(1);
    expect(f.because).toMatch(/local rules for lifting decide/i);
    expect(found('route.team', { brief: { crew: 1 } })).toBeUndefined();
  });

  it('does not send a crowd to a tank that only so many find room round', () => {
    const light = visited({ site: {} }).carrying.team;
    expect(light).toMatchObject({ crowded: false, people: 2 });
    expect(light.says).toMatch(/^2 people lift the empty tank: \d+(\.\d)? kg is recommended for one\.$/);
    const wall = {
      vessel: { innerMm: { length: 2000, width: 600, height: 600 }, waterLineMm: 560, glassMm: 15 },
      site: { route: [{ id: 's', kind: 'stairs', name: 'stairs', steps: 54 }] },
    };
    const heavy = visited(wall).carrying.team;
    expect(heavy.crowded).toBe(true);
    expect(heavy.says).toMatch(/not for hands alone on the stairs: .* it would take 2\d, and about 6/);
    expect(found('route.team', wall)!.because).toMatch(/a glass lifter, a hoist or a mover/);
  });
});

describe('power', () => {
  const devices = [
    { id: 'a', name: 'heater', watts: 2000 },
    { id: 'b', name: 'light', watts: 1500 },
  ];

  it('stops at an overload, a missing protection, and says what sockets are short', () => {
    const site = { devices, sockets: 1, circuitA: 16, residualCurrent: false, dripLoops: false };
    const v = visited({ site });
    const of = (id: string) => v.findings.find((f) => f.id === id)!;
    expect(of('power.load')).toMatchObject({ severity: 'stop', measured: 15.2, limit: 12.8, unit: 'A' });
    expect(of('power.protection').severity).toBe('stop');
    expect(of('power.sockets').says).toBe('1 socket short: 2 plugs, 1 there.');
    expect(of('power.loops')).toBeDefined();
    for (const f of v.findings.filter((x) => x.id.startsWith('power.')))
      expect(f.because).not.toMatch(/safe/);
  });
});

describe('water', () => {
  const tap = { gh: 14, kh: 11, winterC: 6, summerC: 18 };

  it('takes the season of the build day', () => {
    const of = (buildDay: string) => tapCelsius(resolved(sketch({ brief: { buildDay }, site: { tap } })));
    expect([of('2027-01-14'), of('2027-07-14'), of('2027-04-14')]).toEqual([6, 18, 12]);
  });

  it('is too hard from the tap alone, and no more once there is RO', () => {
    const site = { tap, target: { gh: 5, kh: 3 } };
    expect(found('water.hard', { site })).toMatchObject({ measured: 14, limit: 5, unit: '°d' });
    const ro = { litresPerHour: 5, storageL: 60 };
    expect(found('water.hard', { site: { ...site, ro } })).toBeUndefined();
    expect(visited({ site: { ...site, ro } }).water.first.gh).toBeCloseTo(5, 9);
    expect(found('water.hard', { site: { target: { gh: 5 } } })).toBeUndefined();
  });

  it('tells of nitrate, and of chlorine that nothing binds', () => {
    expect(found('water.nitrate', { site: { tap: { nitrateMgL: 40 } } })?.measured).toBe(40);
    expect(found('water.conditioner', { site: { tap: { disinfectant: 'chloramine' } } })?.because).toMatch(
      /binds ammonia/,
    );
  });

  it('is set for the animals when nobody set it', () => {
    const brief = { livestock: [{ species: 'betta-splendens', count: 1 }] };
    expect(waterTarget(resolved(sketch({ brief })))).toMatchObject({
      celsius: 25,
      because: say('target.animals'),
    });
    expect(waterTarget(resolved(sketch({ brief, site: { target: { tempC: 22 } } }))).celsius).toBe(22);
  });

  it('is what animals are held against as the recipe gives it, not as it is wished', () => {
    const brief = { livestock: [{ species: 'paracheirodon-axelrodi', count: 12 }] };
    const site = { tap, target: { gh: 5, kh: 3 } };
    expect(found('livestock.gh', { brief, site })).toMatchObject({ measured: 14, limit: 8 });
    const ro = { litresPerHour: 5, storageL: 60 };
    expect(found('livestock.gh', { brief, site: { ...site, ro } })).toBeUndefined();
    expect(found('livestock.gh', { brief })).toBeUndefined();
  });

  it('says of an animal that it does not know that it does not', () => {
    const brief = { livestock: [{ species: 'loch-dweller', count: 1 }] };
    expect(found('livestock.unknown', { brief })?.says).toMatch(/loch-dweller is not in the catalogue/);
  });

  it('is carried in cans of 10 L, or let in by hose', () => {
    expect(bringing(resolved(sketch({})), 60)).toEqual({ minutes: 20 });
    // Six cans, each a minute and a half and 20 m of walking at 50 m a minute.
    expect(bringing(resolved(sketch({ site: { carry: 'cans', tapM: 10 } })), 60)).toEqual({
      cans: 6,
      minutes: 6 * 1.9,
    });
  });
});

describe('warmth', () => {
  it('needs cooling where animals like it cool and the room is warm', () => {
    const brief = { livestock: [{ species: 'tanichthys-albonubes', count: 8 }] };
    const f = found('heat.cool', { brief, site: { roomC: [18, 29] }, vessel: { lid: true } })!;
    expect(f.limit).toBe(22);
    expect(f.measured).toBeGreaterThan(22);
    expect(found('heat.cool', { brief })).toBeUndefined();
  });

  it('is not warmed by what only shares its circuit', () => {
    const kettle = [{ id: 'k', name: 'kettle', watts: 2000 }];
    const heat = (devices: object[]) => visited({ site: { roomC: [18, 24], devices } }).heat;
    expect(heat(kettle).warmC).toBeCloseTo(heat([]).warmC, 9);
    const pump = heat([{ id: 'p', name: 'pump', watts: 20 }]);
    expect(pump.devicesW).toBe(20);
    expect(pump.warmC).toBeGreaterThan(heat([]).warmC);
  });

  it('finds a heater that is too small for the room’s coldest', () => {
    const devices = [{ id: 'h', name: 'heater', watts: 10 }];
    const f = found('heat.heater', { site: { devices, roomC: [10, 24] } })!;
    expect(f.measured).toBe(10);
    expect(f.limit).toBeGreaterThan(60);
    // By whatever name, and not by a lamp that is called one.
    const named = [{ id: 'h', name: 'Ember 25', kind: 'heater', watts: 25 }];
    expect(found('heat.heater', { site: { devices: named, roomC: [10, 24] } })!.measured).toBe(25);
    const lamp = [{ id: 'h', name: 'heat lamp', kind: 'lamp', watts: 25 }];
    expect(found('heat.heater', { site: { devices: lamp, roomC: [10, 24] } })).toBeUndefined();
  });

  it('mixes the water of a tank without heater to the room, proposes none, and says whom it is too cold for', () => {
    const site = { roomC: [16, 22], unheated: true };
    const v = visited({ site });
    expect(v.heat).toMatchObject({ heatersW: [], waterC: 19 });
    const fish = { livestock: [{ species: 'paracheirodon-axelrodi', count: 10 }] };
    const f = found('heat.none', { brief: fish, site })!;
    expect(inEnglish(f.because)).toMatch(/^It stands without a heater by choice/);
    // A heater that is on the list is the later word.
    const heated = { ...site, devices: [{ id: 'h', name: 'heater', kind: 'heater', watts: 100 }] };
    expect(visited({ site: heated }).heat.heatersW.length).toBeGreaterThan(0);
    expect(visited({ site: heated }).heat.waterC).toBeGreaterThan(22);
    expect(visited({ site: { ...site, target: { tempC: 21 } } }).heat.waterC).toBe(21);
  });

  it('finds that there is no heater where fish would be in cold water, and only there', () => {
    const fish = { livestock: [{ species: 'paracheirodon-axelrodi', count: 10 }] };
    const f = found('heat.none', { brief: fish, site: { roomC: [12, 24] } })!;
    expect(f.measured).toBeLessThan(13);
    expect(f.limit).toBe(23);
    expect(found('heat.none', { brief: fish, site: { roomC: [28, 29] } })).toBeUndefined();
    expect(found('heat.none', { brief: { livestock: [] }, site: { roomC: [12, 24] } })).toBeUndefined();
    expect(found('heat.none', { brief: fish })).toBeUndefined();
  });
});

describe('the interview', () => {
  it('holds the occasion against the build day', () => {
    const of = (kind: string, day: string) => found('brief.occasion', { brief: { occasion: { kind, day } } });
    expect(of('opening', '2027-01-12')).toMatchObject({ severity: 'stop', measured: -2 });
    expect(of('opening', '2027-01-15')).toBeUndefined();
    expect(of('photograph', '2027-02-13')).toMatchObject({ severity: 'warn', measured: 30, limit: 56 });
    expect(of('photograph', '2027-03-20')).toBeUndefined();
  });

  it('counts the sun on the glass', () => {
    const window = { side: 'left', distanceMm: 900, sunHours: 2.5 };
    expect(found('brief.sun', { brief: { window } })?.measured).toBe(2.5);
    expect(found('brief.sun', { brief: { window: { ...window, sunHours: 1 } } })).toBeUndefined();
  });

  it('stops a rescape that would leave animals without a filter', () => {
    const livestock = [{ species: 'nematobrycon-palmeri', count: 10, present: true }];
    const rescape = { stays: ['plants'], filterKept: false, holdingL: 20 };
    const v = visited({ brief: { livestock, rescape } });
    expect(v.findings.find((f) => f.id === 'rescape.filter')?.severity).toBe('stop');
    // Only plants and glass stay: the new filter has nothing on it yet.
    expect(v.findings.find((f) => f.id === 'rescape.surfaces')).toMatchObject({ measured: 89, limit: 30 });
    // Ten of 60 mm are 60 cm, half a litre each.
    expect(v.findings.find((f) => f.id === 'rescape.holding')).toMatchObject({ measured: 20, limit: 30 });
    // Neither those that are only wished for nor shrimps wait in the tub as fish.
    const more = [
      ...livestock,
      { species: 'nematobrycon-palmeri', count: 20 },
      { species: 'neocaridina-davidi', count: 30, present: true },
    ];
    const wished = visited({ brief: { livestock: more, rescape } });
    expect(wished.findings.find((f) => f.id === 'rescape.holding')).toMatchObject({
      measured: 20,
      limit: 30,
    });
    const empty = visited({ brief: { rescape } });
    expect(empty.findings.filter((f) => f.id.startsWith('rescape.'))).toEqual([]);
  });
});
