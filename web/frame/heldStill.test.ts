import { afterEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h, nextTick, ref, type Ref } from 'vue';
import { mount } from '../testing/mount';
import { useHeldStill } from './heldStill';

afterEach(() => vi.restoreAllMocks());

/** A page with a note that comes with an answer, 41 px high, above a button under the pointer at 100 px. */
function page(answer: Ref<string>) {
  const there = mount(
    defineComponent(() => {
      const box = ref<HTMLElement>();
      useHeldStill(box, [answer]);
      return () => h('main', { ref: box }, [answer.value ? h('p', answer.value) : null, h('button', 'Next')]);
    }),
    {},
  );
  const box = there.find('main') as HTMLElement;
  const button = there.find('button') as HTMLElement;
  const rect = (top: number) => ({ top, left: 0, width: 400 }) as DOMRect;
  box.getBoundingClientRect = () => rect(0);
  button.getBoundingClientRect = () => rect(100 + (box.querySelector('p') ? 41 : 0) - box.scrollTop);
  return { box, button };
}
const pointAt = (el: Element | null) => {
  document.elementFromPoint = () => el;
  window.dispatchEvent(new MouseEvent('pointermove', { clientX: 10, clientY: 110 }));
};

describe('what is under the pointer', () => {
  it('stays where it is when an answer comes above it, and when it goes', async () => {
    const answer = ref('');
    const { box, button } = page(answer);
    pointAt(button);
    answer.value = 'Ask a structural engineer.';
    await nextTick();
    await nextTick();
    expect([box.scrollTop, button.getBoundingClientRect().top]).toEqual([41, 100]);
    answer.value = '';
    await nextTick();
    await nextTick();
    expect([box.scrollTop, button.getBoundingClientRect().top]).toEqual([0, 100]);
  });

  it('is left alone where nothing of the page is under it, or it was scrolled by hand meanwhile', async () => {
    const answer = ref('');
    const { box, button } = page(answer);
    pointAt(document.body);
    answer.value = 'Water softens.';
    await nextTick();
    await nextTick();
    expect(box.scrollTop).toBe(0);
    pointAt(button);
    answer.value = '';
    void Promise.resolve().then(() => (box.scrollTop = 7));
    await nextTick();
    await nextTick();
    expect(box.scrollTop).toBe(7);
  });
});
