import { createPinia, type Pinia } from 'pinia';
import { createApp, h, nextTick, reactive, type Component } from 'vue';
import { createRouter, createMemoryHistory } from 'vue-router';
import { createVuetify } from 'vuetify';
import * as components from 'vuetify/components';

export interface Mounted {
  el: HTMLElement;
  /** Props can be changed afterwards: `props.value = 3`. */
  props: Record<string, unknown>;
  words: () => string;
  find: <T extends Element = HTMLElement>(selector: string) => T;
  /** Types into a field and leaves it. */
  type: (selector: string, text: string) => Promise<void>;
  click: (selector: string) => Promise<void>;
  unmount: () => void;
}

/** What stands in an element, its parts apart, as they are seen. */
export function wordsOf(el: Node): string {
  if (el.nodeType === 3) return el.textContent!.trim();
  return [...el.childNodes].map(wordsOf).filter(Boolean).join(' ').replace(/\s+/g, ' ');
}

/** Mounts a component with what the application gives every component, into a page without a window. */
export function mount(
  component: Component,
  given: Record<string, unknown> = {},
  pinia: Pinia = createPinia(),
): Mounted {
  const el = document.createElement('div');
  document.body.append(el);
  const props = reactive(given);
  const app = createApp({ render: () => h(component, props) });
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)', component: {} }],
  });
  app.use(pinia).use(router).use(createVuetify({ components })).mount(el);
  const find = <T extends Element>(selector: string): T => {
    const found = el.querySelector<T>(selector);
    if (!found) throw new Error(`nothing is ${selector} in ${el.innerHTML.slice(0, 300)}`);
    return found;
  };
  return {
    el,
    props,
    words: () => wordsOf(el),
    find,
    type: async (selector, text) => {
      const input = find<HTMLInputElement>(selector);
      input.value = text;
      input.dispatchEvent(new Event('input'));
      await nextTick();
      input.dispatchEvent(new Event('blur'));
      await nextTick();
    },
    click: async (selector) => {
      find<HTMLElement>(selector).click();
      await nextTick();
    },
    unmount: () => {
      app.unmount();
      el.remove();
    },
  };
}
