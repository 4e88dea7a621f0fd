import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayPlus } from '../core/calendar/day';
import { frozen } from '../core/pricing/accepted';
import type { ProposalView } from '../core/pricing/proposalView';
import { plan } from '../core/pipeline/plan';
import { example } from '../core/testing/scape';
import { inEnglish } from '../core/words/english';
import { dayNow } from './dayNow';
import { addPerson } from './people/people';
import { testServer, type TestServer } from './testing';

const doc = { ...example('held-root'), quote: { hourMinor: 4_500, margin: 0.3 } };
const TODAY = dayNow();
const quote = plan(doc, { today: '2027-01-02', cellMm: 20, planted: 'later' }).quote;
const { day: _day, ...offers } = frozen(quote, doc.chosen, TODAY, '', inEnglish);
const shows: ProposalView = {
  option: doc.chosen, title: doc.title, studio: {}, heading: 'A valley', made: ['Water.'], days: [{ day: '2027-01-14', says: 'Built.' }], asks: 'Ten minutes.',
  lines: quote.lines.map((l) => ({ key: l.key, name: inEnglish(l.name), minor: l.minor })), totalMinor: quote.totalMinor, currency: 'GBP', pictures: [],
}; // prettier-ignore

let b: TestServer;
let id: string;
beforeAll(async () => {
  b = await testServer();
  id = (await request(b.app).post('/api/commissions').send(doc).expect(201)).body.id as string;
});
afterAll(() => b.close());
const make = async (more: object = {}) =>
  (await request(b.app).post(`/api/commissions/${id}/links`).send({ kind: 'proposal', named: 'Mr Orchard', until: dayPlus(TODAY, 14), shows: [shows], offers: [offers], ...more }).expect(201)).body.secret as string; // prettier-ignore
const open = (secret: string) => request(b.app).post('/api/link').send({ secret });
const answer = (secret: string, said: object) => request(b.app).post('/api/link/answer').send({ secret, answer: said }); // prettier-ignore
const document = async () => (await request(b.app).get(`/api/commissions/${id}`)).body.document as typeof doc;

