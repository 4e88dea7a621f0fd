import { setMaxListeners } from 'node:events';
import type { Request, RequestHandler, Response } from 'express';
import { bytesOfBody, takenIn, type Body } from './incoming';
import { Problem, refusedWhole } from './problem';

export type What = 'document' | 'picture' | 'request' | 'scan';

/**
 * Takes in the body of a request, whatever it says it is, and hands it on; where it is in a file, that stays until it
 * has been handled. `folder` is that of the studio's data.
 */
export function taking<P>(
  folder: string,
  limit: number,
  what: What,
  handle: (req: Request<P>, res: Response, body: Body) => Promise<void>,
): RequestHandler<P> {
  return async (req, res) => {
    const { body, done } = await takenIn(req, folder, limit, () => tooMuch(limit, what));
    try {
      await handle(req, res, body);
    } finally {
      await done();
    }
  };
}

export function isEmpty(body: Body): boolean {
  return body instanceof Uint8Array && body.byteLength === 0;
}

/** Small enough to be read where it stands, bytes. */
const MOST_SMALL = 100 * 1024;

/** A small JSON body, parsed here: it is read in about a millisecond. */
export function smallJson(limit = MOST_SMALL): RequestHandler {
  return async (req, _res, next) => {
    // Below what goes to a file, so that there is no folder to name.
    const { body } = await takenIn(req, '', limit, () => tooMuch(limit, 'request'));
    try {
      req.body = JSON.parse(Buffer.from(bytesOfBody(body)).toString('utf8') || 'null') as unknown;
    } catch {
      throw new Problem(400, 'The request is not JSON.');
    }
    next();
  };
}

/** Aborted when whoever asked has gone before the answer. */
export function whileWaitedFor(res: Response): AbortSignal {
  const gone = new AbortController();
  // One request may ask for a page's worth of things, each with a turn of its own: that is no leak.
  setMaxListeners(0, gone.signal);
  res.on('close', () => {
    if (!res.writableFinished) gone.abort();
  });
  return gone.signal;
}

function tooMuch(limit: number, what: What): Problem {
  const says = `is too large, must have at most ${sizeOf(limit)}`;
  return what === 'document' ? refusedWhole(says, 413) : new Problem(413, `The ${what} ${says}.`);
}

/** `40 MB`, `100 kB`. */
export function sizeOf(limit: number): string {
  const mb = limit / 1024 / 1024;
  return mb >= 1 ? `${Math.floor(mb)} MB` : `${Math.floor(limit / 1024)} kB`;
}
