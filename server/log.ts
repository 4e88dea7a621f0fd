import { randomUUID } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import pino from 'pino';
import { routeOf } from './people/access';

/*
 * What the server writes down of itself, a line of JSON each, on its error output: which route was asked, how it was answered and how
 * long that took, under the id that the answer carries. No address as it was asked, no name, no word and no token stands in it.
 */

/** UTSUWA_LOG is the least that is written: `info` has every request, `silent` nothing. */
export const log = pino(
  { level: process.env.UTSUWA_LOG ?? 'warn', base: undefined, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination({ dest: 2, sync: true }),
);

/** The id of a request, which its answer carries, too. */
export const idOf = (res: Response) => res.locals.requestId as string | undefined;

/** Gives each request an id, and notes how it was answered. */
export function noted(req: Request, res: Response, next: NextFunction): void {
  const since = performance.now();
  const id = randomUUID();
  res.locals.requestId = id;
  res.setHeader('X-Request-Id', id);
  // As it came in, before any router takes its part of it.
  const route = routeOf(req.method, req.path) ?? `${req.method} (another)`;
  res.on('close', () => {
    const answer = { id, route, status: res.statusCode, ms: Math.round(performance.now() - since) };
    if (res.statusCode >= 500) log.error(answer);
    else log.info(res.writableFinished ? answer : { ...answer, left: true });
  });
  next();
}
