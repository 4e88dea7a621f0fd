import { afterAll } from 'vitest';
import { standing } from './standing';

/* Files of tests share what they have loaded and the page; what one leaves behind is not the next one's. */
afterAll(() => {
  for (const mounted of standing) mounted.unmount();
  if (typeof document === 'undefined') return;
  document.body.replaceChildren();
  localStorage.clear();
  sessionStorage.clear();
});
