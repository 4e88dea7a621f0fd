import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { example, scape } from '../testing/scape';
import { commissionJsonSchema } from './jsonSchema';
import { migrated } from './migrate';
import { MAX_DOCUMENT_BYTES, parseCommission, parseCommissionText, tooLarge } from './parse';
import { inEnglish } from '../words/english';

type Doc = ReturnType<typeof example>;

/** The faults of an example after it has been spoilt, as `path: says`. */
function spoilt(spoil: (doc: any) => void, name: 'level-cube' | 'held-root' = 'held-root'): string[] {
  const doc = structuredClone(example(name));
  spoil(doc);
  const result = parseCommission(doc);
  return result.ok ? [] : result.faults.map((f) => `${f.path}: ${inEnglish(f.says)}`);
}

describe('reading a commission', () => {
  it('takes the examples and keeps fields it does not know', () => {
    const doc = { ...example('level-cube'), later: { kept: true } };
    const result = parseCommission(doc);
    expect(result.ok && result.commission).toMatchObject({ title: 'Level cube', later: { kept: true } });
  });

  it.each<[string, (doc: any) => void, RegExp]>([
    ['a wrong type', (d) => (d.brief.crew = 'two'), /^brief\.crew: is "two" \(text\), must be a number$/],
    [
      'a negative size',
      (d) => (d.vessel.innerMm.width = -1),
      /^vessel\.innerMm\.width: is -1 mm, must be at least 20 mm$/,
    ],
    ['NaN', (d) => (d.vessel.glassMm = NaN), /^vessel\.glassMm: is NaN, must be a number$/],
    ['infinity', (d) => (d.vessel.waterLineMm = Infinity), /^vessel\.waterLineMm: is Infinity, must be/],
    [
      'an unknown kind',
      (d) => (d.options[0].bed[0].top.kind = 'wavy'),
      /must have a kind of "level", "ramp", "grid"/,
    ],
    ['something missing', (d) => delete d.title, /^title: is missing, must be text$/],
    [
      'a day that is none',
      (d) => (d.brief.buildDay = '2027-02-30'),
      /^brief\.buildDay: .*must be a day that exists/,
    ],
    [
      'a missing material',
      (d) => (d.options[0].pieces[0].material = 'marble'),
      /^options\[0\]\.pieces\[0\]\.material: is "marble", must be the id of a material/,
    ],
    [
      'a missing plant',
      (d) => (d.options[0].plants[0].plant = 'kelp'),
      /^options\[0\]\.plants\[0\]\.plant: is "kelp"/,
    ],
    [
      'an unknown supplier',
      (d) => (d.catalogue.plants[0].packs[0].supplier = 'nobody'),
      /^catalogue\.plants\[0\]\.packs\[0\]\.supplier: is "nobody", must be the id of a supplier/,
    ],
    ['an option that is not there', (d) => (d.chosen = 'z'), /^chosen: is "z"/],
    [
      'a joint with no such piece',
      (d) => (d.options[0].joints[0].pieces[1] = 'X'),
      /^options\[0\]\.joints\[0\]\.pieces\[1\]: is "X"/,
    ],
    [
      'an id given twice',
      (d) => (d.options[0].pieces[1].id = 'S-1'),
      /pieces\[1\]\.id: is "S-1" a second time/,
    ],
    [
      'pieces standing on each other',
      (d) => (d.options[0].pieces[0].stand = { kind: 'on', piece: 'R-1' }),
      /pieces\[0\]\.stand\.piece: brings "S-1" back to stand on itself/,
    ],
    [
      'water above the rim',
      (d) => (d.vessel.waterLineMm = 401),
      /^vessel\.waterLineMm: is 401 mm, must be at most the inner height, 400 mm$/,
    ],
    [
      'a self-crossing region',
      (d) =>
        (d.options[0].plants[0].region = [
          [0, 0],
          [100, 100],
          [100, 0],
          [0, 100],
        ]),
      /^options\[0\]\.plants\[0\]\.region: crosses itself: edge 0 meets edge 2/,
    ],
    [
      'a planting without a region or a count',
      (d) => delete d.options[0].plants[0].region,
      /plants\[0\]\.region: is missing/,
    ],
    [
      'a grid of the wrong size',
      (d) => (d.options[0].bed[0].top = { kind: 'grid', stepMm: 100, columns: 3, rows: 3, mm: [1, 2] }),
      /bed\[0\]\.top\.mm: has 2 heights, must have columns × rows = 9/,
    ],
    [
      'an open mesh',
      (d) =>
        (d.options[0].pieces[0].shape = {
          kind: 'mesh',
          vertices: [
            [0, 0, 0],
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ],
          faces: [
            [0, 2, 1],
            [0, 1, 3],
            [1, 2, 3],
            [2, 0, 1],
          ],
        }),
      /pieces\[0\]\.shape\.faces: /,
    ],
    [
      'a mesh inside out',
      (d) =>
        (d.options[0].pieces[0].shape = {
          kind: 'mesh',
          vertices: [
            [0, 0, 0],
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ],
          faces: [
            [0, 1, 2],
            [0, 3, 1],
            [1, 3, 2],
            [2, 3, 0],
          ],
        }),
      /face inwards/,
    ],
  ])('refuses %s with its path and what is allowed', (_what, spoil, message) => {
    const faults = spoilt(spoil);
    expect(faults.length).toBeGreaterThan(0);
    expect(faults.join('\n')).toMatch(new RegExp(message.source, 'm'));
  });

  it('refuses text that is not JSON, and files that are too large, in one line', () => {
    const broken = parseCommissionText('{ "format": ');
    expect(broken.ok).toBe(false);
    expect(!broken.ok && inEnglish(broken.faults[0].says)).toMatch(
      /^is not JSON .*must be a commission document$/,
    );
    expect(inEnglish(tooLarge(200 * 1024 * 1024).says)).toBe('has 200 MB, must have at most 20 MB');
    expect(parseCommissionText(' '.repeat(MAX_DOCUMENT_BYTES + 1)).ok).toBe(false);
    expect(parseCommission(null).ok).toBe(false);
    expect(parseCommission([]).ok).toBe(false);
  });

  it('takes an option without pieces, joints and plants as one that has none', () => {
    const doc: any = structuredClone(example('level-cube'));
    for (const key of ['pieces', 'joints', 'plants']) delete doc.options[0][key];
    delete doc.catalogue.plants;
    const result = parseCommission(doc);
    expect(result.ok && result.commission).toEqual(example('level-cube'));
  });

  it('lists at most fifty faults', () => {
    const doc: Doc = structuredClone(scape());
    doc.log = Array.from({ length: 80 }, () => ({ id: '', date: 'x', text: 'y' }));
    const result = parseCommission(doc);
    expect(!result.ok && result.faults).toHaveLength(51);
  });
});

