import { demoServer } from './e2e/server';
import { openBrowser } from './e2e/browser';
const [,, ...steps] = process.argv;
const s = await demoServer();
const b = await openBrowser({}, { seat: true });
const p = await b.newPage();
p.on('pageerror', e => console.log('ERR', e)); p.on('console', m => m.type() === 'error' && console.log('C', m.text()));
await p.setViewport({ width: 1280, height: 800, deviceScaleFactor: 1 });
const wait = (ms: number) => new Promise(r => setTimeout(r, ms));
let n = 0;
for (const st of steps) {
  const [k, ...r] = st.split('='); const v = r.join('=');
  if (k === 'go') { await p.goto(s.url + v); await wait(2500); }
  if (k === 'click') { await p.waitForSelector(v, { timeout: 8000 }); await p.click(v); await wait(900); }
  if (k === 'size') { const [w, h] = v.split('x').map(Number); await p.setViewport({ width: w, height: h, deviceScaleFactor: 1 }); await wait(500); }
  if (k === 'shot') await p.screenshot({ path: `/tmp/shot-${v}.png` as `${string}.png` });
  if (k === 'text') console.log(await p.$eval(v, e => (e as HTMLElement).innerText));
  if (k === 'select') { const [sel, val] = v.split('@'); await p.select(sel, val); await wait(700); }
  if (k === 'wait') await wait(Number(v));
}
await b.close(); await s.stop();
