import { faultOf } from '../../../core/commission/fault';
import { readingSchema } from '../../../core/commission/logSchema';
import type { Reading } from '../../../core/commission/schema';
import type { Text } from '../../../core/words/text';
import type { FigureKind } from '../../../core/words/scales';

type ReadingKey = 'ammoniaMgL' | 'nitriteMgL' | 'nitrateMgL' | 'ph' | 'gh' | 'kh' | 'celsius';

/** What is read off on a visit, in the order of the test kit. */
export const READINGS: readonly { key: ReadingKey; label: string; kind: FigureKind; unit?: string }[] = [
  { key: 'ammoniaMgL', label: 'ammonia', kind: 'plain', unit: 'mg/L' },
  { key: 'nitriteMgL', label: 'nitrite', kind: 'plain', unit: 'mg/L' },
  { key: 'nitrateMgL', label: 'nitrate', kind: 'plain', unit: 'mg/L' },
  { key: 'ph', label: 'pH', kind: 'plain' },
  { key: 'gh', label: 'GH', kind: 'hardness' },
  { key: 'kh', label: 'KH', kind: 'hardness' },
  { key: 'celsius', label: 'water', kind: 'temperature' },
];

/** What is wrong with a reading, if anything: one sentence that says what is allowed. */
export function readingFault(reading: Reading): Text | undefined {
  const { error } = readingSchema.safeParse(reading);
  return error && faultOf(error.issues[0], reading).says;
}

/** A reading that was begun, from the words under which it was kept; none where they are no reading. */
export function readingFrom(words: string): Reading {
  try {
    return readingSchema.catch({}).parse(JSON.parse(words));
  } catch {
    return {};
  }
}
