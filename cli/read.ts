import { readFileSync, statSync } from 'node:fs';
import type { Fault } from '../core/commission/fault';
import { MAX_DOCUMENT_BYTES, parseCommissionText, tooLarge } from '../core/commission/parse';
import type { Commission } from '../core/commission/schema';

/** A file that is refused, with each reason. */
export class RefusedError extends Error {
  constructor(readonly faults: Fault[]) {
    super(faults.map((f) => `${f.path}: ${f.says}`).join('\n'));
  }
}

/** Reads and checks a commission from a file; its size is looked at before anything is read. */
export function readCommission(file: string): Commission {
  let text: string;
  try {
    const { size } = statSync(file);
    if (size > MAX_DOCUMENT_BYTES) throw new RefusedError([tooLarge(size)]);
    text = readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof RefusedError) throw error;
    const code = (error as NodeJS.ErrnoException).code ?? 'unreadable';
    throw new RefusedError([{ path: file, says: `cannot be read (${code}), must be a commission document` }]);
  }
  const parsed = parseCommissionText(text.replace(/^\uFEFF/, ''));
  if (!parsed.ok) throw new RefusedError(parsed.faults);
  return parsed.commission;
}