describe('a link to a proposal', () => {
  it('shows what was shown when it was made, and nothing that is the studio’s', async () => {
    const secret = await make();
    const { body } = await open(secret).expect(200);
    expect(body).toMatchObject({ kind: 'proposal', shows: [shows] });
    expect(JSON.stringify(body)).not.toMatch(/margin|costMinor|offers|commission/i);
    // Pasted with the end of a sentence.
    await open(`${secret}).`).expect(200);
    // What has a field of its own that is not the client's is not taken in.
    await request(b.app).post(`/api/commissions/${id}/links`).send({ kind: 'proposal', named: 'x', until: TODAY, shows: [{ ...shows, margin: 0.3 }], offers: [offers] }).expect(400); // prettier-ignore
    const { links } = (await request(b.app).get(`/api/commissions/${id}/links`)).body as { links: { usedAt: string; named: string; id: string }[] }; // prettier-ignore
    expect(links[0]).toMatchObject({ named: 'Mr Orchard', usedAt: expect.any(String) });
    // What is kept is a hash: who reads the database has no link.
    expect(JSON.stringify(links)).not.toContain(secret);
    await open(links[0].id).expect(404);
  });

  it('that was withdrawn, has ended, or never was gives the same words', async () => {
    const [withdrawn, ended] = [await make({ named: 'Gone' }), await make({ until: dayPlus(TODAY, -1) })];
    const { links } = (await request(b.app).get(`/api/commissions/${id}/links`)).body as { links: { id: string; named: string }[] }; // prettier-ignore
    const link = links.find((l) => l.named === 'Gone')!.id;
    const other = (await request(b.app).post('/api/commissions').send(doc).expect(201)).body.id as string;
    await request(b.app).delete(`/api/commissions/${other}/links/${link}`).expect(404);
    await request(b.app).delete(`/api/commissions/${id}/links/${link}`).expect(204);
    const said = await Promise.all([withdrawn, ended, 'AAAAAAAAAAAAAAAAAAAAAAAAAAA', ''].map((s) => open(s)));
    for (const { status, body } of said) expect([status, body.title]).toEqual([404, said[0].body.title]);
    await answer(withdrawn, { kind: 'yes', by: 'x', option: doc.chosen }).expect(404);
  });

  it('asks a question that stands in the log, then says yes, which freezes what was shown, once', async () => {
    const secret = await make();
    await answer(secret, { kind: 'question', by: 'Mr Orchard', text: 'May it be quieter at night?' }).expect(204); // prettier-ignore
    expect((await document()).log!.at(-1)).toMatchObject({ kind: 'question', text: 'Mr Orchard: May it be quieter at night?' }); // prettier-ignore
    // Somebody works on it and changes the price meanwhile.
    const { revision, document: now } = (await request(b.app).get(`/api/commissions/${id}`)).body;
    await request(b.app).put(`/api/commissions/${id}`).send({ revision, document: { ...now, quote: { ...now.quote, hourMinor: 9_000 } } }).expect(200); // prettier-ignore
    const both = await Promise.all([answer(secret, { kind: 'yes', by: 'Mr Orchard', option: doc.chosen }), answer(secret, { kind: 'yes', by: 'Mr Orchard', option: doc.chosen })]); // prettier-ignore
    expect(both.map((r) => r.status).sort()).toEqual([204, 409]);
    const { quote: agreed } = (await document()) as unknown as { quote: { accepted: object; hourMinor: number } }; // prettier-ignore
    expect(agreed.accepted).toEqual({ ...offers, day: TODAY, by: 'Mr Orchard' });
    expect(agreed.hourMinor).toBe(9_000);
    await answer(secret, { kind: 'yes', by: 'Mr Orchard', option: doc.chosen }).expect(409);
    expect((await open(secret)).body.answer).toMatchObject({
      kind: 'yes',
      by: 'Mr Orchard',
      option: doc.chosen,
    });
    await answer(secret, { kind: 'question', by: 'x', text: '' }).expect(400);
  });

  it('shows two options beside each other, and a yes says to which', async () => {
    const [other, theirs] = [{ ...shows, option: 'b', heading: 'An island', totalMinor: 99_000 }, { ...offers, option: 'b', totalMinor: 99_000 }]; // prettier-ignore
    const own = (await request(b.app).post('/api/commissions').send(doc).expect(201)).body.id as string;
    const post = (more: object) => request(b.app).post(`/api/commissions/${own}/links`).send({ kind: 'proposal', named: 'x', until: dayPlus(TODAY, 9), shows: [shows, other], offers: [offers, theirs], ...more }); // prettier-ignore
    // What is shown is what a yes freezes.
    await post({ offers: [theirs, offers] }).expect(400);
    const { secret } = (await post({}).expect(201)).body as { secret: string };
    expect((await open(secret)).body.shows.map((s: ProposalView) => s.heading)).toEqual(['A valley', 'An island']); // prettier-ignore
    await answer(secret, { kind: 'yes', by: 'Mr Orchard', option: 'c' }).expect(400);
    await answer(secret, { kind: 'yes', by: 'Mr Orchard', option: 'b' }).expect(204);
    const { document: now } = (await request(b.app).get(`/api/commissions/${own}`)).body;
    expect(now.quote.accepted).toEqual({ ...theirs, day: TODAY, by: 'Mr Orchard' });
  });

  it('says yes once, by whichever link, and to nothing of a commission that was removed', async () => {
    const before = await document();
    await answer(await make({ offers: [{ ...offers, totalMinor: 1 }] }), { kind: 'yes', by: 'Somebody else', option: doc.chosen }).expect(409); // prettier-ignore
    expect((await document()).quote).toEqual(before.quote);
    const gone = (await request(b.app).post('/api/commissions').send({ ...doc, title: 'Quiet hall' }).expect(201)).body.id as string; // prettier-ignore
    const ask = { kind: 'proposal', named: 'x', until: dayPlus(TODAY, 9), shows: [shows], offers: [offers] };
    const { secret } = (await request(b.app).post(`/api/commissions/${gone}/links`).send(ask).expect(201)).body as { secret: string }; // prettier-ignore
    await request(b.app).delete(`/api/commissions/${gone}`).expect(200);
    for (const said of [
      await open(secret),
      await answer(secret, { kind: 'yes', by: 'x', option: doc.chosen }),
    ])
      expect([said.status, said.text.includes('Quiet hall')]).toEqual([404, false]);
  });

  it('gives the pictures in it and no others', async () => {
    const { default: sharp } = await import('sharp');
    const sent = async (background: string) => (await request(b.app).post(`/api/commissions/${id}/pictures`).send(await sharp({ create: { width: 40, height: 30, channels: 3, background } }).png().toBuffer()).expect(201)).body.id as string; // prettier-ignore
    const [inIt, home] = [await sent('#446655'), await sent('#aa5522')];
    const secret = await make({ shows: [{ ...shows, pictures: [{ id: inIt, caption: 'Week 8' }] }] });
    const ask = (picture: string) => request(b.app).post('/api/link/picture').send({ secret, picture });
    await ask(inIt).expect(200).expect('Content-Type', 'image/jpeg').expect('Cache-Control', 'private, no-store'); // prettier-ignore
    await ask(home).expect(404);
  });

  it('goes with its client: nothing of it is left in the folder', async () => {
    const client = { name: 'Halvard Quill', place: 'hall' };
    const theirs = { ...doc, brief: { ...doc.brief, client } };
    const mine = (await request(b.app).post('/api/commissions').send(theirs).expect(201)).body.id as string;
    const ask = {
      kind: 'proposal',
      named: 'Halvard Quill',
      until: dayPlus(TODAY, 9),
      shows: [{ ...shows, client: client.name }],
      offers: [offers],
    };
    const { secret } = (await request(b.app).post(`/api/commissions/${mine}/links`).send(ask).expect(201)).body as { secret: string }; // prettier-ignore
    await open(secret).expect(200);
    const { body } = await request(b.app).post('/api/clients/erase').send({ name: client.name }).expect(200);
    expect(body.left).toEqual([]);
    await open(secret).expect(404);
    const { readFile, readdir } = await import('node:fs/promises');
    for (const file of await readdir(b.folder))
      if (file.startsWith('utsuwa.db')) expect((await readFile(`${b.folder}/${file}`)).includes('Halvard Quill')).toBe(false); // prettier-ignore
  });

  it('shows a sheet as it stood, with its drawings, and takes no answer to it', async () => {
    const sheet = { title: 'Run sheet', made: TODAY, blocks: [{ as: 'h1', text: 'Quiet hall' }, { as: 'tick', when: '08:30', text: 'Floor sheet' }, { as: 'table', rows: [['a', 'b']] }] }; // prettier-ignore
    const post = (shows: object) => request(b.app).post(`/api/commissions/${id}/links`).send({ kind: 'sheet', named: 'Jo', until: TODAY, shows }); // prettier-ignore
    const { secret } = (await post(sheet).expect(201)).body as { secret: string };
    expect((await open(secret).expect(200)).body).toEqual({ kind: 'sheet', shows: sheet, until: TODAY });
    await answer(secret, { kind: 'yes', by: 'x', option: doc.chosen }).expect(404);
    // What is none of a sheet's parts is not taken in.
    await post({ ...sheet, blocks: [{ as: 'script', text: 'x' }] }).expect(400);
    await post({ ...sheet, margin: 0.3 }).expect(400);
    await request(b.app).get(`/api/link/dates/${secret}.ics`).expect(404);
  });

  it('gives the dates of care to a calendar, as they are now, until it is withdrawn', async () => {
    const ask = { kind: 'dates', named: 'Mr Orchard', until: TODAY };
    const { secret } = (await request(b.app).post(`/api/commissions/${id}/links`).send(ask).expect(201)).body as { secret: string }; // prettier-ignore
    const feed = () => request(b.app).get(`/api/link/dates/${secret}.ics`);
    const { text, headers } = await feed().expect(200);
    expect([text.slice(0, 15), headers['cache-control']]).toEqual(['BEGIN:VCALENDAR', 'private, no-store']);
    // The studio's own dates, by when it orders say, are not the client's.
    expect(text).not.toMatch(/order|Marl/i);
    expect((await open(secret)).body).toMatchObject({ kind: 'dates' });
    const { links } = (await request(b.app).get(`/api/commissions/${id}/links`)).body as { links: { id: string; kind: string }[] }; // prettier-ignore
    await request(b.app).delete(`/api/commissions/${id}/links/${links.find((l) => l.kind === 'dates')!.id}`).expect(204); // prettier-ignore
    await feed().expect(404);
    await request(b.app).get('/api/link/dates/guess.ics').expect(404);
  });

  it('opens nothing else where people sign in, and guessing waits', async () => {
    const secret = await make();
    await addPerson(b.store, await b.door.auth(), { name: 'I', email: 'i@fenwick.example', role: 'owner', password: 'slow river over slate' }); // prettier-ignore
    await open(secret).expect(200);
    await request(b.app).get(`/api/commissions/${id}/links`).expect(401);
    const tries = await Promise.all(
      Array.from({ length: 40 }, (_, i) => open(`guess-${i}-aaaaaaaaaaaaaaaaaa`)),
    );
    expect(tries.some((t) => t.status === 429)).toBe(true);
  });
});
