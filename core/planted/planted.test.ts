import { describe, expect, it } from 'vitest';
import { dayPlus } from '../calendar/day';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import type { Commission, Piece, Planting } from '../commission/schema';
import { surveyFindings } from '../findings/findings';
import { newMemo } from '../survey/memo';
import { survey } from '../survey/survey';
import { takeOff } from '../takeoff/takeOff';
import { piece, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { grownAt, trimmingsOf } from './grown';
import { preparationOf } from '../planting/preparation';
import { reasonsAgainst } from './livesHere';
import { newPlantedMemo, plantedPlan, type PlantedPlan } from './planted';
import { resolved } from '../testing/resolved';

const region: [number, number][] = [[50, 40], [350, 40], [350, 240], [50, 240]]; // prettier-ignore
const known = (id: string) => ({ ...KNOWN_PLANTS.find((p) => p.id === id)!, packs: [{ id: `${id}-cup`, name: 'cup', size: 8, unit: 'plug' as const, priceMinor: 650, supplier: 'glasshouse-nine', leadDays: 5 }] }); // prettier-ignore

/** A level bed under one lamp with some plantings. */
function with_(plants: Partial<Planting>[], change: (c: Commission) => void = () => {}): Commission {
  const commission = scape({
    inner: [600, 360, 400],
    option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [] },
  });
  const ids = [...new Set(plants.map((p) => p.plant!))];
  commission.catalogue.plants = ids.map(known);
  commission.options[0].plants = plants.map((p, i) => ({
    id: `P-${i + 1}`,
    plant: 'hemianthus-callitrichoides',
    ...p,
  }));
  commission.site = { devices: [{ id: 'lamp', name: 'lamp', watts: 60, kind: 'lamp', light: { umolPerS: 90 } }, { id: 'f', name: 'filter', watts: 10, kind: 'filter', litresPerHour: 600 }] }; // prettier-ignore
  commission.brief.co2 = true;
  change(commission);
  return commission;
}
const planted = (c: Commission): PlantedPlan => plantedPlan(resolved(c), survey(c));
const ids = (p: PlantedPlan) => p.findings.map((f) => f.id);
const carpet = { plant: 'hemianthus-callitrichoides', region, spacingMm: 25 };

