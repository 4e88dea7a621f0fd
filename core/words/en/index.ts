import { PRICING } from './pricing';
import { BEFOREHAND } from './beforehand';
import { BUILD } from './build';
import { CALENDAR } from './calendar';
import { CARE } from './care';
import { FAULTS } from './faults';
import { HISTORY } from './history';
import { LIVESTOCK } from './livestock';
import { ORDERING } from './ordering';
import { PLANTING } from './planting';
import { SHARED } from './shared';
import { SITE } from './site';
import { SITTINGS } from './sittings';
import { STREWN } from './strewn';
import { SURVEY } from './survey';
import { TAKE_OFF } from './takeOff';
import { WATER } from './water';

/**
 * Every sentence that the computation says, in English, as ICU messages (Unicode CLDR, "Message Formatting"): a
 * `{name}` is filled in, `{count, plural, one {# …} other {# …}}` follows a count. Another language is another
 * list with the same keys. What stands between the braces of a plural has a space in it: that tells it from a
 * name (`core/words/text.ts`).
 */
export const EN = {
  ...SHARED,
  ...SURVEY,
  ...PLANTING,
  ...SITE,
  ...WATER,
  ...LIVESTOCK,
  ...TAKE_OFF,
  ...ORDERING,
  ...BEFOREHAND,
  ...BUILD,
  ...SITTINGS,
  ...STREWN,
  ...CARE,
  ...PRICING,
  ...CALENDAR,
  ...HISTORY,
  ...FAULTS,
} as const;
