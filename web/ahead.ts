/*
 * The first script of the page, in a file of its own: where a commission is opened, its pages are asked for and the
 * thread that plans is begun while the library that draws them is still being read.
 */
import { FRAME, PAGES } from './pages';
import { beginPlanThread } from './workers/planThread';

const [, page] = /^\/c\/[^/]+\/?([^/]*)/.exec(window.location.pathname) ?? [];
if (page !== undefined) {
  beginPlanThread();
  void FRAME();
  if (page in PAGES) void PAGES[page as keyof typeof PAGES]();
}
