import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import type { IncomingMessage } from 'node:http';
import { asker } from './people/asker';
import { Problem } from './problem';
import { underWay } from './underWay';

/*
 * Bodies of requests. What is small is kept in memory; what is larger goes to a file beside the data as it comes in,
 * so that many at once, or some that never end, take disk and not memory. Such a file goes with its request.
 */

/** A body: its bytes, or the file that has them. */
export type Body = Uint8Array<ArrayBuffer> | { file: string };

/** What is larger than this goes to a file, bytes. */
const IN_MEMORY = 128 * 1024;
/** Files of requests that are under way, bytes: all of them, and those of one person, a few large scans at once. */
const way = underWay({ all: 1024 * 1024 * 1024, ofOne: 256 * 1024 * 1024 });
/** A body that comes in slower than this after its first seconds is somebody who holds a place, bytes a second. */
const SLOWEST = 16 * 1024;
const FIRST_MS = 5_000;
const LOOKED_AFTER_MS = 2_500;

export function incomingFolder(folder: string): string {
  return join(folder, 'incoming');
}

/** A body as bytes, for a thread that waits for nobody. */
export function bytesOfBody(body: Body): Uint8Array<ArrayBuffer> {
  return body instanceof Uint8Array ? body : new Uint8Array(readFileSync(body.file));
}

/**
 * Takes in the body of a request. Its file, if it has one, is deleted with `done`.
 *
 * @throws Problem 413 over the limit, 408 when it comes in too slowly, 415 when it is compressed, 503 when too much
 *   comes in already
 */
export async function takenIn(req: IncomingMessage, folder: string, limit: number, tooMuch: () => Problem) {
  if ((req.headers['content-encoding'] ?? 'identity') !== 'identity')
    throw new Problem(415, 'The request is compressed, must be sent as it is.');
  const said = Number(req.headers['content-length'] ?? 0);
  if (said > limit) throw tooMuch();
  const who = asker();
  const parts: Uint8Array[] = [];
  let size = 0;
  let file: string | undefined;
  let into: Writable | undefined;
  const done = async () => {
    const own = file;
    if (!own) return;
    file = undefined;
    way.count(-size, who);
    await rm(own, { force: true });
  };
  const slow = watched(req, () => size);
  try {
    // The request stays open when it is refused in the middle: whoever sends it is to hear why.
    for await (const part of req.iterator({ destroyOnReturn: false }) as AsyncIterable<Uint8Array>) {
      size += part.byteLength;
      if (file) way.count(part.byteLength, who);
      if (size > limit) throw tooMuch();
      if (!into && size > IN_MEMORY) {
        way.count(size, who);
        file = newFile(folder);
        into = createWriteStream(file, { mode: 0o600 });
        // What cannot be written is told by `finished` below, or by the next write.
        into.on('error', () => {});
        for (const earlier of parts.splice(0)) into.write(earlier);
      }
      if (way.isTooMuch(who)) throw new Problem(503, 'Too much is being sent at the moment. Nothing was changed; try again.'); // prettier-ignore
      if (!into) parts.push(part);
      else if (!into.write(part)) await drained(into);
    }
    if (!req.complete) throw new Problem(400, 'The request was cut off.');
    if (into) {
      into.end();
      await finished(into);
    }
    return { body: file ? { file } : joined(parts, size), done };
  } catch (error) {
    // Only once it is closed: a file that is still being opened would be made anew after it was deleted.
    if (into) await closed(into);
    await done();
    // The connection broke: nobody hears this, and it is no fault of the server's.
    if (!slow.ended && req.errored) throw new Problem(400, 'The request was cut off.');
    if (slow.ended) throw new Problem(408, 'The request came in too slowly. Nothing was changed; try again.');
    throw error;
  } finally {
    slow.stop();
  }
}

function newFile(folder: string): string {
  mkdirSync(incomingFolder(folder), { recursive: true, mode: 0o700 });
  return join(incomingFolder(folder), randomUUID());
}

function joined(parts: readonly Uint8Array[], size: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.byteLength;
  }
  return bytes;
}

function closed(into: Writable): Promise<void> {
  return new Promise((resolve) => {
    if (into.closed) return resolve();
    into.once('close', () => resolve());
    into.destroy();
  });
}

/** Until what was written has gone to the disk, or cannot. */
function drained(into: Writable): Promise<void> {
  return new Promise((resolve, reject) => {
    if (into.errored) return reject(into.errored);
    const settle = (error?: Error) => {
      into.off('drain', settle).off('error', settle);
      if (error) reject(error);
      else resolve();
    };
    into.on('drain', settle).on('error', settle);
  });
}

/** Ends a request whose body comes in too slowly. */
function watched(req: IncomingMessage, size: () => number) {
  const from = Date.now();
  const state = {
    ended: false,
    stop: () => clearInterval(timer),
  };
  const timer = setInterval(() => {
    const seconds = Math.max(0, Date.now() - from - FIRST_MS) / 1_000;
    if (seconds === 0 || size() >= seconds * SLOWEST) return;
    state.ended = true;
    // The connection with it: an answer would wait as long as the request did.
    req.destroy();
  }, LOOKED_AFTER_MS);
  return state;
}

/** What was left behind by a server that was killed. */
export function dropIncoming(folder: string): void {
  rmSync(incomingFolder(folder), { recursive: true, force: true });
}
