import { parse } from 'csv-parse/sync';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Animal } from '../core/commission/schema';
import { SPECIES } from '../core/livestock/species';
import { animalsCsv, animalsOfCsv } from './documents/animalsCsv';
import { testServer, type TestServer } from './testing';

const utf8 = (text: string) => new TextEncoder().encode(text);
const crab: Animal = { id: 'crab', name: 'Moss crab', kind: 'shrimp', tempC: [20, 28], ph: [6.5, 7.8], digs: true, jumps: false }; // prettier-ignore

describe('a list of animals as CSV', () => {
  it('is read by another program, and comes back as it went out', () => {
    const csv = animalsCsv([crab]);
    expect(parse(csv, { columns: true })).toMatchObject([{ name: 'Moss crab', 'temperature C': '20-28', pH: '6.5-7.8', digs: 'yes', jumps: 'no', 'eats plants': '' }]); // prettier-ignore
    // By its name it is the one that is here, whatever its id.
    expect(animalsOfCsv(utf8(csv), [['crab', 'Moss crab']])).toEqual({ ok: true, animals: [crab] });
    const known = SPECIES.map(({ name, kind, ...rest }) => ({ ...rest, id: '', name, kind })) as Animal[];
    const back = animalsOfCsv(utf8(animalsCsv(known)), []);
    if (!back.ok) throw new Error(back.says);
    expect(back.animals.map((a) => [a.name, a.kind])).toEqual(SPECIES.map((s) => [s.name, s.kind]));
  });

  it('is refused whole with line and reason', () => {
    const says = (text: string) => {
      const read = animalsOfCsv(utf8(text), [['crab', 'Moss crab']]);
      return read.ok ? '' : read.says;
    };
    expect(says('animal\nA')).toMatch(/no column “name”/);
    expect(says('name,warmth\nA,3')).toMatch(/“warmth” is not known/);
    expect(says('name\nGrey loach')).toMatch(/Line 2: kind is missing, must be fish/);
    expect(says('name,kind\nGrey loach,bird')).toMatch(/Line 2: kind is “bird”/);
    expect(says('name,kind,pH\nGrey loach,fish,7')).toMatch(/Line 2: pH is “7”, must be 2 figures/);
    expect(says('name,kind,pH\nGrey loach,fish,8-6')).toMatch(/Line 2: ph/);
    expect(says('name,kind,grows to mm\nGrey loach,fish,"1,200"')).toMatch(/may be two figures/);
    expect(says('name,kind,jumps\nGrey loach,fish,often')).toMatch(
      /Line 2: jumps is “often”, must be yes, no/,
    );
    expect(says('name,kind\nGrey loach,fish\nGrey-loach,fish')).toMatch(/Line 3: .* too much like line 2/);
    expect(says('name,kind\n=A1,fish')).toMatch(/is a formula/);
    expect(says('name,kind\n')).toMatch(/There is no animal in it/);
    // What is here has its kind.
    expect(says('name,grows to mm\nMoss crab,30')).toBe('');
  });
});

describe('the studio’s animals', () => {
  let b: TestServer;
  beforeAll(async () => void (b = await testServer()));
  afterAll(() => b.close());
  const take = (csv: string) => request(b.app).post('/api/studio/animals.csv').type('application/octet-stream').send(Buffer.from(csv)); // prettier-ignore

  it('come in as a list; what it does not say of one stays, and one wrong line takes nothing', async () => {
    await take('name,kind,temperature C,digs\nGrey loach,fish,18-24,yes\n').expect(201, { taken: 1, fresh: 1 }); // prettier-ignore
    const { body } = await take('name,kind,grows to mm\nGrey loach,,60\nPale snail,shell,10\n').expect(422);
    expect(body.title).toMatch(/Line 3: kind is “shell”/);
    await take('name,grows to mm\nGrey loach,60\n').expect(201, { taken: 1, fresh: 0 });
    const { entries } = (await request(b.app).get('/api/studio/animals').expect(200)).body;
    expect(entries).toEqual([{ id: 'grey-loach', name: 'Grey loach', kind: 'fish', adultMm: 60, tempC: [18, 24], digs: true }]); // prettier-ignore
    const out = await request(b.app).get('/api/studio/animals.csv').expect(200);
    expect(out.headers['content-disposition']).toContain('animals.csv');
    expect(out.text).toContain('Grey loach,fish,60,,,,18-24,');
  });
});
