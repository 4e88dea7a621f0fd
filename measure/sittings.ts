import { buildPlan } from '../core/buildDay/buildPlan';
import { movesWith } from '../core/buildDay/moves';
import { dayPlus } from '../core/calendar/day';
import type { Commission } from '../core/commission/schema';
import { withMoves } from '../core/edits/sittingEdits';
import { plan } from '../core/pipeline/plan';
import { resolve } from '../core/resolved/resolved';
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

/** A task carried to another day: the graph asked, the document changed, the work planned anew; and the whole plan. */
export async function sittingRows(): Promise<Row[]> {
  const d = inSittings();
  const measured = survey(d);
  const { graph } = buildPlan(resolve(d, measured), measured);
  const dragged = (run: number) => {
    const moves = movesWith(graph!, 'stones', run % 2 ? 'plants' : 'build').moves!;
    const next = withMoves(d, moves);
    return buildPlan(resolve(next, measured), measured);
  };
  if (dragged(1).earlier.length !== 3) throw new Error('the sittings are not those of the document');
  return [
    await timed('sittings.dragged', 40, (run) => void dragged(run)),
    await timed('sittings.plan', 10, (run) => void plan({ ...d, title: `${run}` }, { planted: 'later' })),
  ];
}
