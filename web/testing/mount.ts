import { createPinia, type Pinia } from 'pinia';
import { createApp, h, nextTick, reactive, type Component } from 'vue';
import { createRouter, createMemoryHistory } from 'vue-router';
// As one file, which Node reads by itself: file by file the bundler took a third of the time of all tests.
import { components, createVuetify } from 'vuetify/dist/vuetify.js';
import { standing } from './standing';

export interface Mounted {
  el: HTMLElement;
  /** Props can be changed afterwards: `props.value = 3`. */
  props: Record<string, unknown>;
  words: () => string;
  find: <T extends Element = HTMLElement>(selector: string) => T;
  /** Types into a field and leaves it. */
  type: (selector: string, text: string) => Promise<void>;
  /** Types over the field with a label, the how-manieth of that label, and leaves it. */
  fill: (label: string, text: string, nth?: number) => Promise<void>;
  /** What a field with a label shows, and what is wrong with it. */
  shown: (label: string, nth?: number) => { value: string; fault: string };
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
  const fieldOf = (label: string, nth: number): Element => {
    const fields = [...el.querySelectorAll('.v-input')].filter((f) =>
      [...f.querySelectorAll('label')].some((l) => l.textContent?.trim() === label),
    );
    if (!fields[nth]) throw new Error(`no field "${label}" (${nth + 1}) in ${wordsOf(el).slice(0, 300)}`);
    return fields[nth];
  };
  const typeInto = async (input: HTMLInputElement, text: string): Promise<void> => {
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await nextTick();
    input.dispatchEvent(new Event('blur'));
    await nextTick();
  };
  const mounted: Mounted = {
    el,
    props,
    words: () => wordsOf(el),
    find,
    type: (selector, text) => typeInto(find<HTMLInputElement>(selector), text),
    fill: (label, text, nth = 0) => typeInto(fieldOf(label, nth).querySelector('input')!, text),
    shown: (label, nth = 0) => ({
      value: fieldOf(label, nth).querySelector('input')!.value,
      fault: fieldOf(label, nth).querySelector('.v-messages__message')?.textContent ?? '',
    }),
    click: async (selector) => {
      find<HTMLElement>(selector).click();
      await nextTick();
    },
    unmount: () => {
      if (!standing.delete(mounted)) return;
      app.unmount();
      el.remove();
    },
  };
  standing.add(mounted);
  return mounted;
}
