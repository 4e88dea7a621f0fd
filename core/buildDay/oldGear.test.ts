import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import { withoutDevice } from '../edits/devices';
import { answered } from '../resolved/answered';
import { parsed, scape, soil } from '../testing/scape';
import { ALL, before, fish, found, ids, job, type Part } from '../testing/job';

/* A rescape in which the old filter and its heater are taken out, and a new filter comes. */

const filter = {
  id: 'old',
  name: 'Old canister',
  kind: 'filter',
  watts: 20,
  litresPerHour: 700,
  leaves: 'client',
} as const;
const heater = { id: 'heat', name: 'Old heater', kind: 'heater', watts: 100, leaves: 'waste' } as const;
const bought = { id: 'new', name: 'New canister', kind: 'filter', watts: 15, litresPerHour: 500, origin: 'bought' } as const; // prettier-ignore

const rescape = { stays: ALL.filter((s) => s !== 'substrate'), filterKept: false, animals: 'tubs' };
const with_ = (devices: object[], brief: Part['brief'] = {}) =>
  job({ brief: { rescape, livestock: [fish], ...brief }, site: { devices }, option: { bed: [soil({ kind: 'level', mm: 60 })] } }); // prettier-ignore

describe('gear that was in the tank and leaves it', () => {
  it('is unplugged and taken out after the animals, before the water falls over it', () => {
    const p = with_([filter, heater, bought]);
    before(p, 'holding', 'old-gear', 'drain', 'strip');
    const task = p.build.tasks.find((t) => t.id === 'old-gear')!;
    // By hand: two devices, 6 min each.
    expect(task).toMatchObject({ title: '2 old devices off and out', minutes: 12 });
    expect(task.detail).toMatch(/^Old canister back to the client and Old heater to be thrown away|^Old canister back to the client, Old heater to be thrown away/);
    expect(task.detail).toMatch(/the heater cools under water/);
    expect(task.caution).toMatch(/off the mains first/);
    expect(with_([{ ...filter, name: 'Canister' }, bought]).build.tasks.find((t) => t.id === 'old-gear')!.detail).not.toMatch(/heater/);
    expect(ids(with_([bought]))).not.toContain('old-gear');
  }); // prettier-ignore

  it('draws no power, moves no water and warms nothing in the new scape', () => {
    const p = with_([filter, heater, bought]);
    expect(p.visit.power.watts).toBe(15);
    const turnover = (x: typeof p) => found(x, 'gear.turnover').map((f) => f.measured);
    expect(turnover(p)).toEqual(turnover(with_([bought])));
    expect(p.visit.heat.heatersW).toEqual(with_([bought]).visit.heat.heatersW);
  });

  it('what is new to a tank whose filter runs on is unpacked and put in, and nothing else is', () => {
    const kept = { rescape: { ...rescape, filterKept: true } };
    const running = { id: 'run', name: 'Filter', kind: 'filter', watts: 20, litresPerHour: 500 } as const;
    const p = with_([running, heater, { id: 'h2', name: 'New heater', kind: 'heater', watts: 150, origin: 'bought' }], kept); // prettier-ignore
    const of = (id: string) => p.build.tasks.find((t) => t.id === id)!;
    expect(of('unpack').detail).toMatch(/^New heater: with hoses/);
    expect(of('equipment').detail).toMatch(/^New heater; nothing powered yet/);
    before(p, 'old-gear', 'unpack', 'equipment');
    expect(ids(with_([running, heater], kept))).not.toContain('equipment');
    // A CO2 set as quoted comes beside it: what runs is still none of it.
    const gas = with_([running, { id: 'h2', name: 'New heater', kind: 'heater', watts: 150, origin: 'bought' }], { ...kept, co2: true, co2CostMinor: 9_000 }); // prettier-ignore
    expect(gas.build.tasks.find((t) => t.id === 'unpack')!.detail).toMatch(/^New heater: with hoses/);
    expect(gas.build.tasks.find((t) => t.id === 'equipment')!.detail).toMatch(
      /^New heater; nothing powered yet/,
    );
  });

  it('cannot be the filter that is said to run through', () => {
    const kept = { rescape: { ...rescape, filterKept: true } };
    expect(found(with_([filter, bought], kept), 'gear.kept')[0].says).toMatch(/taken out: Old canister/);
    expect(found(with_([filter, bought]), 'gear.kept')).toEqual([]);
    // Two filters, of which one runs on.
    const second = { ...filter, id: 'second', leaves: undefined };
    expect(found(with_([filter, second], kept), 'gear.kept')).toEqual([]);
  });
});

describe('a part that is swapped on a later day', () => {
  const plastic = { id: 'plastic', name: 'Plastic pipes', kind: 'pipes', watts: 0 } as const;
  const glass = { id: 'glass', name: 'Glass pipes', kind: 'pipes', watts: 0, origin: 'stock', arrives: '2027-02-01', replaces: 'plastic' } as const; // prettier-ignore
  const planned = (devices: object[]) => job({ site: { devices } });

  it('has its visit and its date, and leaves nothing waiting', () => {
    const p = planned([plastic, glass]);
    expect(found(p, 'gear.late')).toEqual([]);
    expect(found(planned([plastic, { ...glass, replaces: undefined }]), 'gear.late')).toHaveLength(1);
    const visit = p.build.visits.find((v) => v.tasks.some((t) => t.title === 'Glass pipes in place of Plastic pipes'));
    expect(visit).toMatchObject({ day: '2027-02-01' });
    expect(p.care.weeks.flatMap((w) => w.days).flatMap((d) => d.events)).toContain('visit: Glass pipes in place of Plastic pipes');
  }); // prettier-ignore

  it('takes the place of a device that is listed, of another than itself', () => {
    const read = (devices: object[]) => parseCommission({ ...scape(), site: { devices } });
    for (const list of [[glass], [{ ...glass, replaces: 'glass' }]]) {
      const parsed = read(list);
      expect(parsed.ok ? [] : parsed.faults.map((f) => f.path)).toEqual(['site.devices[0].replaces']);
    }
    expect(withoutDevice([plastic, glass], 'plastic')).toEqual([expect.not.objectContaining({ replaces: 'plastic' })]); // prettier-ignore
    expect(withoutDevice([plastic], 'plastic')).toBeUndefined();
  });
});

describe('what of the tank as it is now is answered and not drawn', () => {
  const s = scape();
  const leaver = { species: 'pterophyllum-scalare', count: 3, present: true, leaves: true };
  const coming = { species: 'neocaridina-davidi', count: 20 };
  const document = (running: boolean) =>
    parsed({
      ...s,
      brief: { ...s.brief, livestock: [fish, leaver, coming], ...(running ? { rescape } : {}) },
      site: { devices: [filter, { id: 'lamp', name: 'Lamp', watts: 40 }, bought, { id: 'shelf', name: 'Heater', watts: 50, origin: 'stock' }] },
    }); // prettier-ignore

  it('is each device that is in it and each kind of animal, once, with what becomes of it', () => {
    const list = answered(document(true), (id) => id.split('-')[0]);
    expect(list.map((a) => [a.name, a.count, a.fate, a.says])).toEqual([
      ['Old canister', 1, 'left', 'client'],
      ['Lamp', 1, 'stays', undefined],
      ['nematobrycon', 8, 'stays', 'tubs'],
      ['pterophyllum', 3, 'left', undefined],
    ]);
    expect(answered(document(false), (id) => id)).toEqual([]);
  });
});