describe('a scape as it will be planted', () => {
  it('has a spot for every plug that is bought, numbered over all plantings', () => {
    const { parts } = planted(with_([carpet, { plant: 'rotala-rotundifolia', region: [[400, 40], [560, 40], [560, 300], [400, 300]], spacingMm: 30 }])); // prettier-ignore
    // 300 · 200 / 25² = 96; 160 · 260 / 30² = 46.2, rounded up.
    expect(parts.map((p) => [p.count, p.spots.length / 3])).toEqual([[96, 96], [47, 47]]); // prettier-ignore
    expect(parts.map((p) => p.firstNo).sort((a, b) => a - b)).toEqual([1, parts[0].firstNo === 1 ? 97 : 48]);
  });

  it('counts the weeks of a dry start: a carpet that is planted four weeks before the water closes so much sooner', () => {
    const [onTheDay] = planted(with_([carpet])).parts;
    const dry = with_([carpet], (c) => {
      c.brief.sittings = [{ id: 'dry', kind: 'planting', day: dayPlus(c.brief.buildDay, -28) }];
    });
    const [early] = planted(dry).parts;
    expect(early.growth.grownMm).toBeGreaterThan(0);
    expect(early.cover!.days).toBeLessThan(onTheDay.cover!.days);
    // No sooner than it would have, had the water come with the plants.
    expect(early.cover!.days).toBeGreaterThanOrEqual(onTheDay.cover!.days - 28 - 1e-9);
    expect(grownAt(early, 0).cover).toBeGreaterThan(grownAt(onTheDay, 0).cover);
  });

  it('says where too few cups leave the hill bare, and each way out with its price and its date', () => {
    const c = with_([{ ...carpet, packs: 2 }]);
    const { parts } = planted(c);
    // Said wherever findings are, not on the planting stage alone.
    const findings = surveyFindings(resolved(c), survey(c));
    // Two cups of 35 plugs for 96: 26 are missing, 26 · 25² mm² = 162.5 cm².
    expect(parts[0]).toMatchObject({ plugsAPack: 35, packsNeeded: 3, plugsAtHand: 70, missing: 26 });
    expect(parts[0].bareM2).toBeCloseTo(0.01625, 9);
    expect(findings.map((f) => inEnglish(f.says))).toContain('Hemianthus callitrichoides: 2 packs give 70 of 96 plugs; 163 cm² stay bare.'); // prettier-ignore
    const ways = parts[0].waysOut;
    expect(ways.map((w) => [w.kind, w.packs, w.priceMinor, w.figure])).toEqual([
      // 25 · √(96 / 70) = 29.3 mm.
      ['wider', 0, 0, 30],
      ['packs', 1, 650, 3],
      ['finer', 0, 0, 50],
      // 40 + 200 · 69.5 / 96 = 184.8 mm from the front.
      ['fewer', 0, 0, 184],
      ['behind', 0, 0, 184],
    ]);
    for (const w of ways) expect(w.on).toBe(dayPlus(c.brief.buildDay, Math.round(w.coverDays!)));
    expect(ways[0].coverDays!).toBeGreaterThan(ways[1].coverDays!);
    // Each way out, taken, leaves nothing bare.
    for (const { part } of ways.filter((w) => w.kind !== 'behind')) {
      const [next] = planted(with_([{ ...carpet, packs: 2, ...part }])).parts;
      expect(next.missing).toBe(0);
    }
  });

  it('cut where the plugs at hand end leaves none missing, on a hill and behind a stone', () => {
    const hill = (packs: number, part: Partial<Planting> = {}) => with_([{ ...carpet, packs, ...part }], (d) => {
      d.options[0].bed = [soil({ kind: 'ramp', frontMm: 30, backMm: 220 })];
      d.options[0].pieces = [piece({ shape: { kind: 'box', sizeMm: [120, 70, 90] }, at: [180, 90], stand: { kind: 'bed', buryMm: 20 } })]; // prettier-ignore
    }); // prettier-ignore
    for (const packs of [1, 2]) {
      const [short] = planted(hill(packs)).parts;
      const fewer = short.waysOut.find((w) => w.kind === 'fewer')!;
      const [front] = planted(hill(packs, fewer.part)).parts;
      expect(front.missing).toBe(0);
      // Nor are many left over.
      expect(front.count).toBeGreaterThan(front.plugsAtHand - 4);
    }
  });

  it('finds a carpet in the shadow of wood, and none of it in the light', () => {
    const wood = { id: 'R-1', shape: { kind: 'box' as const, sizeMm: [560, 340, 20] as [number, number, number] }, at: [300, 180] as [number, number], stand: { kind: 'at' as const, zMm: 250 } }; // prettier-ignore
    const shaded = planted(with_([carpet], (c) => (c.options[0].pieces = [piece(wood)])));
    expect(ids(shaded)).toContain('plant.dark');
    const free = planted(with_([carpet]));
    expect(ids(free)).not.toContain('plant.dark');
    expect(free.parts[0].meanDli).toBeGreaterThan(3 * shaded.parts[0].meanDli);
    expect(free.parts[0].cover).toBeDefined();
    expect(shaded.parts[0].cover?.days ?? Infinity).toBeGreaterThan(free.parts[0].cover!.days);
  });

  it('asks the light once more only for what a moved piece shades', () => {
    const memo = newPlantedMemo();
    const c = with_([carpet], (d) => (d.options[0].pieces = [piece({ at: [200, 140], stand: { kind: 'bed', buryMm: 20 } })])); // prettier-ignore
    plantedPlan(resolved(c), survey(c), memo);
    const moved = structuredClone(c);
    moved.options[0].pieces[0].at = [450, 250];
    const again = plantedPlan(resolved(moved), survey(moved), memo);
    expect(again.parts[0].meanDli).toBeCloseTo(
      plantedPlan(resolved(moved), survey(moved)).parts[0].meanDli,
      6,
    );
  });

  it('is the same with what was kept as anew, whatever became of a piece', () => {
    const memo = newPlantedMemo();
    const surveyed = newMemo();
    const c = with_([carpet], (d) => (d.options[0].pieces = [piece({ at: [200, 140], stand: { kind: 'bed', buryMm: 20 } })])); // prettier-ignore
    const became: Partial<Piece>[] = [
      {},
      { at: [260, 180] },
      { turnDeg: 40 },
      { shape: { kind: 'box', sizeMm: [260, 60, 220] } },
      { stand: { kind: 'bed', buryMm: 60 } },
    ];
    for (const now of became) {
      const next = { ...c, options: c.options.map((o) => ({ ...o, pieces: o.pieces.map((p) => ({ ...p, ...now })) })) }; // prettier-ignore
      const kept = plantedPlan(resolved(next), survey(next, { memo: surveyed }), memo);
      const anew = planted(next);
      expect([...kept.parts[0].spots]).toEqual([...anew.parts[0].spots]);
      expect([...kept.living.flow[0].speed]).toEqual([...anew.living.flow[0].speed]);
      for (const [i, dli] of anew.parts[0].dli.entries()) expect(kept.parts[0].dli[i]).toBeCloseTo(dli, 6);
    }
  });

  it('holds the day on which it closes against the photograph', () => {
    const on = (days: number) => with_([carpet], (c) => {
      c.brief.buildDay = '2027-01-10';
      c.brief.occasion = { kind: 'photograph', day: days > 20 ? '2027-04-20' : '2027-01-25' };
    }); // prettier-ignore
    expect(ids(planted(on(15)))).toContain('plant.cover');
    expect(ids(planted(on(100)))).not.toContain('plant.cover');
  });

  it('says what would close by the photograph, and each of it does', () => {
    const inDays = (days: number, part: Partial<Planting> = {}, change: (c: Commission) => void = () => {}) =>
      with_([{ ...carpet, spacingMm: 40, ...part }], (c) => {
        c.brief.buildDay = '2027-01-10';
        c.brief.co2 = false;
        c.brief.occasion = { kind: 'photograph', day: dayPlus(c.brief.buildDay, days) };
        change(c);
      });
    const because = (c: Commission) =>
      inEnglish(planted(c).findings.find((f) => f.id === 'plant.cover')!.because);
    const said = because(inDays(70, { laterDays: 7 }));
    const mm = Number(/(\d+) mm apart/.exec(said)![1]);
    expect(ids(planted(inDays(70, { laterDays: 7, spacingMm: mm })))).not.toContain('plant.cover');
    expect(ids(planted(inDays(70, { laterDays: 7, spacingMm: mm + 1 })))).toContain('plant.cover');
    expect(said).not.toContain('sooner');
    // With gas alone it closes by then, and that is said; otherwise with gas and so much light.
    const gas = (c: Commission) => (c.brief.co2 = true);
    expect(said.includes('CO2')).toBe(
      !ids(planted(inDays(70, { laterDays: 7 }, gas))).includes('plant.cover'),
    );
    expect(said).toContain('CO2');
    // Some days sooner, where it is only some days late.
    const fed = (days: number) => inDays(days, { laterDays: 7 }, gas);
    const sooner = Number(/building (\d+) days sooner/.exec(because(fed(60)))![1]);
    expect(ids(planted(fed(60 + sooner)))).not.toContain('plant.cover');
    expect(ids(planted(fed(59 + sooner)))).toContain('plant.cover');
    // What goes in late may go in first.
    expect(because(inDays(170, { laterDays: 120 }, gas))).toContain('planting it on the build day');
    // In two weeks no carpet closes that is planted plug by plug.
    expect(because(inDays(9))).toContain('a mat that is laid grown');
  });

  it('from the main seat a hedge hides a low plant behind it, and says how high it may be', () => {
    const box = (y: number): [number, number][] => [[60, y], [540, y], [540, y + 70], [60, y + 70]]; // prettier-ignore
    const bed = (eyeMm: number, at: [number, number] = [300, -900]) => with_([{ plant: 'rotala-rotundifolia', region: box(60), spacingMm: 30 }, { plant: 'marsilea-hirsuta', region: box(220), spacingMm: 30 }], (c) => (c.brief.seats = [{ id: 's', name: 'armchair', at, eyeMm }])); // prettier-ignore
    const hides = (c: Commission) => planted(c).findings.find((f) => f.id === 'plant.hides');
    const found = hides(bed(1000))!;
    expect(inEnglish(found.says)).toMatch(
      /^From the seat “armchair”, Rotala rotundifolia at its \d+ mm hides \d+ % of Marsilea hirsuta/,
    );
    expect(found.measured).toBeGreaterThan(found.limit);
    // From behind it is the other way round, and nothing is hidden by what is low.
    expect(hides(bed(1000, [300, 1400]))).toBeUndefined();
    // One among the other on purpose hides nothing.
    const mixed = bed(1000);
    mixed.options[0].plants.forEach((p) => Object.assign(p, { region: box(100), share: 0.5 }));
    expect(hides(mixed)).toBeUndefined();
    // Who stands over the tank looks onto both.
    expect(hides(bed(2500, [300, -150]))).toBeUndefined();
  });

  it('knows what does not live there: cold water, hard water, a buried rhizome, red in the shade', () => {
    const c = with_(
      [carpet, { plant: 'anubias-barteri-nana', region: [[400, 40], [500, 40], [500, 140]], spacingMm: 60 }, { plant: 'rotala-macrandra', region: [[400, 200], [560, 200], [560, 320], [400, 320]], spacingMm: 30 }], // prettier-ignore
      (d) => {
        d.site!.target = { tempC: 18, gh: 14 };
        d.site!.devices![0].light = { umolPerS: 40 };
      },
    );
    const found = ids(planted(c));
    for (const id of ['plant.warmth', 'plant.hardness', 'plant.rhizome']) expect(found).toContain(id);
    expect(found.some((id) => id === 'plant.red' || id === 'plant.dark')).toBe(true);
    // Everything said is a sentence with its figures.
    for (const f of planted(c).findings) {
      expect(inEnglish(f.says)).toMatch(/^\S.+[.:]$/);
      expect(inEnglish(f.because)).not.toMatch(/[{}]/);
    }
  });

  it('sets moss and ferns on the upper faces of the piece they are counted on', () => {
    const c = with_([{ plant: 'taxiphyllum-barbieri', on: 'S-1', count: 8, region: undefined }], (d) => (d.options[0].pieces = [piece({ id: 'S-1', shape: { kind: 'box', sizeMm: [200, 120, 100] }, at: [300, 180], stand: { kind: 'floor' } })])); // prettier-ignore
    const [moss] = planted(c).parts;
    expect(moss.spots.length).toBe(24);
    for (let i = 0; i < 24; i += 3) {
      expect(Math.abs(moss.spots[i] - 300)).toBeLessThanOrEqual(100);
      expect(moss.spots[i + 2]).toBeCloseTo(100, 6);
    }
    expect(moss.dli.every((d) => d > 0)).toBe(true);
  });
});

