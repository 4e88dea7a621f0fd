import type { Variation } from '../../../core/pricing/accepted';
import { wording } from '../../words/wording';

/** What became of a thing since the client said yes, as it is said beside it. */
export const VARIATION_WORDS: Record<Variation['kind'], string> = {
  added: wording('quoteStage.added'),
  more: wording('quoteStage.more'),
  less: wording('quoteStage.less'),
  omitted: wording('quoteStage.omitted'),
};
