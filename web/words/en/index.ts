import { BENCH } from './bench';
import { BRIEF } from './brief';
import { BUILD_DAY } from './buildDay';
import { COMMISSIONS } from './commissions';
import { DOCUMENT } from './document';
import { DRAWING } from './drawing';
import { FRAME } from './frame';
import { HANDOVER } from './handover';
import { HISTORY } from './history';
import { LINKS } from './links';
import { LOG } from './log';
import { OPTIONS } from './options';
import { ORDER } from './order';
import { PEOPLE } from './people';
import { PLANTING } from './planting';
import { STUDIO } from './studio';
import { TAKEOFF } from './takeoff';
import { VESSEL } from './vessel';

/** Every sentence of the interface, in English, as ICU messages; by the file that says it. Another language is another list with the same keys. */
export const WORDING = {
  ...BENCH,
  ...BRIEF,
  ...BUILD_DAY,
  ...COMMISSIONS,
  ...DOCUMENT,
  ...DRAWING,
  ...FRAME,
  ...HANDOVER,
  ...HISTORY,
  ...LINKS,
  ...LOG,
  ...OPTIONS,
  ...ORDER,
  ...PEOPLE,
  ...PLANTING,
  ...STUDIO,
  ...TAKEOFF,
  ...VESSEL,
} as const;
