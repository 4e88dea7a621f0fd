import type { Axis } from '../../../core/geometry/rotation';
import type { Piece } from '../../../core/commission/schema';
import type { useScapeEdit } from '../../document/scapeEdit';

const NUDGE_MM = 5;
const NUDGE_FAR_MM = 20;
const TURN_DEG = 5;

type Edit = ReturnType<typeof useScapeEdit>;

/** What a key does to a piece that has the focus, and to those selected with it; true when it did something. */
export function pieceKey(
  event: KeyboardEvent,
  piece: Piece,
  view: 'front' | 'above',
  edit: Edit,
  beside: readonly string[] = [],
): boolean {
  const ids = beside.includes(piece.id) ? beside : [piece.id];
  const done = act(event, ids, view, edit);
  if (done) event.preventDefault();
  return done;
}

/** Leaning with Alt: about the axis that points to the eye, and about the one that goes across. */
const LEANS: Record<string, [Axis, number]> = {
  ArrowLeft: ['y', -TURN_DEG],
  ArrowRight: ['y', TURN_DEG],
  ArrowUp: ['x', -TURN_DEG],
  ArrowDown: ['x', TURN_DEG],
};

function act(
  { key, shiftKey, altKey, ctrlKey, metaKey }: KeyboardEvent,
  ids: readonly string[],
  view: 'front' | 'above',
  edit: Edit,
): boolean {
  if (ctrlKey || metaKey) return false;
  const lean = altKey ? LEANS[key] : undefined;
  if (lean) {
    edit.turnAll(ids, lean[0], shiftKey ? Math.sign(lean[1]) : lean[1]);
    return true;
  }
  const step = shiftKey ? NUDGE_FAR_MM : NUDGE_MM;
  const sideways = { ArrowLeft: -step, ArrowRight: step }[key];
  const up = { ArrowUp: step, ArrowDown: -step }[key];
  const turn = { '[': -TURN_DEG, '{': -1, ']': TURN_DEG, '}': 1 }[key];
  const each = (work: (id: string) => void) => ids.forEach(work);
  if (sideways) each((id) => edit.nudge(id, sideways, 0));
  else if (up && view === 'above') each((id) => edit.nudge(id, 0, up));
  else if (up) each((id) => edit.lift(id, up));
  else if (turn && ids.length > 1) edit.turnAll(ids, 'z', turn);
  else if (turn) each((id) => edit.turn(id, turn));
  else if (key === 'Delete') each((id) => edit.remove(id));
  else return false;
  return true;
}
