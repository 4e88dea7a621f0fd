import { describe, expect, it } from 'vitest';
import { parsed, piece, scape, soil } from '../testing/scape';
import { job, type Job } from '../testing/job';
import { gearKindOf, warmsOf, type Device } from './gear';
import { proposedGear } from './propose';
import { inEnglish } from '../words/english';

const ARTICLES = [
  { id: 'f-350', kind: 'equipment', gear: 'filter', name: 'Filter 350', watts: 8, litresPerHour: 350 },
  { id: 'f-700', kind: 'equipment', gear: 'filter', name: 'Filter 700', watts: 14, litresPerHour: 700, packs: [{ id: 'one', size: 1, unit: 'piece', priceMinor: 12_900, supplier: 'yard', leadDays: 9 }] }, // prettier-ignore
  { id: 'h-100', kind: 'equipment', gear: 'heater', name: 'Heater 100', watts: 100 },
];

/** A sketch on soil with articles of gear on its list. */
const planned = (devices: object[], option = {}) =>
  job({
    site: { devices },
    option: { bed: [soil({ kind: 'level', mm: 50 })], ...option },
    catalogue: (c) => c.materials.push(...ARTICLES),
  });
const equipped = () => {
  const s = structuredClone(scape());
  return parsed({ ...s, catalogue: { ...s.catalogue, materials: [...s.catalogue.materials, ...ARTICLES] } });
};
const found = (p: Job, area: string) => p.findings.filter((f) => f.id.startsWith(area)); // prettier-ignore
const filter = { id: 'f', name: 'filter', watts: 14, litresPerHour: 700 };

