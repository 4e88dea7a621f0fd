import { taskKey, taskOfPiece, taskOfPlant } from '../sittings/homes';
import { BUILD, sittingsOf } from '../sittings/sittings';
import type { Said } from '../words/text';
import { homedTasks } from './betweenSittings';
import type { Job } from './job';
import { edgesAcross } from './order';
import { wholeSteps } from './tasks';

/** The whole work as tasks that wait for each other, by which it is seen what moves with what. */
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

/** The graph of a work in several sittings; undefined for one day, in which nothing can be moved. */
export function workGraph(job: Job): WorkGraph | undefined {
  const all = sittingsOf(job.commission);
  if (all.length === 1) return undefined;
  const later = laterTasks(job);
  const steps = [...wholeSteps(job), ...Object.keys(later).map((id) => ({ id }))];
  const pairs = edgesAcross(steps, job).map((e) => `${taskKey(e.first)}\n${taskKey(e.then)}`);
  const now = [...homedTasks(job)].map(([key, { title, home }]): [string, GraphTask] => [
    key,
    { title, sitting: home.id, layers: job.pours.filter((p) => p.task === key).map((p) => p.layer) },
  ]);
  return {
    sittings: all.map((s) => s.id),
    tasks: { ...later, ...Object.fromEntries(now) },
    needs: [...new Set(pairs)].map((pair) => pair.split('\n') as [string, string]),
  };
}

/** What was put into a sitting after the build day: it can be had back. */
function laterTasks({ commission }: Job): Record<string, GraphTask> {
  const tasks: Record<string, GraphTask> = {};
  for (const { onDay, sitting, plant } of commission.plantings.values())
    if (onDay > 0 && sitting !== BUILD)
      tasks[taskOfPlant(plant)] = { title: plant.name, sitting, layers: [] };
  for (const { onDay, sitting, piece, material } of commission.pieces.values())
    if (onDay > 0 && sitting !== BUILD) tasks[taskOfPiece(piece, material.kind)] = { title: material.name, sitting, layers: [] }; // prettier-ignore
  for (const { onDay, sitting, task, name, layer } of commission.layers.values())
    if (onDay > 0 && sitting !== BUILD && task) tasks[task] = { title: name, sitting, layers: [...(tasks[task]?.layers ?? []), layer.id] }; // prettier-ignore
  return tasks;
}
