import { mkdtemp } from 'node:fs/promises';
import { spawnSync } from 'node:child_process';
import { openBrowser } from './browser.ts';
import { onPage } from './page.ts';
import { serverOn } from './server.ts';
const data = await mkdtemp('/tmp/utsuwa-zz-');
spawnSync(process.execPath, ['dist/node/demo/fill.js', '--people'], {
  env: { ...process.env, UTSUWA_DATA: data },
  stdio: 'inherit',
});
const s = await serverOn(data);
const br = await openBrowser(
  { defaultViewport: { width: 1280, height: 800 } },
  { measured: true, seat: true },
);
async function who(email: string) {
  const p = await (await br.createBrowserContext()).newPage();
  await p.setViewport({ width: 1280, height: 800 });
  await p.evaluateOnNewDocument('globalThis.__name = (f) => f');
  const at = onPage(p, s.url);
  await at.load('/');
  await p.waitForSelector('[data-test="sign-in-email"]');
  await p.type('[data-test="sign-in-email"]', email);
  await p.type('[data-test="sign-in-password"]', 'slow river over slate');
  await at.press('[data-test="door-go"]');
  await new Promise((r) => setTimeout(r, 2500));
  return { p, at };
}
const shots = process.argv.slice(2);
for (const spec of shots) {
  const [email, ...paths] = spec.split(',');
  const { p, at } = await who(`${email}@fenwick.example`);
  for (const path of paths) {
    const [url, w] = path.split('@');
    await p.setViewport({ width: Number(w ?? 1280), height: w ? 844 : 800 });
    await at.load(url);
    await new Promise((r) => setTimeout(r, 3500));
    await p.screenshot({ path: `/tmp/zz-${email}-${url.replace(/\W+/g, '_')}${w ?? ''}.png` });
    console.log(email, url, await p.evaluate(() => location.pathname));
  }
}
await br.close();
await s.stop();
process.exit(0);
