import { type Ref } from 'vue';

/** For how long what was set may take to be drawn, and then a sheet to close and let go of the keyboard, frames. */
const DRAWN_FRAMES = 600;
const CLOSED_FRAMES = 60;

/** Somebody who works by keys: on to the piece that was set, to its typed values and back, and back to where they came from. */
export function usePieceFocus(area: Readonly<Ref<HTMLElement | undefined>>) {
  let from: HTMLElement | undefined;
  let turn = 0;

  /**
   * The piece that was just set has the keyboard: as soon as it is drawn, however long that takes, and for a moment again where
   * a sheet that closes lets go of it; never from anything else that has been gone to meanwhile.
   */
  function toPiece(id: string): void {
    const mine = ++turn;
    const asked = document.activeElement;
    let [left, given] = [DRAWN_FRAMES, false];
    const give = () => {
      if (mine !== turn || left-- <= 0) return;
      const drawn = area.value?.querySelector<SVGElement>(`[data-plan-piece="${CSS.escape(id)}"]`);
      const now = document.activeElement;
      if (now !== drawn && !isFree(now) && (given || now !== asked)) return;
      if (drawn && now !== drawn) drawn.focus();
      if (drawn && !given) [left, given] = [CLOSED_FRAMES, true];
      requestAnimationFrame(give);
    };
    requestAnimationFrame(give);
  }

  return {
    toPiece,
    set(id: string): void {
      const { activeElement } = document;
      from = activeElement instanceof HTMLElement ? activeElement : undefined;
      toPiece(id);
    },
    back(): void {
      turn++;
      if (from?.isConnected) from.focus();
      from = undefined;
    },
    /** To where it is from the left, marked to be typed over. */
    values(): void {
      document.querySelector<HTMLInputElement>('.inspector input')?.select();
    },
  };
}

/** Nothing has the keyboard, or a sheet that is closing and will let go of it. */
function isFree(now: Element | null): boolean {
  if (now === null || now === document.body) return true;
  return now.closest('.v-overlay') !== null && now.closest('.v-overlay--active') === null;
}
