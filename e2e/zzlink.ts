import { demoServer } from './server.ts';
import { openBrowser } from './browser.ts';
import { onPage } from './page.ts';
const s = await demoServer();
const br = await openBrowser(
  { defaultViewport: { width: 1280, height: 800 } },
  { measured: true, seat: true },
);
const p = await br.newPage();
await p.evaluateOnNewDocument('globalThis.__name = (f) => f');
const at = onPage(p, s.url);
const c = await (await br.createBrowserContext()).newPage();
const go = async (path: string, ready: string, w: number, name: string, full = false) => {
  await at.load(path);
  await at.words(ready);
  if (!path.includes('quote')) await at.press('[data-test="send-sheet"] summary');
  await at.type(
    path.includes('quote') ? '[data-test="link-named"]' : '[data-test="sheet-named"]',
    'Mrs Orchard',
  );
  if (path.includes('quote')) await new Promise((r) => setTimeout(r, 6000));
  await at.press(path.includes('quote') ? '[data-test="link-make"]' : '[data-test="sheet-make"]');
  const link = await at.until('[data-test="link"]', (x) => x.includes('/l#'), 60000);
  await new Promise((r) => setTimeout(r, 400));
  await p.screenshot({ path: `/tmp/zl-made-${name}.png` });
  await c.setViewport({ width: w, height: w > 500 ? 900 : 844 });
  await c.goto(link, { waitUntil: 'load' });
  await new Promise((r) => setTimeout(r, 2500));
  await c.screenshot({ path: `/tmp/zl-${name}.png`, fullPage: full });
};
await go('/c/demo-valley/handover', '[data-test="care-guide"]', 390, 'care', true);
await go('/c/demo-valley/run-sheet', '[data-test="sheet-list"]', 1280, 'run');
await go('/c/demo-valley/quote', '[data-test="proposal"] [data-test="total"]', 1280, 'two');
await br.close();
process.exit(0);
