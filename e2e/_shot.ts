import { openBrowser } from './browser.ts';
const [,, w, h, ...paths] = process.argv;
const b = await openBrowser();
const page = await b.newPage();
await page.setViewport({ width: Number(w), height: Number(h) });
page.on('console', m => { if (m.type()==='error'||m.type()==='warn') console.log('console', m.type(), m.text().slice(0,300)); });
page.on('pageerror', e => console.log('pageerror', String(e).slice(0,400)));
for (const p of paths) { const [path, name, click] = p.split('=');
  await page.goto('http://127.0.0.1:4680'+path, { waitUntil: 'networkidle0' });
  if (click) { for (const c of click.split('|')) { await page.click(c); await new Promise(r=>setTimeout(r,500)); } }
  await new Promise(r=>setTimeout(r,1200));
  await page.screenshot({ path: `/tmp/${name}.png` as any });
}
await b.close();