describe('versions', () => {
  it('refuses a future version and says what to do', () => {
    expect(spoilt((d) => (d.version = 2))).toEqual([
      'version: is 2, made by a newer Utsuwa; must be at most 1: bring this one up to date and open it again',
    ]);
    expect(spoilt((d) => (d.version = '1'))[0]).toMatch(/^version: is "1" \(text\)/);
    expect(spoilt((d) => (d.format = 'other'))[0]).toMatch(/^format: is "other"/);
  });

  it('brings an old document forward one step at a time', () => {
    const steps = {
      1: (old: any) => ({ ...old, title: `${old.title}, then 2` }),
      2: (old: any) => ({ ...old, title: `${old.title}, then 3` }),
    };
    const result = migrated({ format: 'utsuwa.commission', version: 1, title: 'first' }, steps, 3);
    expect(result).toEqual({
      ok: true,
      document: { format: 'utsuwa.commission', version: 3, title: 'first, then 2, then 3' },
    });
  });
});

describe('JSON Schema', () => {
  it('is committed as it is exported (npm run schema)', () => {
    const committed = readFileSync(new URL('../../docs/commission.schema.json', import.meta.url), 'utf8');
    expect(JSON.parse(committed)).toEqual(JSON.parse(JSON.stringify(commissionJsonSchema())));
  });

  it('accepts the examples and refuses a negative size, by an independent validator', () => {
    const validate = new Ajv2020({ strict: false }).compile(commissionJsonSchema());
    expect(validate(example('held-root'))).toBe(true);
    const spoiltDoc = structuredClone(example('held-root'));
    spoiltDoc.vessel.innerMm.height = -1;
    expect(validate(spoiltDoc)).toBe(false);
  });
});
