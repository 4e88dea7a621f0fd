import { sittingsOf } from '../sittings/sittings';
import type { Said } from '../words/text';
import type { Job } from './job';
import type { WholeWork } from './wholeWork';

/** The whole work as it is sent to whoever moves a task: what waits for what, and where each is. */
export interface WorkGraph {
  /** Ids of the sittings in the order in which they are held, the build day and those after it too. */
  sittings: string[];
  tasks: Record<string, GraphTask>;
  /** Pairs of tasks of which the first is done in the same sitting as the second, or before. */
  needs: [first: string, then: string][];
}

export interface GraphTask {
  title: Said;
  sitting: string;
  /** The layers that it pours. */
  layers: string[];
}

/** The graph of a work in several sittings. */
export function workGraph({ commission }: Pick<Job, 'commission'>, { tasks, needs }: WholeWork): WorkGraph {
  return {
    sittings: sittingsOf(commission).map((s) => s.id),
    tasks: Object.fromEntries(
      [...tasks].map(([task, { title, home, layers }]) => [task, { title, sitting: home.id, layers }]),
    ),
    needs: needs.map(({ first, then }) => [first, then]),
  };
}
