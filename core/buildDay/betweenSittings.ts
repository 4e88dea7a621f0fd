import type { Joint } from '../commission/schema';
import { isLeftStanding, layerOf, pieceOf, plantingOf } from '../resolved/resolved';
import { sittingsOf, type Sitting } from '../sittings/sittings';
import { taskKind } from '../sittings/taskKinds';
import { say, type Said, type Text } from '../words/text';
import type { Job } from './job';
import { madeIn } from './jobIn';
import type { WholeWork } from './wholeWork';

/*
 * What has to be done in an earlier sitting, or in the same: tasks by the order of work (`order.ts`), and single things that
 * were given a sitting of their own by what they stand on, grow in or are joined of.
 */

/** One thing or task that another needs, with the sittings in which they are. */
export interface Need {
  first: Said;
  then: Said;
  firstIn: Sitting;
  thenIn: Sitting;
  because: Text;
}

/** Tasks before what they need, by the order of work; what goes with its things is held by those. */
export function taskNeeds({ tasks, needs }: WholeWork): Need[] {
  return needs.flatMap(({ first, then, because }): Need[] => {
    const [f, t] = [tasks.get(first)!, tasks.get(then)!];
    if (taskKind(first).follows || taskKind(then).follows) return [];
    return [{ first: f.title, then: t.title, firstIn: f.home, thenIn: t.home, because }];
  });
}

/** Things before what they need, where one of the two was given a sitting of its own. */
export function thingNeeds(job: Job): Need[] {
  const { commission, survey } = job;
  const all = sittingsOf(commission);
  const sitting = (id: string) => all.find((s) => s.id === id)!;
  const standing = new Map(job.option.pieces.map((p) => [p.id, p]));
  const isSet = (id: string) => !isLeftStanding(pieceOf(commission, id));
  const need = (first: Said, firstIn: string, then: Said, thenIn: string, because: Text): Need => ({ first, then, firstIn: sitting(firstIn), thenIn: sitting(thenIn), because }); // prettier-ignore
  const poured = new Set(job.pours.map((p) => p.layer));
  const pieces = survey.pieces.flatMap((p): Need[] => {
    const { stand } = standing.get(p.id)!;
    const own = pieceOf(commission, p.id);
    if (isLeftStanding(own)) return [];
    return [
      ...(stand.kind === 'on' && isSet(stand.piece) ? [need(stand.piece, pieceOf(commission, stand.piece).sitting, p.id, own.sitting, say('sitting.needs.stands'))] : []), // prettier-ignore
      ...(p.restsIn !== undefined && poured.has(p.restsIn) ? [need(layerOf(commission, p.restsIn).name, layerOf(commission, p.restsIn).sitting, p.id, own.sitting, say('sitting.needs.stands'))] : []), // prettier-ignore
    ];
  });
  const joints = job.joints.flatMap(
    (j: Joint) =>
    j.pieces.filter(isSet).map((id) => need(id, pieceOf(commission, id).sitting, j.id, madeIn(job, j).id, say('sitting.needs.joined'))), // prettier-ignore
  );
  const plants = job.plantings.flatMap((p): Need[] => {
    const { planting, sitting: own, plant } = plantingOf(commission, p.id);
    const name = plant.name;
    if (planting.on !== undefined)
      return isSet(planting.on) ? [need(planting.on, pieceOf(commission, planting.on).sitting, name, own, say('sitting.needs.grows'))] : []; // prettier-ignore
    return p.over.filter((id) => poured.has(id) && layerOf(commission, id).role !== 'cosmetic').map((id) => need(layerOf(commission, id).name, layerOf(commission, id).sitting, name, own, say('sitting.needs.roots'))); // prettier-ignore
  });
  const strewn = job.strewn.flatMap((s) => (s.strewn.around ?? []).filter(isSet).map((id) => need(id, pieceOf(commission, id).sitting, s.material.name, s.sitting, say('sitting.needs.foot')))); // prettier-ignore
  return [...pieces, ...joints, ...plants, ...strewn];
}

/** True where what is needed is only done in a later sitting. */
export function isTooLate({ firstIn, thenIn }: Need, all: readonly Sitting[]): boolean {
  return all.indexOf(firstIn) > all.indexOf(thenIn);
}
