import { nextTick, type Ref } from 'vue';

/** For how long a sheet may take to close, frames. */
const FRAMES = 30;

/** Somebody who works by keys: on to the piece that was set, to its typed values and back, and back to where they came from. */
export function usePieceFocus(area: Readonly<Ref<HTMLElement | undefined>>) {
  let from: HTMLElement | undefined;

  /**
   * The piece that was just set has the keyboard: as soon as it is drawn, and for a moment again where a sheet that closes lets
   * go of it; never from anything else that has been gone to meanwhile.
   */
  async function toPiece(id: string): Promise<void> {
    await nextTick();
    let frames = 0;
    const give = () => {
      const { activeElement, body } = document;
      if (frames === 0 || activeElement === body)
        area.value?.querySelector<SVGElement>(`[data-plan-piece="${CSS.escape(id)}"]`)?.focus();
      if (++frames < FRAMES) requestAnimationFrame(give);
    };
    requestAnimationFrame(give);
  }

  return {
    toPiece,
    set(id: string): void {
      const { activeElement } = document;
      from = activeElement instanceof HTMLElement ? activeElement : undefined;
      void toPiece(id);
    },
    back(): void {
      if (from?.isConnected) from.focus();
      from = undefined;
    },
    /** To where it is from the left, marked to be typed over. */
    values(): void {
      document.querySelector<HTMLInputElement>('.inspector input')?.select();
    },
  };
}
