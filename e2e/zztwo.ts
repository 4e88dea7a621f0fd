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
  await p.type('[data-test="sign-in-email"]', `${email}@fenwick.example`);
  await p.type('[data-test="sign-in-password"]', 'slow river over slate');
  await at.press('[data-test="door-go"]');
  await new Promise((r) => setTimeout(r, 2500));
  return { p, at };
}
const [tom, ines] = [await who('tom'), await who('ines')];
await tom.at.load('/c/demo-valley/bench');
await tom.at.press('[data-plan-piece="S-14"]');
await ines.at.load('/c/demo-valley/log');
for (const key of ['ArrowRight', 'ArrowUp', 'ArrowRight', '[']) {
  await tom.p.keyboard.press(key as 'ArrowUp');
  await new Promise((r) => setTimeout(r, 1500));
}
await tom.at.open('/c/demo-valley/planting');
await tom.at.press('[data-planted="P-1"]');
await new Promise((r) => setTimeout(r, 1500));
await ines.at.press('[data-test="changes"] summary');
await new Promise((r) => setTimeout(r, 1500));
await ines.p.screenshot({ path: '/tmp/zz-history.png' });
await ines.p.setViewport({ width: 390, height: 844 });
await new Promise((r) => setTimeout(r, 1500));
await ines.p.screenshot({ path: '/tmp/zz-history390.png' });
await br.close();
await s.stop();
process.exit(0);
