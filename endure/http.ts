import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';

/** A document of one's own with a title. */
export const titled = (title: string): Commission => ({ ...structuredClone(example('held-root')), title });

export async function send(method: string, url: string, body?: unknown): Promise<Response> {
  return fetch(url, {
    method,
    headers: { 'Content-Type': 'application/json' },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
}

export async function created(url: string, document: unknown): Promise<string> {
  const answer = await send('POST', `${url}/api/commissions`, document);
  if (answer.status !== 201) throw new Error(`not created: ${answer.status} ${await answer.text()}`);
  return ((await answer.json()) as { id: string }).id;
}

export async function stored(
  url: string,
  id: string,
): Promise<{ revision: number; document: Commission; removedAt: string | null }> {
  return (await (await fetch(`${url}/api/commissions/${id}`)).json()) as never;
}

/** A folder for one piece of work. */
export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-endure-'));
  try {
    return await work(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
