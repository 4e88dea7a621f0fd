import { Problem } from '../problem';
import type { Made } from './work';

/** What a job made, or the 404 that says which options there are. */
export function made<T>(answer: Made<T>): T {
  if (!answer.ok) throw new Problem(404, answer.says);
  return answer.value;
}