describe('a region', () => {
  it('outside the glass is said, and is no plug', () => {
    const out = planted(with_([{ ...carpet, region: [[700, 40], [800, 40], [800, 140], [700, 140]] }])); // prettier-ignore
    expect(out.parts[0].count).toBe(0);
    expect(ids(out)).toContain('plant.nowhere');
  });
});

describe('packs', () => {
  it('are those of the take-off: an entry that only has a pack is split into what that holds', () => {
    const c = with_([carpet], (d) => {
      const { plugsAPack: _s, ...entry } = d.catalogue.plants[0];
      d.catalogue.plants[0] = entry;
    });
    const [part] = planted(c).parts;
    const line = takeOff(resolved(c), survey(c)).lines.find((l) => l.id === carpet.plant)!;
    expect([part.packsNeeded, ...part.splits]).toEqual([line.packs[0].count, 5, 8, 12]);
    const [split] = planted(with_([carpet])).parts;
    const own = with_([carpet]);
    expect(split.packsNeeded).toBe(takeOff(resolved(own), survey(own)).lines.find((l) => l.id === carpet.plant)!.packs[0].count); // prettier-ignore
  });
});

describe('what is there already', () => {
  it('needs no packs and is short of none; in a running tank it rests least', () => {
    const c = with_([{ ...carpet, origin: 'here', packs: 1 }, { ...carpet, origin: 'bought' }], (d) => (d.brief.rescape = { stays: ['plants'] } as never)); // prettier-ignore
    const [here, bought] = planted(c).parts;
    expect([here.packsNeeded, here.missing]).toEqual([0, 0]);
    expect(bought.packsNeeded).toBeGreaterThan(0);
    expect(here.growth.restsDays).toBeLessThan(bought.growth.restsDays);
  });
});