describe('gear', () => {
  it('is proposed from litres, heat and light, with the smallest article that serves', () => {
    const doc = equipped();
    const list = proposedGear(doc, { freeWaterL: 80, heatersW: [75], plants: ['grass'] }, inEnglish);
    // Five times 80 L are 400 L an hour: the one of 350 does not do.
    expect(list.filter((d) => d.watts > 0).map((d) => [d.name, d.watts, d.origin])).toEqual([
      ['Filter 700', 14, 'bought'],
      ['Heater 100', 100, 'bought'],
      ['light', 40, 'bought'],
      ['CO2 regulator', 5, 'bought'],
      ['surface skimmer', 5, 'bought'],
    ]);
    const bare = proposedGear({ ...doc, catalogue: { ...doc.catalogue, materials: [] } }, { freeWaterL: 80, heatersW: [50, 50], plants: [] }, inEnglish); // prettier-ignore
    expect(bare.slice(0, 6).map((d) => [d.id, d.watts, d.litresPerHour])).toEqual([
      ['filter', 8, 400],
      ['media', 0, undefined],
      ['pipes', 0, undefined],
      ['heater-1', 50, undefined],
      ['heater-2', 50, undefined],
      ['light', 40, undefined],
    ]);
  });

  it('is proposed with all that belongs to it: gas in its parts, media for a new filter, a lid where something jumps', () => {
    const need = { freeWaterL: 50, heatersW: [50], plants: [] };
    const kinds = (brief: object, vessel: object = {}, devices: object[] = []) => {
      const doc = parsed({ ...scape(), brief: { ...scape().brief, co2: false, ...brief }, vessel: { ...scape().vessel, ...vessel }, site: { devices } }); // prettier-ignore
      return proposedGear(doc, need, inEnglish).map((d) => d.part ?? d.kind);
    };
    const plain = ['filter', 'media', 'pipes', 'heater', 'lamp', 'timer', 'stand', 'mat', 'test-kit'];
    const gas = ['cylinder', 'regulator', 'check-valve', 'bubble-counter', 'diffuser', 'drop-checker'];
    expect(kinds({})).toEqual(plain);
    expect(kinds({ co2: true })).toEqual([...plain.slice(0, 6), ...gas, ...plain.slice(6)]);
    expect(kinds({ filter: { state: 'seeded' } })).not.toContain('media');
    const filter = { origin: 'client', state: 'mature' };
    expect(kinds({ filter })).toEqual(plain.filter((k) => k !== 'media' && k !== 'pipes'));
    const jumper = [{ species: 'nannostomus-marginatus', count: 8 }];
    expect(kinds({ livestock: jumper })).toEqual([...plain.slice(0, 8), 'lid', 'test-kit', 'food']);
    expect(kinds({ livestock: jumper }, { lid: true })).not.toContain('lid');
    expect(kinds({}, { background: { colour: 'black', sides: ['back'] } })).toContain('film');
    // A running tank has its own; what is listed is not proposed again.
    expect(kinds({ rescape: { stays: [], filterKept: true } })).toEqual(['filter', 'heater', 'lamp', 'timer', 'test-kit']); // prettier-ignore
    const listed = [{ id: 'x', name: 'CO2 valve', watts: 5, kind: 'co2', part: 'regulator' }, { id: 'h', name: 'heater', watts: 50 }]; // prettier-ignore
    const rest = kinds({ co2: true }, {}, listed);
    expect(rest).not.toContain('regulator');
    expect(rest).not.toContain('heater');
    expect(rest).toContain('check-valve');
    expect(kinds({ co2: true }, {}, [{ id: 'x', name: 'CO2 set', watts: 5 }])).toEqual(plain);
  });

  it('of gas that is listed part by part is missed where a part is not there', () => {
    const part = (part: string) => ({ id: part, name: part, watts: 0, kind: 'co2', part });
    const at = (...parts: string[]) => found(job({ brief: { co2: true }, site: { devices: parts.map(part) } }), 'gear.co2'); // prettier-ignore
    const all = ['cylinder', 'regulator', 'check-valve', 'bubble-counter', 'diffuser', 'drop-checker'];
    expect(at(...all)).toEqual([]);
    expect(at()).toEqual([]); // Nothing is listed: gear is not planned here.
    expect(at(...all.filter((p) => p !== 'check-valve' && p !== 'diffuser'))).toMatchObject([
      { measured: 4, limit: 6, says: 'The CO2 set lacks: check valve, diffuser.', because: expect.stringMatching(/runs back into the regulator/) }, // prettier-ignore
    ]);
  });

  it('is in take-off and order when it is bought, with price, supplier and lead time, and not otherwise', () => {
    const by = (origin?: string) =>
      planned([{ ...filter, material: 'f-700', ...(origin ? { origin } : {}) }]);
    expect(by('bought').takeOff.lines.find((l) => l.id === 'f-700')).toMatchObject({ kind: 'gear', priceMinor: 12_900 }); // prettier-ignore
    const [line] = by('bought')
      .order.suppliers.flatMap((s) => s.lines)
      .filter((l) => l.line === 'f-700');
    // Nine days before a delivery on Tuesday, 12 January.
    expect(line).toMatchObject({ orderBy: '2027-01-03', arriveBy: '2027-01-12', count: 1 });
    for (const origin of [undefined, 'client', 'here', 'stock'])
      expect(by(origin).takeOff.lines.find((l) => l.id === 'f-700')).toBeUndefined();
    const loose = planned([{ ...filter, origin: 'bought' }]);
    expect(loose.order.unpriced.map((u) => u.id)).toContain('gear-f');
  });

  it('turns the free water over five to ten times an hour, or that is said', () => {
    // 600 × 360 × 320 mm are 69.1 L.
    const at = (litresPerHour: number) => found(planned([{ ...filter, litresPerHour }]), 'gear.turnover');
    expect(at(500)).toEqual([]);
    expect(at(200)).toMatchObject([{ measured: 2.9, limit: 5, severity: 'warn' }]);
    expect(at(1400)).toMatchObject([{ measured: 20.3, limit: 10, severity: 'note' }]);
  });

  it('counts all filters, whatever they are called, and takes what they move from their articles', () => {
    const two = [{ ...filter, litresPerHour: 200 }, { id: 'g', name: 'Vortex 9', kind: 'filter', watts: 6, litresPerHour: 200 }]; // prettier-ignore
    // Twice 200 L an hour through 69.1 L.
    expect(found(planned(two), 'gear.turnover')).toEqual([]);
    expect(found(planned([{ id: 'f', name: 'of the list', watts: 8, material: 'f-350' }]), 'gear.turnover')).toEqual([]); // prettier-ignore
    expect(found(planned([{ id: 'f', name: 'of the list', watts: 8, material: 'f-350', litresPerHour: 100 }]), 'gear.turnover')[0].measured).toBe(1.4); // prettier-ignore
  });

  it('that is wanted and not listed is said: gas, where other gear is', () => {
    const gas = (brief: object, devices: object[] = [filter]) => found(job({ brief, site: { devices } }), 'gear.co2').map((f) => f.id); // prettier-ignore
    expect(gas({ co2: true })).toEqual(['gear.co2.none']);
    expect(gas({ co2: false })).toEqual([]);
    expect(gas({ co2: true, co2CostMinor: 18_000 })).toEqual([]);
    expect(gas({ co2: true }, [])).toEqual([]);
    const set = { id: 'a', kind: 'co2', name: 'all in one', watts: 5, part: 'set' };
    expect(gas({ co2: true }, [filter, set, { ...set, id: 'b', name: 'drop checker', part: 'drop-checker' }])).toEqual([]); // prettier-ignore
    // Of two one of which says nothing neither is the whole set.
    expect(gas({ co2: true }, [{ ...set, part: undefined }, { ...set, id: 'b', part: 'diffuser' }])).toEqual(['gear.co2']); // prettier-ignore
  });

  it('is what it says, what its article is, or what its name says first; its warmth follows from that', () => {
    const doc = equipped();
    const kind = (device: object) => gearKindOf(doc, { id: 'd', watts: 10, ...device } as Device);
    expect(kind({ name: 'heater in the filter' })).toBe('heater');
    expect(kind({ name: 'filter with heater' })).toBe('filter');
    expect(kind({ name: 'heater in the filter', kind: 'filter' })).toBe('filter');
    expect(kind({ name: 'Solar RGB 200', kind: 'lamp' })).toBe('lamp');
    expect(kind({ name: 'the old one', material: 'h-100' })).toBe('heater');
    expect([warmsOf({}, 'lamp'), warmsOf({}, 'filter'), warmsOf({}, 'timer'), warmsOf({}, undefined)]).toEqual(['above', 'water', 'elsewhere', 'elsewhere']); // prettier-ignore
    // What was said counts; a heater brings only what is missing.
    expect([warmsOf({ warms: 'water' }, undefined), warmsOf({ warms: 'elsewhere' }, 'filter'), warmsOf({ warms: 'water' }, 'heater')]).toEqual(['water', 'elsewhere', 'elsewhere']); // prettier-ignore
  });

  it('that comes a day late is said, with what cannot start without it, and has its visit', () => {
    const p = planned([{ ...filter, arrives: '2027-01-15' }]);
    expect(found(p, 'gear.late')).toMatchObject([{ measured: 1, severity: 'stop' }]);
    expect(found(p, 'gear.late')[0].because).toMatch(/Without a filter nothing alive goes in/);
    expect(p.build.tasks.find((t) => t.id === 'start')!.detail).toMatch(/still to come: filter/);
    const days = p.care.weeks.flatMap((w) => w.days).filter((d) => d.events.some((e) => /filter goes in/.test(`${e}`))); // prettier-ignore
    expect(days.map((d) => d.day)).toEqual(['2027-01-15']);
    expect(found(planned([{ ...filter, arrives: '2027-01-14' }]), 'gear.late')).toEqual([]);
  });

  it('is unpacked where it is plumbed or plugged and comes by the day; a stand is no part of it, nor a kettle beside it', () => {
    const bought = [filter, { id: 's', kind: 'stand', name: 'stand', watts: 0 }, { id: 'l', kind: 'lamp', name: 'light', watts: 30, arrives: '2027-01-15' }, { id: 'h', kind: 'heater', name: 'old heater', watts: 50, origin: 'here' }, { id: 'k', name: 'kettle, same circuit', watts: 2_000 }]; // prettier-ignore
    const detail = planned(bought).build.tasks.find((t) => t.id === 'unpack')!.detail;
    expect(String(detail)).toBe('filter: with hoses, clamps and leads; nothing is missing');
  });

  it('has a body that runs into stones, and that a hand of 90 mm reaches or not', () => {
    const block = { kind: 'box' as const, sizeMm: [100, 100, 200] as [number, number, number] };
    const stone = piece({ id: 'S', shape: block, at: [300, 200], stand: { kind: 'floor' } });
    const heater = (at: [number, number], servedFrom: string, zMm = 60) => ({
      id: 'h',
      name: 'heater',
      watts: 100,
      body: { sizeMm: [30, 30, 250], at, zMm, servedFrom },
    });
    const at = (device: object) => found(planned([device], { pieces: [stone] }), 'gear.').map((f) => f.id).filter((id) => id !== 'gear.co2.none'); // prettier-ignore
    expect(at(heater([290, 190], 'above'))).toEqual(['gear.collides']);
    expect(at(heater([50, 300], 'above'))).toEqual([]);
    // Behind the stone: from above a hand comes down, from the front the stone is in the way.
    expect(at(heater([285, 255], 'above'))).toEqual([]);
    expect(at(heater([285, 255], 'front'))).toEqual(['gear.reach']);
    expect(at(heater([20, 200], 'left'))).toEqual(['gear.reach']);
  });

  it('knows its kind as it was said, by its article, or by its name', () => {
    const doc = equipped();
    const kind = (device: Partial<Device>) =>
      gearKindOf(doc, { id: 'd', watts: 0, name: 'thing', ...device });
    expect(kind({ kind: 'lid', name: 'heater' })).toBe('lid');
    expect(kind({ material: 'h-100' })).toBe('heater');
    expect(kind({ name: 'LED light' })).toBe('lamp');
    expect(kind({})).toBeUndefined();
  });
});

