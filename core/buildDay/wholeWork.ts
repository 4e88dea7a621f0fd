import { homeOf, taskOfPiece, taskOfPlant, taskOfStrewn } from '../sittings/homes';
import { BUILD, sittingsOf, type Sitting } from '../sittings/sittings';
import type { Said } from '../words/text';
import type { Job } from './job';
import { edgesAcross, type Edge } from './order';
import { taskOf } from './task';
import { wholeSteps } from './tasks';

/** The whole work as tasks that wait for each other, in whichever sitting each is. */
export interface WholeWork {
  tasks: ReadonlyMap<string, HomedTask>;
  /** Between tasks: the first is done in the same sitting as the second, or before. */
  needs: readonly Edge[];
}

/** A task with its sitting, whatever single things of it were put elsewhere. */
export interface HomedTask {
  title: Said;
  home: Sitting;
  /** The layers that it pours. */
  layers: string[];
}

/** All tasks up to the build day, and those that were put into a sitting after it. */
export function wholeWork(job: Job): WholeWork {
  const { commission } = job;
  const steps = wholeSteps(job);
  const lookedAt = new Set(job.pours.filter((p) => p.role === 'cosmetic').map((p) => p.task));
  const later = laterTasks(job);
  const now = steps.map((s): [string, HomedTask] => {
    const task = taskOf(s);
    const home = homeOf(commission, task, lookedAt.has(task));
    return [task, { title: s.short ?? s.title, home, layers: job.pours.filter((p) => p.task === task).map((p) => p.layer) }]; // prettier-ignore
  });
  const all = [...steps, ...[...later.keys()].map((id) => ({ id }))];
  const of = new Map(all.map((s) => [s.id, taskOf(s)]));
  const pairs = edgesAcross(all, job).map((e): [string, Edge] => {
    const [first, then] = [of.get(e.first)!, of.get(e.then)!];
    return [`${first}\n${then}`, { ...e, first, then }];
  });
  return { tasks: new Map([...later, ...now]), needs: [...new Map(pairs).values()] };
} // prettier-ignore

/** What was put into a sitting after the build day: it can be had back. */
function laterTasks({ commission }: Job): Map<string, HomedTask> {
  const all = sittingsOf(commission);
  const tasks = new Map<string, HomedTask>();
  const put = (task: string, title: Said, sitting: string, layers: string[] = []) => {
    const home = all.find((s) => s.id === sitting)!;
    tasks.set(task, { title, home, layers: [...(tasks.get(task)?.layers ?? []), ...layers] });
  };
  const isLater = (thing: { onDay: number; sitting: string }) => thing.onDay > 0 && thing.sitting !== BUILD;
  for (const p of commission.plantings.values())
    if (isLater(p)) put(taskOfPlant(p.plant), p.plant.name, p.sitting);
  for (const p of commission.pieces.values())
    if (isLater(p)) put(taskOfPiece(p.piece, p.material.kind), p.material.name, p.sitting);
  for (const s of commission.strewn)
    if (isLater(s)) put(taskOfStrewn(s.material), s.material.name, s.sitting);
  for (const l of commission.layers.values())
    if (isLater(l) && l.task) put(l.task, l.name, l.sitting, [l.layer.id]);
  return tasks;
}
