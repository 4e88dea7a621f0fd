import { readFileSync, statSync } from 'node:fs';
import { fault, type Fault } from '../core/commission/fault';
import { faultLine } from '../core/commission/faultLine';
import { tooLarge } from '../core/commission/parse';
import type { Commission } from '../core/commission/schema';
import { MAX_FILE_BYTES } from '../core/commission/budgets';
import { opened } from '../core/exchange/bundle';

/** A file that is refused, with each reason. */
export class RefusedError extends Error {
  constructor(readonly faults: Fault[]) {
    super(faults.map(faultLine).join('\n'));
  }
}

/**
 * Reads and checks a commission from a file, a document or one with its scans; its size is looked at before
 * anything is read. Its scans are then at hand.
 */
export async function readCommission(file: string): Promise<Commission> {
  const read = await opened(withoutMark(bytesOf(file)));
  if (!read.ok) throw new RefusedError(read.faults);
  return read.commission;
}

function bytesOf(file: string): Buffer<ArrayBuffer> {
  try {
    const { size } = statSync(file);
    if (size > MAX_FILE_BYTES) throw new RefusedError([tooLarge(size, MAX_FILE_BYTES)]);
    return readFileSync(file);
  } catch (error) {
    if (error instanceof RefusedError) throw error;
    const code = (error as NodeJS.ErrnoException).code ?? 'unreadable';
    throw new RefusedError([fault(file, 'fault.unreadable', { why: code })]);
  }
}

/** Some editors begin a text with a mark that says how it is written. */
function withoutMark(bytes: Buffer<ArrayBuffer>): Uint8Array<ArrayBuffer> {
  return bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? bytes.subarray(3) : bytes;
}
