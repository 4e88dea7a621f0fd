import { readFile } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { z } from 'zod';
import { smallJson } from '../body';
import type { Jobs } from '../jobs/jobs';
import { personIn } from '../people/door';
import { note } from '../people/people';
import { Problem } from '../problem';
import { commissionsOf, commissionsSaying, eraseCommissions, keptOf, type KeptOfClient, type Left } from '../store/clients'; // prettier-ignore
import type { Kept } from '../store/columns';
import { getCommission } from '../store/commissions';
import { eraseBeside, type Strip, type Uncleaned } from '../store/erasing';
import { DATABASE } from '../store/folder';
import { wire, type Text } from '../store/largeText';
import { meshFile } from '../store/meshes';
import type { Store } from '../store/store';

// Blanks alone are nobody's name: they would be that of every commission without a client.
const named = z.object({ name: z.string().trim().min(1).max(200) });

/** What is kept about one client: handed over in one act, erased in one act. */
export function clientRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/export', async (req, res) => {
    const ask = named.safeParse(req.query);
    if (!ask.success) throw new Problem(400, 'Say whose data: name is missing.');
    const { name } = ask.data;
    await note(store, personIn(res)?.id ?? null, 'client-handed-over');
    const file = `${name.replace(/[^\p{L}\p{N}]+/gu, '-') || 'client'}-everything.json`;
    res.attachment(file).type('application/json');
    await pipeline(Readable.from(everythingAbout(store, name)), res);
  });

  routes.post('/erase', smallJson(10 * 1024), async (req, res) => {
    const ask = named.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'Say whose data: name is missing.');
    const done = await eraseClient(store, jobs, ask.data.name);
    // Of whom is what was erased.
    await note(store, personIn(res)?.id ?? null, 'client-erased');
    res.json(done);
  });

  return routes;
}

/** Commission by commission and picture by picture, so that no client is too large to be handed over. */
async function* everythingAbout(store: Store, client: string): AsyncGenerator<string | Uint8Array> {
  const head = JSON.stringify({ client, exportedAt: new Date().toISOString() });
  yield `${head.slice(0, -1)},"commissions":[`;
  let comma = '';
  for (const id of await commissionsOf(store, client)) {
    const kept = await keptOf(store, id);
    if (!kept) continue;
    yield comma;
    yield* oneCommission(store.folder, kept);
    comma = ',\n';
  }
  yield ']}\n';
}

async function* oneCommission(
  folder: string,
  { row, orders, pictures }: KeptOfClient,
): AsyncGenerator<string | Uint8Array> {
  const { id, createdAt, updatedAt, removedAt, document } = row;
  yield `${JSON.stringify({ id, createdAt, updatedAt, removedAt, orders }).slice(0, -1)},"document":`;
  yield wire(document);
  yield ',"pictures":[';
  for (const [i, { id, addedAt, jpeg }] of pictures.entries())
    yield `${i > 0 ? ',' : ''}${JSON.stringify({ id, addedAt, jpegBase64: jpeg.toString('base64') })}`;
  yield '],"scans":[';
  for (const [i, name] of row.meshes.entries()) {
    const meshBase64 = await readFile(meshFile(folder, name, 'mesh'), 'base64');
    yield `${i > 0 ? ',' : ''}${JSON.stringify({ name, meshBase64 })}`;
  }
  yield ']}';
}

/** What came of erasing a client. */
interface Erased {
  /** Ids of the commissions. */
  erased: string[];
  /** What could not be erased, or where the name stands still, in words; nothing when it stands nowhere. */
  left: string[];
}

/**
 * Erases a client from the database and from every other one in the folder, then looks for the name in all files, since
 * what was not looked for is only believed to be gone.
 */
async function eraseClient(store: Store, jobs: Jobs, client: string): Promise<Erased> {
  const words = new Set([client.trim()]);
  const strip = async (id: string, text: Text): Promise<Kept> => {
    const said = await jobs.run('erase', { who: id }, () => text);
    for (const word of said.words) words.add(word);
    return said.kept;
  };
  // A backup that is under way would come out with what is erased here.
  return store.alone(async () => {
    const erased = await eraseLiving(store, client, strip);
    const failed = await eraseBeside(store.folder, client, erased, strip);
    const names = [...words];
    const files = await jobs.run('search', { who: 'search' }, () => ({ folder: store.folder, words: names }));
    return { erased, left: await inWords(store, files, failed, names) };
  });
}

/** Tries again when one of the commissions was saved while it was being stripped of its client. */
async function eraseLiving(store: Store, client: string, strip: Strip): Promise<string[]> {
  for (;;) {
    const ids = await commissionsOf(store, client);
    const left: Left[] = [];
    for (const id of ids) {
      const row = await getCommission(store, id);
      if (row) left.push({ id, revision: row.revision, kept: await strip(id, row.document) });
    }
    if (await eraseCommissions(store, left)) return ids;
  }
}

/** What is left, a sentence each, with what to do about it. */
async function inWords(
  store: Store,
  files: string[],
  failed: Uncleaned[],
  words: string[],
): Promise<string[]> {
  const living = files.filter((file) => file.startsWith(DATABASE));
  const others = files.filter((file) => !living.includes(file) && !failed.some((f) => f.file === file));
  const saying = living.length > 0 ? await commissionsSaying(store, words) : [];
  return [
    ...failed.map(({ file, says }) => `${file}: ${says} If it is of no use, delete it.`),
    ...saying.map((title) => `“${title}” still says something of it: open it and change it there.`),
    ...(living.length > 0 && saying.length === 0 ? ['The studio’s own list or yard still has a word of it.'] : []), // prettier-ignore
    ...others.map((file) => `${file} still has a word of it: another commission in it says it. Delete the file if it may go.`), // prettier-ignore
  ];
}
