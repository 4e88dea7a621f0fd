import type { NextFunction, Request, Response } from 'express';
import type { Fault } from '../core/commission/fault';

/** An answer that is not the one asked for, as a problem document (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(title);
  }
}

export function notFound(what: string): Problem {
  return new Problem(404, `There is no such ${what}.`);
}

/** A document that was refused: every fault with the path of its field. Nothing has been changed. */
export function refused(faults: Fault[]): Problem {
  const [first] = faults;
  return new Problem(422, `${first.path}: ${first.says}`, { faults });
}

/** Turns whatever went wrong into a problem document; never a stack. */
export function problemHandler(error: unknown, _req: Request, res: Response, _next: NextFunction): void {
  const problem = asProblem(error);
  if (problem.status >= 500) console.error(error);
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({ type: 'about:blank', status: problem.status, title: problem.title, ...problem.more }),
    );
}

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const type = (error as { type?: string }).type;
  if (type === 'entity.too.large') {
    const most = Math.round(((error as { limit?: number }).limit ?? 0) / 1024 / 1024);
    return refusedWhole(`is too large, must have at most ${most} MB`, 413);
  }
  if (type === 'entity.parse.failed') return refusedWhole('is not JSON, must be a JSON document', 400);
  const status = (error as { status?: number }).status;
  if (status && status >= 400 && status < 500) return new Problem(status, 'The request cannot be read.');
  return new Problem(500, 'Something went wrong here. Nothing was changed; try again.');
}

function refusedWhole(says: string, status: number): Problem {
  return new Problem(status, `(document): ${says}`, { faults: [{ path: '(document)', says }] });
}
