import type { Finding } from '../../core/words/finding';

/** The stage on which what a finding is about can be changed. */
export function stageOf(at: Finding['at']): string {
  if (at.plant) return 'planting';
  if (at.supplier) return 'order';
  if (!at.field) return 'bench';
  if (at.field === 'log') return 'log';
  return at.field.startsWith('brief') ? 'brief' : 'vessel';
}
