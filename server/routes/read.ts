import type { ZodType } from 'zod';
import { faultOf } from '../../core/commission/fault';
import { inEnglish } from '../../core/words/english';
import { Problem } from '../problem';

/** A body or a query as it has to be, or the first thing that is wrong with it. */
export function read<T>(schema: ZodType<T>, body: unknown): T {
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const fault = faultOf(parsed.error.issues[0], body);
  throw new Problem(400, `${fault.path} ${inEnglish(fault.says)}.`);
}
