// several looks in one start
import { openBrowser } from './e2e/browser';
import { demoServer } from './e2e/server';
import { readFileSync } from 'node:fs';
const server = await demoServer();
const browser = await openBrowser({}, { measured: false });
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800, deviceScaleFactor: 1 });
page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
const change = async (id: string, code: string) => {
  const r = (await (await fetch(server.url + '/api/commissions/' + id)).json()) as any;
  new Function('doc', code)(r.document);
  const put = await fetch(server.url + '/api/commissions/' + id, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', origin: server.url, 'if-match': `"${r.revision}"` },
    body: JSON.stringify({ document: r.document, revision: r.revision }),
  });
  return put.status + ' ' + (put.ok ? '' : (await put.text()).slice(0, 300));
};
const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
const go = async (path: string, sel: string) => {
  await page.goto(server.url + path);
  await page.waitForSelector(sel, { timeout: 30000 });
  await wait(1500);
};
const shot = async (name: string) => {
  await wait(600);
  await page.screenshot({ path: `/tmp/shots/${name}.png` });
};
await go('/', 'body');
await eval(`(async () => { ${readFileSync(process.argv[2], 'utf8')} })()`);
await browser.close();
await server.stop();
