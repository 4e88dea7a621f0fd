import { buildPlan } from '../core/buildDay/buildPlan';
import { movesWith } from '../core/buildDay/moves';
import { dayPlus } from '../core/calendar/day';
import type { Commission } from '../core/commission/schema';
import { withMoves } from '../core/edits/sittingEdits';
import { plan } from '../core/pipeline/plan';
import { resolve } from '../core/resolved/resolved';
import { newMemo } from '../core/survey/memo';
import { survey } from '../core/survey/survey';
import { largeScape } from './scape';
import { timed, type Row } from './timed';

/** The work on a full scape in four sittings. */
function inSittings(): Commission {
  const d = largeScape();
  const before = (days: number) => dayPlus(d.brief.buildDay, -days);
  const sittings: NonNullable<Commission['brief']['sittings']> = [
    { id: 'table', kind: 'table', day: before(9) },
    { id: 'stones', kind: 'hardscape', day: before(3), start: '18:00' },
    { id: 'plants', kind: 'planting', day: before(1) },
    { id: 'after', kind: 'detail', day: before(-14) },
  ];
  return { ...d, brief: { ...d.brief, sittings } };
}

/** A task carried to another day: the graph asked, the document changed, the work planned anew; and the whole plan with what is kept of the survey. */
export async function sittingRows(): Promise<Row[]> {
  const d = inSittings();
  const measured = survey(d);
  const { graph } = buildPlan(resolve(d, measured), measured);
  const moved = (run: number) =>
    withMoves(d, movesWith(graph!, 'stones', run % 2 ? 'plants' : 'build').moves!);
  const dragged = (run: number) => buildPlan(resolve(moved(run), measured), measured);
  const memo = newMemo();
  plan(d, { planted: 'later', memo });
  if (dragged(1).earlier.length !== 3) throw new Error('the sittings are not those of the document');
  return [
    await timed('sittings.dragged', 40, (run) => void dragged(run)),
    await timed('sittings.plan', 20, (run) => void plan(moved(run), { planted: 'later', memo })),
  ];
}
