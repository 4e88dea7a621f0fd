import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { lessonsOf, subjectOf } from '../core/commission/notes';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';
import { testServer, type TestServer } from './testing';

/* What was decided and tried of a plant or a stone is found again where it is used next. */

let b: TestServer;
beforeAll(async () => {
  b = await testServer();
});
afterAll(() => b.close());
const api = () => request(b.app);

/** The held root with notes about its carpet and its stone. */
function noted(title: string): Commission {
  const doc = { ...structuredClone(example('held-root')), title };
  const [{ plants, pieces }] = doc.options;
  doc.log = [
    { id: 'l1', date: '2026-11-02', text: 'Denser in front.', kind: 'decision', about: { of: 'plants', id: plants[0].id } }, // prettier-ignore
    { id: 'l2', date: '2026-11-03', text: 'Upside down: no.', kind: 'tried', about: { of: 'pieces', id: pieces[0].id } }, // prettier-ignore
    { id: 'l3', date: '2026-11-04', text: 'Which side?', kind: 'question', about: { of: 'pieces', id: pieces[0].id } }, // prettier-ignore
    { id: 'l4', date: '2026-11-05', text: 'Called.' },
    { id: 'l5', date: '2026-11-06', text: 'Gone.', kind: 'tried', about: { of: 'pieces', id: 'S-999' } },
  ];
  return doc;
}

describe('what was learnt', () => {
  it('is of the plant, or of what a piece is of; questions, and what is gone, teach nothing', () => {
    const doc = noted('One');
    const [{ plants, pieces }] = doc.options;
    expect(lessonsOf(doc).map((l) => [l.of, l.id, l.kind, l.text])).toEqual([
      ['plants', plants[0].plant, 'decision', 'Denser in front.'],
      ['materials', pieces[0].material, 'tried', 'Upside down: no.'],
    ]);
    expect(subjectOf(doc.options[0], { of: 'joints', id: 'J-1' })).toBeUndefined();
  });

  it('is found from other commissions, the newest first, and not from one that was removed or erased', async () => {
    const first = (await api().post('/api/commissions').send(noted('First'))).body.id as string;
    const later = noted('Later');
    later.brief.client = { name: 'Mrs Fern' };
    later.log![0].date = '2026-11-20';
    const second = (await api().post('/api/commissions').send(later)).body.id as string;
    const { plant } = later.options[0].plants[0];
    const of = async (besides: string) => (await api().get(`/api/lessons?of=plants&id=${plant}&besides=${besides}`)).body.lessons.map((l: { title: string }) => l.title); // prettier-ignore
    expect(await of('')).toEqual(['Later', 'First']);
    expect(await of(second)).toEqual(['First']);
    await api().post('/api/clients/erase').send({ name: 'Mrs Fern' });
    expect(await of('')).toEqual(['First']);
    await api().delete(`/api/commissions/${first}`);
    expect(await of('')).toEqual([]);
  });

  it('is asked for in words that say what is wrong', async () => {
    const answer = await api().get('/api/lessons?of=tanks&id=x');
    expect([answer.status, answer.body.title]).toEqual([400, expect.stringMatching(/^of .*must be/)]);
  });
});
