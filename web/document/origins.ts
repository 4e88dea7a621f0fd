import { ORIGINS } from '../../core/commission/primitives';
import type { Origin } from '../../core/commission/schema';

/** Where a thing comes from, as it is said beside its mark. */
export const ORIGIN_WORDS: Record<Origin, string> = {
  bought: 'bought for this job',
  stock: 'the studio’s own',
  client: 'the client’s',
  here: 'in this tank now, stays',
};

export const ORIGIN_CHOICES = ORIGINS.map((value) => ({ value, title: ORIGIN_WORDS[value] }));