describe('week after week', () => {
  it('plugs close, are trimmed and melt; what goes in later is not there before', () => {
    const c = with_([carpet, { plant: 'cryptocoryne-wendtii', region: [[400, 40], [560, 40], [560, 300], [400, 300]], spacingMm: 60, form: 'emersed', laterDays: 14 }]); // prettier-ignore
    const [low, rosette] = planted(c).parts;
    const covers = [0, 2, 4, 6, 8].map((week) => grownAt(low, week * 7).cover);
    expect(covers).toEqual([...covers].sort((a, b) => a - b));
    expect(covers[0]).toBeLessThan(0.2);
    expect(grownAt(low, Math.ceil(low.cover!.days)).cover).toBe(1);
    expect(grownAt(rosette, 10).spots.length).toBe(0);
    expect(grownAt(rosette, 14).spots.length / 3).toBe(rosette.count);
    // Two weeks after it went in it has lost most of what grew above water, and has it again five weeks after.
    expect(grownAt(rosette, 28).melted).toBeCloseTo(0.7, 9);
    expect(grownAt(rosette, 14 + 35).melted).toBe(0);
    expect(grownAt(low, 200).trimmed).toBeGreaterThanOrEqual(low.trims[0]);
    // Of a carpet a tenth of its plugs, of stems a top each.
    expect(trimmingsOf(low)).toBe(Math.floor(low.count / 10));
    const [stems] = planted(with_([{ plant: 'rotala-rotundifolia', region, spacingMm: 30 }])).parts;
    expect(trimmingsOf(stems)).toBe(stems.count);
  });
});

