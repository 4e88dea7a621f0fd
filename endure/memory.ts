import { readdirSync, readFileSync } from 'node:fs';
import { request as ask, type ClientRequest } from 'node:http';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import sharp from 'sharp';
import { serverOn } from '../e2e/server';
import { created, inFolder, pause, titled } from './http';
import { result, type Result } from './result';

/** Memory of the server and all its processes at most, MB, and how soon it has what it had before, give or take, ms. */
export const MOST_MB = 500;
const BACK_WITHIN_MS = 60_000;
const GIVE_OR_TAKE_MB = 60;

/** Pictures of one colour: a kilobyte of file, and long in the making. */
const fixture = (name: string) => readFileSync(join(import.meta.dirname, 'fixtures', `${name}.avif`));

/**
 * What takes memory: bodies of 75 MB that are held open, an AVIF of 1 kB that is 64 million pixels, one of as many as are
 * taken, a zip full of blanks, eight photographs at once; and what the server and its processes have of the machine's.
 * With a `part` of it photographs and blanks are smaller, and nobody waits until memory is given back: what is asked then is
 * only what is answered.
 */
export function memory(bodies = 12, part = 1): Promise<Result> {
  // Made before anything is asked: while it is, this process answers nobody, and its connections would grow old.
  const blanks = zipSync({ 'commission.json': new Uint8Array(190 * part * 1024 * 1024).fill(0x20) }, { level: 1 }); // prettier-ignore
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const { url, child } = server;
    const wrong: string[] = [];
    const figures: Record<string, number> = {};
    let [peak, going] = [0, true];
    const watching = (async () => {
      while (going) {
        peak = Math.max(peak, memoryOf(child.pid!));
        await pause(20);
      }
    })();
    try {
      const id = await created(url, titled('pictures'));
      const before = memoryOf(child.pid!);
      figures['before, MB'] = before;
      const during = async (what: string, work: () => Promise<unknown>) => {
        peak = 0;
        await work();
        figures[`${what}, MB`] = peak;
        if (peak > MOST_MB) wrong.push(`${what}: ${peak} MB`);
      };
      await during(`${bodies} bodies held open`, () => heldOpen(url, bodies));
      const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#567' } }); // prettier-ignore
      const picture = async (file: Uint8Array, wanted: number) => {
        const answer = await fetch(`${url}/api/commissions/${id}/pictures`, { method: 'POST', body: new Uint8Array(file) }); // prettier-ignore
        await answer.arrayBuffer();
        if (answer.status !== wanted) wrong.push(`picture: ${answer.status}, not ${wanted}`);
      };
      await during('an AVIF of 64 megapixels', () => picture(fixture('64-megapixels'), 415));
      await during('the largest AVIF that is taken', () => picture(fixture('12-megapixels'), 201));
      const photograph = await plain(6_000 * part, 4_000 * part)
        .jpeg({ progressive: true })
        .toBuffer();
      await during('eight photographs', () => Promise.all(Array.from({ length: 8 }, () => picture(photograph, 201)))); // prettier-ignore
      await during('a zip of blanks', async () => {
        const answer = await fetch(`${url}/api/commissions/import`, { method: 'POST', body: blanks.slice() });
        await answer.arrayBuffer();
        if (answer.status !== 422) wrong.push(`zip: ${answer.status}`);
      });
      if (part < 1) return result('answers to what takes memory', figures, 'each as it is', wrong);
      const from = Date.now();
      while (memoryOf(child.pid!) > before + GIVE_OR_TAKE_MB && Date.now() - from < BACK_WITHIN_MS) await pause(250); // prettier-ignore
      figures['back after, s'] = Math.round((Date.now() - from) / 1_000);
      figures['after, MB'] = memoryOf(child.pid!);
      if (figures['after, MB'] > before + GIVE_OR_TAKE_MB) wrong.push(`keeps ${figures['after, MB']} MB`);
    } finally {
      going = false;
      await watching;
      await server.stop();
    }
    return result('memory of the server', figures, `at most ${MOST_MB} MB, back within a minute`, wrong);
  });
}

/** So many bodies of 75 MB, each sent but for its last byte, held for a moment, then broken off. */
async function heldOpen(url: string, bodies: number): Promise<void> {
  const size = 75 * 1024 * 1024;
  const part = Buffer.alloc(1024 * 1024, 0x20);
  const open: ClientRequest[] = [];
  await Promise.all(
    Array.from({ length: bodies }, async () => {
      const request = ask(`${url}/api/commissions/import`, { method: 'POST', headers: { 'Content-Length': size } });
      request.on('error', () => {});
      open.push(request);
      for (let sent = 0; sent + part.length < size; sent += part.length)
        if (!request.write(part)) await new Promise((resolve) => request.once('drain', resolve));
    }),
  ); // prettier-ignore
  await pause(1_000);
  for (const request of open) request.destroy();
  await pause(500);
}

/** Memory that a process and its children have of the machine's, MB (`VmRSS` of Linux). */
export function memoryOf(pid: number): number {
  try {
    const kb = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
    return Math.round(kb / 1024) + childrenOf(pid).reduce((mb, child) => mb + memoryOf(child), 0);
  } catch {
    return 0;
  }
}

function childrenOf(pid: number): number[] {
  return readdirSync(`/proc/${pid}/task`).flatMap((task) =>
    readFileSync(`/proc/${pid}/task/${task}/children`, 'utf8').split(' ').filter(Boolean).map(Number),
  );
}
