import type { Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { consumableLines } from './consumables';
import { gearLines } from './gear';
import { rootTabLines } from './rootTabs';
import { hardscapeLines } from './hardscape';
import type { LineKind, TakeOffLine } from './line';
import { plantLines } from './plants';
import { substrateLines } from './substrate';
import { supplyLines } from './supplies';

/** What the scape takes, with the workings of every line; money in minor units of the document's currency. */
export interface TakeOff {
  lines: TakeOffLine[];
  totalMinor: number;
}

export const LINE_KINDS: readonly LineKind[] = ['substrate', 'hardscape', 'plants', 'gear', 'consumables'];

/** From what was measured to whole packs at the least price. */
export function takeOff(commission: Resolved, survey: Survey): TakeOff {
  const lines = [
    ...substrateLines(commission, survey),
    ...hardscapeLines(commission, survey),
    ...plantLines(commission, survey),
    ...gearLines(commission),
    ...consumableLines(commission, survey),
    ...supplyLines(commission, survey),
    ...rootTabLines(commission, survey),
  ];
  return { lines, totalMinor: lines.reduce((sum, line) => sum + line.priceMinor, 0) };
}
