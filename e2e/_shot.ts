import { openBrowser } from './browser.ts';
const [, , w, h, ...paths] = process.argv;
const b = await openBrowser();
const page = await b.newPage();
await page.setViewport({ width: Number(w), height: Number(h) });
page.on('console', (m) => {
  if (m.type() === 'error' || m.type() === 'warn') console.log('console', m.type(), m.text().slice(0, 300));
});
page.on('pageerror', (e) => console.log('pageerror', String(e).slice(0, 400)));
for (const p of paths) {
  const [path, name, click] = p.split('=');
  await page.goto('http://127.0.0.1:4680' + path, { waitUntil: 'networkidle0' });
  await new Promise((r) => setTimeout(r, 700));
  if (click) {
    for (const c of click.split('|')) {
      if (c.startsWith('key:')) await page.keyboard.press(c.slice(4) as any);
      else if (c.startsWith('at:')) {
        const [x, y] = c.slice(3).split(',').map(Number);
        await page.mouse.click(x, y);
      } else await page.click(c);
      await new Promise((r) => setTimeout(r, 500));
    }
  }
  await new Promise((r) => setTimeout(r, 900));
  await page.screenshot({ path: `/tmp/${name}.png` as any });
}
await b.close();
