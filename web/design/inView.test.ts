import { afterEach, expect, it, vi } from 'vitest';
import { effectScope, ref } from 'vue';
import { useInView } from './inView';

afterEach(() => vi.unstubAllGlobals());

it('goes by the last frame of those that a busy page is told of at once', () => {
  let tellOf: (entries: { isIntersecting: boolean }[]) => void = () => {};
  vi.stubGlobal('IntersectionObserver', class {
    constructor(told: typeof tellOf) {
      tellOf = told;
    }
    observe() {}
    disconnect() {}
  }); // prettier-ignore
  const told: boolean[] = [];
  const scope = effectScope();
  scope.run(() => useInView(ref(document.createElement('div')), (isIn) => void told.push(isIn)));
  tellOf([{ isIntersecting: false }, { isIntersecting: true }]);
  tellOf([{ isIntersecting: false }]);
  expect(told).toEqual([true, false]);
  scope.stop();
});
