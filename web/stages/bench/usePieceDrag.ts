import type { Ref } from 'vue';
import type { Option, Piece } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useScapeEdit } from '../../document/scapeEdit';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { selectedBeside, selectedPiece, selectedPieces, selectPiece } from '../../frame/selection';

/** Pieces under the pointer on the sheet: taken hold of, moved together, turned with the wheel. */
export function usePieceDrag(option: Ref<Option>, sheet: Ref<{ k: number }>, announce: () => void) {
  const commission = useCommission();
  const edit = useScapeEdit();

  /** In the plan pieces follow the pointer over the floor; in the front view sideways and up or down. */
  const drag = usePointerDrag<{ pieces: Piece[]; view: 'front' | 'above'; lifted: number }>({
    start: (event) => {
      const target = (event.currentTarget as Element).closest('[data-piece],[data-plan-piece]');
      const id = target?.getAttribute('data-piece') ?? target?.getAttribute('data-plan-piece');
      if (!id || !option.value.pieces.some((p) => p.id === id)) return undefined;
      if (event.shiftKey || !selectedPieces.value.includes(id)) selectPiece(id, event.shiftKey);
      else if (id !== selectedPiece.value) bringForward(id);
      // A pointer that is followed gives nothing the keyboard by itself: keys would go to what had it before.
      if (selectedPieces.value.includes(id)) (target as SVGElement).focus({ preventScroll: true });
      const pieces = option.value.pieces.filter((p) => selectedPieces.value.includes(p.id));
      commission.beginStep();
      return { pieces, view: target!.hasAttribute('data-piece') ? 'front' : 'above', lifted: 0 };
    },
    move: (from, { dx, dy }) => {
      const { k } = sheet.value;
      if (from.view === 'above') return edit.moveAll(from.pieces, dx / k, -dy / k);
      edit.moveAll(from.pieces, dx / k, 0);
      const up = Math.round(-dy / k);
      // A drag that is mostly sideways does not bury.
      if (Math.abs(dy) < 6 && from.lifted === 0) return;
      for (const p of from.pieces) edit.lift(p.id, up - from.lifted);
      from.lifted = up;
    },
    end: () => {
      commission.endStep();
      announce();
    },
  });
  /** Of several that are selected the one that is pressed is the one that is shown. */
  function bringForward(id: string): void {
    selectedBeside.value = selectedPieces.value.filter((other) => other !== id);
    selectedPiece.value = id;
  }

  /** The wheel turns on the plan; from the front it leans to the sides, with Alt back and forward. */
  function wheel(event: WheelEvent, p: Piece, view: 'front' | 'above'): void {
    const by = (event.deltaY > 0 ? 1 : -1) * (event.shiftKey ? 1 : 5);
    const ids = selectedPieces.value.includes(p.id) ? selectedPieces.value : [p.id];
    edit.turnAll(ids, view === 'above' ? 'z' : event.altKey ? 'x' : 'y', by);
  }
  return { drag, wheel };
}
