import type { Piece } from '../../../core/commission/schema';
import type { useScapeEdit } from '../../document/scapeEdit';

const NUDGE_MM = 5;
const NUDGE_FAR_MM = 20;
const TURN_DEG = 5;

type Edit = ReturnType<typeof useScapeEdit>;

/** What a key does to a piece that has the focus; true when it did something. */
export function pieceKey(event: KeyboardEvent, piece: Piece, view: 'front' | 'above', edit: Edit): boolean {
  const done = act(event, piece, view, edit);
  if (done) event.preventDefault();
  return done;
}

function act({ key, shiftKey }: KeyboardEvent, { id }: Piece, view: 'front' | 'above', edit: Edit): boolean {
  const step = shiftKey ? NUDGE_FAR_MM : NUDGE_MM;
  const sideways = { ArrowLeft: -step, ArrowRight: step }[key];
  const up = { ArrowUp: step, ArrowDown: -step }[key];
  const turn = { '[': -TURN_DEG, '{': -1, ']': TURN_DEG, '}': 1 }[key];
  if (sideways) edit.nudge(id, sideways, 0);
  else if (up && view === 'above') edit.nudge(id, 0, up);
  else if (up) edit.lift(id, up);
  else if (turn) edit.turn(id, turn);
  else if (key === 'Delete') edit.remove(id);
  else return false;
  return true;
}
