import type { Joint } from '../commission/schema';
import { cureMin } from '../hardscape/joining';
import { isLeftStanding, layerOf, pieceOf, plantingOf } from '../resolved/resolved';
import { homeOf, sittingOfJoint } from '../sittings/homes';
import { BUILD, buildingOf, sittingsOf, type Sitting } from '../sittings/sittings';
import type { PieceSurvey } from '../survey/pieces';
import { LONG_CURE_MIN, type Job } from './job';

/**
 * The part of a job that one sitting has: what is set, poured, joined and planted in it. Over all sittings up to the build
 * day these are the whole job, each thing once.
 * Valid for a sitting up to the build day. Leaves out: work that is done once in all of it, as the fill is.
 * Test: sittings.test.ts, "share the work among them: nothing is done twice, nothing is left out".
 */
export function jobIn(job: Job, sitting: Sitting): Job {
  const { commission } = job;
  const isHere = (p: Pick<PieceSurvey, 'id'>) => pieceOf(commission, p.id).sitting === sitting.id;
  return {
    ...job,
    pours: job.pours.filter((p) => layerOf(commission, p.layer).sitting === sitting.id),
    hills: job.hills.filter(() => fillerIn(job) === sitting.id),
    stones: job.stones.filter(isHere),
    floorStones: job.floorStones.filter(isHere),
    ware: job.ware.filter(isHere),
    wood: job.wood.filter(isHere),
    living: job.living.filter(isHere),
    washed: job.washed.filter((p) => washedIn(job, p) === sitting.id),
    joints: job.joints.filter((j) => madeIn(job, j).id === sitting.id),
    tested: job.joints.filter((j) => testedIn(job, j) === sitting.id),
    pockets: job.pockets.filter((p) => pocketIn(job, p.on) === sitting.id),
    strewn: job.strewn.filter((s) => s.sitting === sitting.id),
    plantings: job.plantings.filter((p) => plantingOf(commission, p.id).sitting === sitting.id),
  };
}

/** The sitting that lays the filler: that of the first layer of it. */
function fillerIn({ commission, pours }: Job): string {
  const first = pours.find((p) => p.role === 'filler');
  return first ? layerOf(commission, first.layer).sitting : BUILD;
}

/** All is washed before a trial, and where somebody said so; otherwise what is set in a sitting is washed in it. */
function washedIn({ commission }: Job, { id }: PieceSurvey): string {
  const building = buildingOf(commission);
  const said = building.find((s) => s.tasks.includes('wash'));
  const tried = building.find((s) => s.kind === 'trial' || s.kind === 'table');
  return (said ?? tried)?.id ?? pieceOf(commission, id).sitting;
}

/** The sitting in which a joint is made: when the last of what is set of it stands. */
export function madeIn({ commission }: Pick<Job, 'commission'>, joint: Joint): Sitting {
  const set = joint.pieces.filter((id) => !isLeftStanding(pieceOf(commission, id)));
  const all = sittingsOf(commission);
  return sittingOfJoint(commission, { ...joint, pieces: set }, (id) => all.find((s) => s.id === pieceOf(commission, id).sitting)!); // prettier-ignore
}

/** The sitting in which a joint is scrubbed: at once, or in the next where it takes longer than anybody waits; none before the water is too late. */
export function testedIn(job: Pick<Job, 'commission'>, joint: Joint): string | undefined {
  const made = madeIn(job, joint);
  if (cureMin(joint) <= LONG_CURE_MIN) return made.id;
  const building = buildingOf(job.commission);
  return building[building.findIndex((s) => s.id === made.id) + 1]?.id;
}

/** A heap lies as soon as its piece stands, or with what is heaped on another day. */
function pocketIn({ commission }: Job, on: string): string {
  const said = buildingOf(commission).find((s) => s.tasks.includes('pockets'));
  if (said) return said.id;
  const piece = pieceOf(commission, on);
  return isLeftStanding(piece) ? homeOf(commission, 'pockets').id : piece.sitting;
}
