import { afterAll } from 'vitest';
import { standing } from './standing';

/** Nothing is served here: what asks all the same is told so at once, not by a port that nobody listens on. */
globalThis.fetch = async () => {
  throw new TypeError('nothing is served in these tests');
};

/* Files of tests share what they have loaded and the page; what one leaves behind is not the next one's. */
afterAll(() => {
  for (const mounted of standing) mounted.unmount();
  if (typeof document === 'undefined') return;
  document.body.replaceChildren();
  localStorage.clear();
  sessionStorage.clear();
});
