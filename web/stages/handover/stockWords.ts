import type { StockGate } from '../../../core/regime/gates';
import type { Text } from '../../../core/words/text';

/** When animals may come, on what condition, and why not earlier. */
export function stockWords({ says, why }: StockGate, words: (said: Text) => string): string {
  return [says, ...why].map(words).join('. ');
}
