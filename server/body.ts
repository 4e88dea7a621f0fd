import { raw, type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { Problem, refusedWhole } from './problem';

/** The body of a request as bytes, whatever it says it is, and how much of it is taken. */
export function bytes(limit: number, what: 'document' | 'picture' | 'request' | 'scan'): RequestHandler {
  const read = raw({ type: () => true, limit });
  return (req, res, next) =>
    read(req, res, (error?: unknown) => next(isTooLarge(error) ? tooMuch(limit, what) : error));
}

/** What was read of it; nothing is an empty body. */
export function bytesOf(req: Request): Buffer<ArrayBuffer> {
  const body: unknown = req.body;
  return Buffer.isBuffer(body) ? (body as Buffer<ArrayBuffer>) : Buffer.alloc(0);
}

/** A small JSON body, parsed here. */
export function smallJson(limit = 100 * 1024): RequestHandler[] {
  const parse = (req: Request, _res: Response, next: NextFunction) => {
    try {
      req.body = JSON.parse(bytesOf(req).toString('utf8') || 'null') as unknown;
      next();
    } catch {
      next(new Problem(400, 'The request is not JSON.'));
    }
  };
  return [bytes(limit, 'request'), parse];
}

function isTooLarge(error: unknown): boolean {
  return (error as { type?: string } | undefined)?.type === 'entity.too.large';
}

function tooMuch(limit: number, what: string): Problem {
  const says = `is too large, must have at most ${sizeOf(limit)}`;
  return what === 'document' ? refusedWhole(says, 413) : new Problem(413, `The ${what} ${says}.`);
}

/** `40 MB`, `100 kB`. */
export function sizeOf(limit: number): string {
  const mb = limit / 1024 / 1024;
  return mb >= 1 ? `${Math.floor(mb)} MB` : `${Math.floor(limit / 1024)} kB`;
}
