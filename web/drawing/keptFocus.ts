import { getCurrentInstance, onBeforeUpdate, onUpdated } from 'vue';

/**
 * What is drawn is put into another order when it comes to lie before or behind something else, and what is moved in a page
 * loses the keyboard: it is given back to the element with the same `attribute`.
 */
export function useKeptFocus(attribute: string): void {
  const self = getCurrentInstance();
  const root = () => self?.proxy?.$el as Element | undefined;
  let had: string | undefined;
  onBeforeUpdate(() => {
    const { activeElement } = document;
    had =
      (activeElement && root()?.contains(activeElement) && activeElement.getAttribute(attribute)) ||
      undefined;
  });
  onUpdated(() => {
    if (!had || document.activeElement !== document.body) return;
    root()
      ?.querySelector<SVGElement>(`[${attribute}="${CSS.escape(had)}"]`)
      ?.focus({ preventScroll: true });
  });
}
