import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { archWindow } from './archWindow';
import { deskBow } from './deskBow';
import { deskCube } from './deskCube';
import { openWindow } from './openWindow';
import { readingRoom } from './readingRoom';
import { secondHand } from './secondHand';
import { slateValley } from './slateValley';
import { stairHall } from './stairHall';
import { waitingRoom } from './waitingRoom';

/** The demo's commissions, dated from today on. */
export function demoCommissions(today: Day): Commission[] {
  return [
    slateValley(today),
    openWindow(today),
    deskCube(today),
    deskBow(today),
    stairHall(today),
    waitingRoom(today),
    secondHand(today),
    readingRoom(today),
    archWindow(today),
  ];
}
