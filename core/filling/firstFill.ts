import type { Resolved } from '../resolved/resolved';
import { everythingStays, waitingOf } from '../commission/usual';
import type { Survey } from '../survey/survey';
import { waterByHeight } from '../survey/waterByHeight';

/** Where the water of the build day comes from, L. `remainsL + keptL + newL` is `totalL`, `remainsL + drainedL` is `beforeL`. */
export interface FirstFill {
  /** What the finished tank takes: free and between the grains. */
  totalL: number;
  /** What the tank held before; as much as afterwards where the old scape was not drawn, 0 where there was none. */
  beforeL: number;
  /** Stays in the tank while the work is done, up to a height, mm. */
  remainsL: number;
  drainToMm: number;
  /** Taken out; of that kept in tubs and poured back. In a new tank what is kept comes from another. */
  drainedL: number;
  keptL: number;
  tubs: number;
  tubL: number;
  /** From the tap and the RO unit. */
  newL: number;
}

/** A tub that two people still carry half full, L (common practice). */
const USUAL_TUB_L = 60;
/** Half of the water line: hands reach the bed and what lives there stays covered (common practice). */
const HALF = 0.5;

/**
 * The water of the build day. In a rescape the tank is drained to a height and a share of the old water is kept;
 * only the difference is new. How much the tank held before is measured on the tank as it is now, and taken to be what it
 * holds afterwards where that is not drawn.
 * Valid for one draining and one filling. Leaves out: water that sticks to what is taken out, and old pieces.
 * Test: firstFill.test.ts, "kept, staying and new water are what the tank takes, whatever is asked".
 */
export function firstFill(commission: Resolved, survey: Survey): FirstFill {
  const known = worked.get(survey);
  if (known && known.of.every((part, i) => part === wholeOf(commission)[i])) return known.fill;
  const fill = worksOut(commission, survey);
  worked.set(survey, { of: wholeOf(commission), fill });
  return fill;
}

/** Take-off, build and care ask for the same: pieces are held against the drained height once for a survey. */
const worked = new WeakMap<Survey, { of: readonly unknown[]; fill: FirstFill }>();
const wholeOf = ({ brief, before }: Resolved) => [brief.rescape, brief.otherWaterL, before?.survey];

function worksOut(commission: Resolved, survey: Survey): FirstFill {
  const totalL = waterIn(survey);
  const { rescape, otherWaterL = 0 } = commission.brief;
  const tubL = rescape?.tubL ?? USUAL_TUB_L;
  if (!rescape) {
    const keptL = Math.min(totalL, otherWaterL);
    return { totalL, beforeL: 0, remainsL: 0, drainToMm: 0, drainedL: 0, keptL, tubs: Math.max(0, Math.ceil(keptL / tubL - 1e-9)), tubL, newL: totalL - keptL }; // prettier-ignore
  }
  const there = commission.before?.survey ?? survey;
  const beforeL = waterIn(there);
  const drainToMm = drainHeight(commission);
  const remainsL = Math.min(totalL, beforeL, remaining(commission, there, drainToMm));
  const kept = (rescape.waterKept ?? (rescape.stays.includes('water') ? 1 : 0)) * beforeL;
  const drainedL = beforeL - remainsL;
  // A scape that takes up more leaves less room for the old water.
  const keptL = Math.min(drainedL, totalL - remainsL, Math.max(0, kept - remainsL));
  const tubs = Math.ceil(keptL / tubL - 1e-9);
  return { totalL, beforeL, remainsL, drainToMm, drainedL, keptL, tubs, tubL, newL: totalL - remainsL - keptL };
} // prettier-ignore

/** Free water and what stands between the grains, L. */
function waterIn({ freeWaterL, poreWaterL }: Survey): number {
  return freeWaterL + poreWaterL;
}

/** As said; otherwise half where the bed stays or the animals do, and to the glass where the bed goes. */
function drainHeight({ brief, vessel }: Resolved): number {
  const { stays, drainToMm, waterKept } = brief.rescape!;
  if (drainToMm !== undefined) return Math.min(drainToMm, vessel.waterLineMm);
  if (everythingStays(brief) && stays.includes('water') && waterKept === undefined) return vessel.waterLineMm;
  return stays.includes('substrate') || waitingOf(brief) === 'stay' ? HALF * vessel.waterLineMm : 0;
}

/** Water that is still in the tank when it stands at a height: above the bed and, where the bed stays, in it. */
function remaining(commission: Resolved, survey: Survey, heightMm: number): number {
  const { vessel } = commission;
  if (heightMm <= 0) return 0;
  if (heightMm >= vessel.waterLineMm) return waterIn(survey);
  const [{ litres }] = waterByHeight(survey, commission, [heightMm]);
  const chambers = survey.chambersL * (heightMm / vessel.waterLineMm);
  // A sump is not emptied by draining what stands above it.
  return litres + chambers + survey.sumpL;
}
