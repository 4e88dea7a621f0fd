import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayPlus } from '../core/calendar/day';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';
import { testServer, type TestServer } from './testing';

/* A week over all commissions. The example is built on Thursday 14 January 2027. */

const TODAY = '2027-01-08';
let b: TestServer;
beforeAll(async () => {
  b = await testServer();
});
afterAll(() => b.close());
const api = () => request(b.app);

function job(title: string, change: (c: Commission) => void = () => {}): Commission {
  const doc = { ...structuredClone(example('held-root')), title };
  doc.brief.crewNames = ['Ines', 'Tom'];
  change(doc);
  return doc;
}
const week = async (from = TODAY) => (await api().get(`/api/week?today=${TODAY}&from=${from}`)).body;

describe('the week', () => {
  it('has what is due in all of them, says how many it does not know yet, and who is in two places', async () => {
    for (const title of ['One', 'Two']) await api().post('/api/commissions').send(job(title)).expect(201);
    expect((await week()).unknown).toBe(2);
    await b.glances.settled();
    const { days, late, unknown } = await week();
    expect(unknown).toBe(0);
    expect(days.map((d: { day: string }) => d.day)).toEqual(Array.from({ length: 7 }, (_, i) => dayPlus(TODAY, i))); // prettier-ignore
    const build = days.find((d: { day: string }) => d.day === '2027-01-14');
    expect(build.items.filter((i: { sort: string }) => i.sort === 'build').map((i: { title: string }) => i.title)).toEqual(['One', 'Two']); // prettier-ignore
    expect(build.clashes).toContainEqual({ kind: 'person', who: 'Ines', titles: ['One', 'Two'] });
    // What had to be ordered before today is late.
    expect(late.every((i: { day: string; sort: string }) => i.day < TODAY && i.sort === 'order')).toBe(true);
    expect(late.length).toBeGreaterThan(0);
  });

  it('forgets what was removed, and follows what was changed', async () => {
    const { body } = await api().get(`/api/commissions?today=${TODAY}`);
    const one = body.commissions.find((c: { title: string }) => c.title === 'One');
    await api().delete(`/api/commissions/${one.id}`).expect(200);
    await b.glances.settled();
    const build = (await week()).days.find((d: { day: string }) => d.day === '2027-01-14');
    expect(build.items.some((i: { title: string }) => i.title === 'One')).toBe(false);
    expect(build.clashes).toEqual([]);
  });

  it('is a feed that a calendar can ask for again: the same thing under the same name', async () => {
    const feed = async () => (await api().get(`/api/week/feed.ics?today=${TODAY}`).expect('content-type', /text\/calendar/)).text; // prettier-ignore
    const [first, second] = [await feed(), await feed()];
    expect(first).toMatch(/BEGIN:VCALENDAR[\s\S]*SUMMARY:.* · Two/);
    const names = (text: string) => text.match(/^UID:.*$/gm);
    expect(names(first)).toEqual(names(second));
  });

  it('is the same feed on the morning after, before anything has been worked out anew', async () => {
    const titles = async (today: string) => (await api().get(`/api/week/feed.ics?today=${today}`)).text.match(/^SUMMARY:.*$/gm); // prettier-ignore
    const evening = await titles(TODAY);
    expect(evening!.length).toBeGreaterThan(0);
    expect(await titles(dayPlus(TODAY, 1))).toEqual(evening);
    await b.glances.settled();
  });

  it.each(['', '?today=soon', `?today=${TODAY}&from=2027-02-30`])('refuses %s', async (query) => {
    const { status, text } = await api().get(`/api/week${query}`);
    expect([status, /must be|is missing|a day/.test(text)]).toEqual([400, true]);
  });
});