describe('root tabs', () => {
  it('are one each 65 mm of planted floor in a bed that gives nothing, and none in soil', () => {
    const region = [[0, 0], [500, 0], [500, 200], [0, 200]] as [number, number][]; // prettier-ignore
    const plants = [{ id: 'P', plant: 'grass', region, spacingMm: 50 }];
    const sandBed = { bed: [{ id: 's', material: 'sand', top: { kind: 'level', mm: 60 } }], plants };
    const tabs = (option: object) => planned([], option).takeOff.lines.find((l) => l.id === 'root-tab')?.needed.value; // prettier-ignore
    // 0.1 m² by 0.065² m² are 23.7.
    expect(tabs(sandBed)).toBe(24);
    expect(tabs({ plants })).toBeUndefined();
  });
});

describe('what a job takes for granted', () => {
  const lamp = { id: 'l', kind: 'lamp', name: 'Lamp', watts: 30 };
  const listed = (vessel: object, ...devices: object[]) => job({ vessel, site: { devices } }).findings.map((f) => f.id).filter((id) => /gear\.(film|timer)/.test(id)); // prettier-ignore

  it('is said where it is not on the list: film for a background, a timer for a lamp', () => {
    const background = { background: { colour: 'black', sides: ['back'] } };
    expect(listed(background, lamp)).toEqual(['gear.film.none', 'gear.timer.none']);
    const all = [
      lamp,
      { id: 't', kind: 'timer', name: 'Clock', watts: 0 },
      { id: 'f', kind: 'film', name: 'Film', watts: 0 },
    ];
    expect(listed(background, ...all)).toEqual([]);
    // A list that nobody has begun says nothing.
    expect(listed(background)).toEqual([]);
  });
});

describe('gas that is wanted', () => {
  const lamp = { id: 'l', kind: 'lamp', name: 'Lamp', watts: 30 };
  const set = { id: 'g', kind: 'co2', name: 'Set', part: 'set', watts: 5 };
  const opened = (brief: object, ...devices: object[]) =>
    /CO2 slowly/.test(job({ brief: { co2: true, ...brief }, site: { devices } }).build.tasks.find((t) => t.id === 'start')!.detail); // prettier-ignore

  it('is opened where it is listed, quoted, runs there already, or no list was begun; and missed where none is', () => {
    expect(opened({}, lamp, set)).toBe(true);
    expect(opened({ co2CostMinor: 30_000 }, lamp)).toBe(true);
    expect(opened({ rescape: { stays: ['wood'], filterKept: true } }, lamp)).toBe(true);
    expect(opened({})).toBe(true);
    expect(opened({}, lamp)).toBe(false);
    const ids = job({ brief: { co2: true }, site: { devices: [lamp] } }).findings.map((f) => f.id);
    expect(ids).toContain('gear.co2.none');
  });
});
