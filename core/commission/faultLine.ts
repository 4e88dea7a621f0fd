import { inEnglish } from '../words/english';
import type { Fault } from './fault';

/** A fault in one line, in English: for a terminal, a log, a test. Apart, since who only finds faults needs no words. */
export function faultLine({ path, says }: Fault): string {
  return `${path}: ${inEnglish(says)}`;
}
