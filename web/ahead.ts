/*
 * The first script of the page, in a file of its own: it asks for the page; where a commission is opened it asks for that, too,
 * and has it measured while the library that draws it all is still being read.
 */
import type { Stored } from './document/api';
import { sendEarly } from './document/early';
import { openJournal } from './document/journal';
import { tabName } from './document/tab';
import { FRAME, LIST, PAGES } from './pages';
import { beginPlanThread } from './workers/planThread';

const [, id, page] = /^\/c\/([^/]+)\/?([^/]*)/.exec(window.location.pathname) ?? [];
if (id !== undefined) {
  const { remote, pack } = beginPlanThread();
  const asked = sendEarly(`/api/commissions/${id}`);
  void sendEarly(`/api/commissions/${id}/orders`);
  void sendEarly('/api/studio');
  void tabName();
  openJournal();
  void FRAME();
  if (page in PAGES) void PAGES[page as keyof typeof PAGES]();
  // The first day that is written makes the browser read its tables of dates: here, where it only waits.
  new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
  void asked.then((answer) => {
    const { document } = (answer ?? {}) as Partial<Stored>;
    const option = document?.options.find((o) => o.id === document.chosen);
    if (document && option) void remote.prepare(decodeURIComponent(id), pack(document, option));
  });
} else if (window.location.pathname === '/') void LIST();
