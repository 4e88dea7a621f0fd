import { describe, expect, it } from 'vitest';
import { mount } from '../testing/mount';
import StackedBar from './StackedBar.vue';

const parts = [
  { key: 'cold', value: 30, fill: '#111', says: 'cold 60 %' },
  { key: 'hot', value: 2, fill: '#222', says: 'hot 4 %' },
  { key: 'ro', value: 18, fill: '#333' },
];
const rects = (el: Element) =>
  [...el.querySelectorAll('rect')].map((r) => [Number(r.getAttribute('x')), Number(r.getAttribute('width'))]);

describe('parts of a whole', () => {
  it('stand side by side, each as wide as its share', () => {
    const bar = mount(StackedBar, { parts, width: 300, label: 'First fill' });
    expect(rects(bar.el)).toEqual([
      [0, 180],
      [180, 12],
      [192, 108],
    ]);
    expect(bar.el.querySelector('svg')!.getAttribute('aria-label')).toBe('First fill');
  });

  it('are measured against more than their sum where that is asked for', () => {
    expect(rects(mount(StackedBar, { parts, width: 300, most: 100, label: 'x' }).el)[0]).toEqual([0, 90]);
  });

  it('have their words in them where there is room, the others below', () => {
    const bar = mount(StackedBar, { parts, width: 300, label: 'x' });
    expect([...bar.el.querySelectorAll('text')].map((t) => t.textContent)).toEqual(['cold 60 %']);
    expect(bar.el.querySelector('p')!.textContent).toBe('hot 4 %');
  });

  it('draw nothing of nothing', () => {
    expect(rects(mount(StackedBar, { parts: [], width: 300, label: 'x' }).el)).toEqual([]);
  });
});
