import type { NextFunction, Request, Response } from 'express';
import { ZodError } from 'zod';
import type { Fault } from '../core/commission/fault';
import { inEnglish, spoken } from '../core/words/english';
import { idOf, log } from './log';
import { StoreTrouble } from './store/trouble';

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
  return new Problem(422, `${first.path}: ${inEnglish(first.says)}`, { faults: spoken(faults) });
}

/** Turns whatever went wrong into a problem document; never a stack. */
export function problemHandler(error: unknown, _req: Request, res: Response, next: NextFunction): void {
  const problem = asProblem(error);
  if (problem.status >= 500) log.error({ id: idOf(res) }, logged(error));
  // An answer that is under way cannot become another one.
  if (res.headersSent) return next(error);
  if (problem.status === 503) res.setHeader('Retry-After', '2');
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({ type: 'about:blank', status: problem.status, title: problem.title, ...problem.more }),
    );
}

/** What a log may have of an error: never the values of a query, which name people. */
export function logged(error: unknown): string {
  const trouble = troubleIn(error);
  if (trouble) return `${trouble.name}: ${trouble.message}`;
  if (error instanceof Problem) return `${error.status} ${error.title}`;
  if (!(error instanceof Error)) return 'something that is no error was thrown';
  const where = error.stack?.split('\n').filter((line) => /^\s+at /.test(line)) ?? [];
  return [error.name, ...where.slice(0, 6)].join('\n');
}

/** Drizzle wraps what the database said. */
function troubleIn(error: unknown): StoreTrouble | undefined {
  for (let e = error; e instanceof Error; e = e.cause) if (e instanceof StoreTrouble) return e;
  return undefined;
}

const STATUS: Record<StoreTrouble['kind'], number> = {
  busy: 503,
  full: 507,
  readonly: 503,
  damaged: 500,
  other: 500,
};

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const trouble = troubleIn(error);
  if (trouble)
    return new Problem(STATUS[trouble.kind], `${trouble.says} Nothing was changed.`, {
      trouble: trouble.kind,
    });
  if (error instanceof ZodError) return new Problem(400, 'The request has an answer that is not allowed.');
  if ((error as { code?: string }).code === 'ENOSPC')
    return new Problem(507, 'The disk is full. Nothing was changed.', { trouble: 'full' });
  const status = (error as { status?: number }).status;
  if (status && status >= 400 && status < 500) return new Problem(status, 'The request cannot be read.');
  return new Problem(500, 'Something went wrong here. Nothing was changed; try again.');
}

export function refusedWhole(says: string, status: number): Problem {
  return new Problem(status, `(document): ${says}`, { faults: [{ path: '(document)', says }] });
}

/** A commission that was there: removed (and can be brought back), erased, or deleted for good. */
export function goneProblem(gone: 'removed' | 'erased' | 'deleted', title?: string): Problem {
  const says = {
    removed: 'This commission was removed elsewhere. It can be brought back.',
    erased: 'The client of this commission was erased. Nothing more is kept of it.',
    deleted: 'This commission was removed more than 30 days ago and is gone for good.',
  }[gone];
  return new Problem(410, says, { gone, ...(title ? { removed: title } : {}) });
}
