import type { Commission } from '../commission/schema';
import { resolve, type Resolved } from '../resolved/resolved';
import { survey } from '../survey/survey';

/** A document resolved as `plan` does it, for a test of one stage alone. */
export function resolved(commission: Commission, measured = survey(commission)): Resolved {
  return resolve(commission, measured);
}