describe('above the water', () => {
  it('plants of the air sit on wood that stands out of it, and are missed where none does', () => {
    const of = (high: number) => with_([{ plant: 'spathiphyllum-wallisii', on: 'R-1', count: 3, region: undefined }], (c) => {
      c.vessel.waterLineMm = 200;
      c.options[0].pieces = [piece({ id: 'R-1', shape: { kind: 'box', sizeMm: [200, 120, high] }, at: [300, 180], stand: { kind: 'floor' } })]; // prettier-ignore
    }); // prettier-ignore
    const out = planted(of(320));
    expect(out.parts[0].spots.length / 3).toBe(3);
    for (let i = 2; i < 9; i += 3) expect(out.parts[0].spots[i]).toBeGreaterThanOrEqual(200);
    expect(ids(out)).not.toContain('plant.drowned');
    expect(ids(planted(of(150)))).toContain('plant.drowned');
    // A spot that was chosen by hand below the water is one too few, and a moss above it dries out.
    const picked = (plant: string, z: number) => ids(planted(with_([{ plant, on: 'R-1', count: 1, at: [[0, 0, z]], region: undefined }], (c) => {
      c.vessel.waterLineMm = 200;
      c.options[0].pieces = [piece({ id: 'R-1', shape: { kind: 'box', sizeMm: [200, 120, 320] }, at: [300, 180], stand: { kind: 'floor' } })]; // prettier-ignore
    }))); // prettier-ignore
    expect(picked('spathiphyllum-wallisii', -100)).toContain('plant.drowned');
    expect(picked('taxiphyllum-barbieri', 160)).toContain('plant.dry');
    expect(picked('taxiphyllum-barbieri', -100)).not.toContain('plant.dry');
    // What lives under water never sits above it.
    const moss = planted(with_([{ plant: 'taxiphyllum-barbieri', on: 'R-1', count: 3, region: undefined }], (c) => {
      c.vessel.waterLineMm = 200;
      c.options[0].pieces = [piece({ id: 'R-1', shape: { kind: 'box', sizeMm: [200, 120, 320] }, at: [300, 180], stand: { kind: 'floor' } })]; // prettier-ignore
    })); // prettier-ignore
    expect(moss.parts[0].spots.length).toBe(0);
  });
});

describe('what lives here', () => {
  it('names each reason against a plant, and none where it lives', () => {
    const of = (id: string, spot = {}) => reasonsAgainst(KNOWN_PLANTS.find((p) => p.id === id)!, { dli: 1, co2: false, waterC: 24, gh: 8, ...spot }).map((t) => inEnglish(t)); // prettier-ignore
    expect(of('anubias-barteri-nana')).toEqual([]);
    expect(of('hemianthus-callitrichoides')).toEqual(['1 mol/m² a day here, lives from 2.2', 'needs CO2']);
    expect(of('hemianthus-callitrichoides', { dli: 3, co2: true })).toEqual([]);
    expect(of('eriocaulon-cinereum', { dli: 3, co2: true, waterC: 29 })).toEqual([
      'wants 20 to 27 °C',
      'wants 0 to 6 °d of hardness',
    ]);
  });
});

describe('preparation', () => {
  it('says for each plant what is done to it before it goes in, with its minutes', () => {
    const c = with_([carpet, { plant: 'cryptocoryne-wendtii', region: [[400, 40], [560, 40], [560, 300], [400, 300]], spacingMm: 60, form: 'emersed' }]); // prettier-ignore
    const { parts } = planted(c);
    const { rows, tools, minutes } = preparationOf(parts);
    expect(rows.get('P-1')!.map((t) => inEnglish(t))).toEqual([
      'rinse the gel off, lukewarm',
      'split into 35 a pack',
    ]);
    expect(rows.get('P-2')!.map((t) => inEnglish(t))).toEqual(['pull the wool off', 'trim the roots to two fingers', 'cut the leaves off that grew above water', 'split into 3 a pack']); // prettier-ignore
    expect(tools.map((t) => inEnglish(t))).not.toContain('gel glue and gloves');
    // Three cups rinsed at 1.5 min; each pot 4 + 2 + 1.5 min; 0.12 min a plug.
    const [a, b] = parts;
    expect(minutes).toBeCloseTo(3 * 1.5 + b.packsNeeded * 7.5 + (a.count + b.count) * 0.12, 9);
  });
});
