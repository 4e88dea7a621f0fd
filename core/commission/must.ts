import type { MessageKey } from '../words/text';

/**
 * What a field must be where the kind of value alone does not say it: given to the schema as the message of its check,
 * and put into words with the fault.
 */
export const MUST = {
  'must.be.whole': 'must.be.whole',
  'must.be.day': 'must.be.day',
  'must.be.clock': 'must.be.clock',
  'must.be.picture': 'must.be.picture',
  'must.be.mesh': 'must.be.mesh',
  'must.be.currency': 'must.be.currency',
  'must.be.language': 'must.be.language',
  'must.be.fine': 'must.be.fine',
  'must.rise': 'must.rise',
  'must.fill.grid': 'must.fill.grid',
  'must.begin.first': 'must.begin.first',
} as const satisfies { [K in MessageKey & `must.${string}`]?: K };
