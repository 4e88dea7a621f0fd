import { spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { request } from 'node:https';
import { createServer } from 'node:net';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBrowser } from './browser';
import { onPage } from './page';
import { serverOn, type Running } from './server';

/* People with accounts: the owner made on the machine, another invited, each in a browser profile of their own. */

const WORDS = 'slow river over slate';
let data: string;
let server: Running;
let browser: Browser;
const owner = (words: string, ...args: string[]) => command('owner', args, words);
const command = (name: string, args: string[], input = '') =>
  spawnSync(process.execPath, [join(import.meta.dirname, '..', 'dist', 'node', 'server', `${name}.js`), ...args], {
    env: { ...process.env, UTSUWA_DATA: data }, input, encoding: 'utf8',
  }); // prettier-ignore
/** A device of its own: nothing of another is there. */
async function device() {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  return { page, at: onPage(page, server.url) };
}
async function signIn(page: Page, email: string, password = WORDS): Promise<void> {
  const at = onPage(page, server.url);
  await at.words('.door');
  await typeInto(page, 'sign-in-email', email);
  await typeInto(page, 'sign-in-password', password);
  await at.press('[data-test="door-go"]');
}
async function typeInto(page: Page, test: string, text: string): Promise<void> {
  const field = (await page.waitForSelector(`[data-test="${test}"]`, { visible: true }))!;
  await field.click({ count: 3 });
  await field.type(text);
}

beforeAll(async () => {
  data = await mkdtemp(join(tmpdir(), 'utsuwa-people-'));
  await cp(process.env.UTSUWA_DEMO_DATA!, data, { recursive: true });
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
  await rm(data, { recursive: true, force: true });
});

describe('people', () => {
  it('begin with an owner who is made on the machine, with a password that nobody guesses', async () => {
    expect(owner('', 'Ines').stderr).toContain('Say who: npm run owner');
    expect(owner('password123456', 'Ines', 'ines@fenwick.example').stderr).toContain('guessed first');
    expect(owner(WORDS, 'Ines', 'ines@fenwick.example').stdout).toContain('is an owner of this studio');
    [server, browser] = [await serverOn(data), await openBrowser()];
    // The folder is the server's now.
    expect(owner(WORDS, 'Tom', 'tom@fenwick.example').status).not.toBe(0);
  });

  it('sign in, invite by a link that works once, and each sees what is theirs', async () => {
    const ines = await device();
    await ines.at.load('/studio/people');
    await signIn(ines.page, 'ines@fenwick.example', 'wrong words over slate');
    await ines.at.until('[data-test="door-fault"]', (w) => w.includes('do not belong together'));
    await signIn(ines.page, 'ines@fenwick.example');
    await ines.at.until('.people', (w) => w.includes('You are Ines, owner'));
    await typeInto(ines.page, 'invite-name', 'Tom');
    await ines.at.press('[data-test="invite"]');
    const link = await ines.at.words('[data-test="link"]');
    expect(link).toMatch(/\/join#[\w-]{27}$/);

    const tom = await device();
    // Pasted with the full stop of a sentence.
    await tom.page.goto(`${link}.`, { waitUntil: 'load' });
    await typeInto(tom.page, 'join-email', 'tom@fenwick.example');
    await typeInto(tom.page, 'join-password', 'too short');
    await tom.at.press('[data-test="door-go"]');
    await tom.at.until('[data-test="door-fault"]', (w) => w.includes('at least 12 letters'));
    await typeInto(tom.page, 'join-password', WORDS);
    await tom.at.press('[data-test="door-go"]');
    await tom.page.waitForSelector('[data-test="new"]');
    await tom.at.open('/studio/house');
    await tom.at.until('main', (w) => w.includes('entered by its owner'));
    await tom.at.open('/studio/people');
    await tom.at.until('.people', (w) => w.includes('You are Tom, designer') && !w.includes('Invite'));
    const late = await device();
    await late.page.goto(link, { waitUntil: 'load' });
    await late.at.until('[data-test="join-fault"]', (w) => w.includes('not good any more'));
    await ines.at.load('/studio/people');
    await ines.at.until('[data-person="tom@fenwick.example"]', (w) => w.includes('designer'));
  });

  it('build, and see what they are put on without its prices; what is not theirs they do not change', async () => {
    const tom = await device();
    await tom.at.load('/studio/people');
    await signIn(tom.page, 'ines@fenwick.example');
    await typeInto(tom.page, 'invite-name', 'Jo');
    await tom.at.press('.invite .role ::-p-text(crew)');
    await tom.at.press('[data-test="invite"]');
    const link = await tom.at.words('[data-test="link"]');
    const jo = await device();
    await jo.page.goto(link, { waitUntil: 'load' });
    await typeInto(jo.page, 'join-email', 'jo@fenwick.example');
    await typeInto(jo.page, 'join-password', WORDS);
    await jo.at.press('[data-test="door-go"]');
    await jo.at.until('.page', (w) => w.includes('You are on no commission yet'));
    await tom.at.load('/c/demo-valley/build');
    await tom.at.press('[data-on="Jo"] input');
    // As the server has it: a box is ticked before anybody was told.
    await tom.page.waitForSelector('[data-on="Jo"][data-is="true"]');
    await jo.at.load('/');
    await jo.at.until('.page', (w) => w.includes('Orchard Lane') && !w.includes('New commission') && !w.includes('Stair hall')); // prettier-ignore
    // Every address of it leads to what is theirs.
    await jo.page.goto(`${server.url}/c/demo-valley/quote`, { waitUntil: 'load' });
    await jo.page.waitForFunction(() => location.pathname === '/c/demo-valley/run-sheet');
    await jo.at.until('main', (w) => w.includes('On the day'));
    for (const page of ['order', 'run-sheet', 'log']) {
      await jo.at.open(`/c/demo-valley/${page}`);
      await jo.page.waitForSelector('main h1');
      expect(await jo.page.evaluate(() => document.body.innerText)).not.toMatch(/£/);
    }
    await jo.at.type('[data-test="note"]', 'Stairs are narrow.');
    await jo.page.click('[data-test="add-note"]');
    const photo = (await jo.page.waitForSelector('li [data-test="note-photo"] input')) as ElementHandle<HTMLInputElement>; // prettier-ignore
    await photo.uploadFile(join(import.meta.dirname, '..', 'docs', 'screenshots', 'order.png'));
    await jo.page.waitForSelector('[data-test="note-picture"]');
    await jo.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
    await tom.at.load('/c/demo-valley/log');
    await tom.at.until('ol', (w) => w.includes('Stairs are narrow'));
    await tom.page.waitForFunction(() => (document.querySelector('[data-test="note-picture"]') as HTMLImageElement | null)?.naturalWidth); // prettier-ignore
    // Taken off, it is not there any more.
    await tom.at.open('/c/demo-valley/build');
    await tom.at.press('[data-on="Jo"] input');
    await tom.page.waitForSelector('[data-on="Jo"][data-is="false"]');
    await jo.at.load('/c/demo-valley/log');
    await jo.at.until('main', (w) => w.includes('There is no such commission'));
    await Promise.all([tom.page.close(), jo.page.close()]);
  });

  it('at one commission see each other and what each changes, and who changed it; one thing is taken back', async () => {
    const [ines, tom] = [await device(), await device()];
    await ines.at.load('/c/demo-valley/log');
    await signIn(ines.page, 'ines@fenwick.example');
    await tom.at.load('/c/demo-valley/bench');
    await signIn(tom.page, 'tom@fenwick.example');
    await ines.at.until('[data-test="others"]', (w) => /Tom\s+Bench/.test(w));
    await tom.at.until('[data-test="others"]', (w) => /Ines\s+Log/.test(w));
    await tom.at.press('[data-plan-piece="S-14"]');
    await ines.at.until('[data-test="others"]', (w) => w.includes('S-14'));
    const at = (page: Page) => page.$eval('[data-piece="S-14"]', (e) => e.getAttribute('aria-label'));
    const before = await at(tom.page);
    await tom.page.keyboard.press('ArrowRight');
    await tom.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
    await ines.at.press('[data-test="changes"] summary');
    await ines.at.until('[data-test="history"]', (w) => /Tom[^]*S-14 moved 5 mm to the right/.test(w));
    // While the list is open, the next change comes by itself.
    await tom.at.focus('[data-piece="S-14"]');
    await tom.page.keyboard.press('ArrowUp');
    await ines.at.until('[data-test="history"]', (w) => /S-14 moved 5 mm (back|to the front)|S-14: /.test(w));
    const saves = () => ines.page.$$eval('[data-edit]', (l) => l.map((e) => [e.getAttribute('data-edit')!, (e as HTMLElement).innerText])); // prettier-ignore
    const [[newest], right] = [
      (await saves())[0],
      (await saves()).find(([, w]) => w.includes('to the right'))!,
    ];
    await ines.at.press(`[data-edit="${newest}"] [data-test="take-back"]`);
    await ines.at.until('[data-test="history-said"]', (w) => w.includes('Taken back'));
    await ines.page.waitForFunction((n) => document.querySelector('[data-edit]')!.getAttribute('data-edit') !== n, {}, newest); // prettier-ignore
    // Looked at beside how it is now: where the stone stood then is dashed over where it stands.
    await ines.at.press(`[data-edit="${right[0]}"] [data-test="look"]`);
    await ines.page.waitForSelector('[data-side="now"] [data-ghost="S-14"]');
    await ines.at.until(
      '[data-test="then-figures"]',
      (w) => w.includes('Free water') && w.includes('To settle'),
    );
    await ines.page.goBack();
    await ines.at.press('[data-test="changes"] summary');
    await ines.at.press(`[data-edit="${right[0]}"] [data-test="as-it-was"]`);
    await ines.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
    // On the other's Bench it stands as it did, without a reload.
    await tom.page.waitForFunction((label) => document.querySelector('[data-piece="S-14"]')?.getAttribute('aria-label') === label, {}, before); // prettier-ignore
    await ines.page.close();
    await tom.page.waitForFunction(() => !document.querySelector('[data-test="others"]'));
    await tom.page.close();
  });

  it('are signed out elsewhere in the middle of work, sign in again, and have lost nothing', async () => {
    const [here, there] = [await device(), await device()];
    for (const d of [here, there]) {
      await d.at.load('/c/demo-desk/log');
      await signIn(d.page, 'tom@fenwick.example');
      await d.page.waitForSelector('[data-test="note"]');
    }
    await there.at.open('/studio/people');
    await there.page.waitForSelector('[data-test="sign-out-there"]');
    while ((await there.page.$$('[data-test="device"]')).length > 1) {
      const before = (await there.page.$$('[data-test="device"]')).length;
      await there.at.press('[data-test="sign-out-there"]');
      await there.page.waitForFunction((n) => document.querySelectorAll('[data-test="device"]').length < n, {}, before); // prettier-ignore
    }
    await here.at.type('[data-test="note"]', 'Ask for the key of the yard.');
    await here.page.click('[data-test="add-note"]');
    await signIn(here.page, 'tom@fenwick.example');
    await here.at.until('ol', (w) => w.includes('Ask for the key of the yard'), 20_000);
    await here.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
    await there.at.load('/c/demo-desk/log');
    await there.at.until('ol', (w) => w.includes('Ask for the key of the yard'));
    // Signed out, nothing of a home is shown.
    await here.at.open('/studio/people');
    await here.at.press('[data-test="sign-out"]');
    await here.page.waitForSelector('.door');
    const shown = await here.page.evaluate(() => document.body.innerText);
    const { body } = await fetch(`${server.url}/api/commissions?today=2026-12-01`).then(async (r) => ({ body: await r.text(), status: r.status })); // prettier-ignore
    for (const words of [shown, body]) expect(words).not.toMatch(/Orchard|practice|Stair/);
  });

  it('are reached from other machines over TLS alone, under the studio’s name, by who trusts its certificate', async () => {
    await server.stop();
    expect(command('certificate', ['studio.local']).stdout).toContain(
      'Each tablet has to trust this studio once',
    );
    const port = await freePort();
    const tls = (name: string) => join(data, 'tls', name);
    const env = { HOST: '0.0.0.0', PORT: String(port), UTSUWA_URL: `https://studio.local:${port}/` };
    // Without an account nobody but this machine gets in, and without a certificate nobody at all.
    await expect(serverOn(data, env)).rejects.toThrow('only over TLS');
    server = await serverOn(data, { ...env, UTSUWA_TLS: `${tls('cert.pem')},${tls('key.pem')}` });
    const { publicKey } = new X509Certificate(readFileSync(tls('cert.pem')));
    const pin = createHash('sha256')
      .update(publicKey.export({ type: 'spki', format: 'der' }))
      .digest('base64');
    const tablet = await openBrowser({}, { also: ['--host-resolver-rules=MAP studio.local 127.0.0.1', `--ignore-certificate-errors-spki-list=${pin}`] }); // prettier-ignore
    try {
      const page = await tablet.newPage();
      const at = onPage(page, server.url);
      await at.load('/c/demo-desk/log');
      await signIn(page, 'tom@fenwick.example');
      await at.type('[data-test="note"]', 'Written on the tablet.');
      await page.click('[data-test="add-note"]');
      await at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
      expect(await page.evaluate(() => window.isSecureContext)).toBe(true);
      const [cookie] = await page.cookies();
      expect([cookie.secure, cookie.httpOnly, cookie.sameSite]).toEqual([true, true, 'Strict']);
      // What is no browser on one of its pages changes nothing, with the cookie too.
      const ask = (host: string, headers: Record<string, string>) => answered(port, host, { cookie: `${cookie.name}=${cookie.value}`, ...headers }); // prettier-ignore
      const own = `studio.local:${port}`;
      expect(await ask(own, {})).toBe(403);
      expect(await ask(own, { origin: 'https://elsewhere.example' })).toBe(403);
      expect(await ask('elsewhere.example', { origin: 'https://elsewhere.example' })).toBe(421);
      expect(await ask(own, { origin: `https://${own}` })).toBe(204);
    } finally {
      await tablet.close();
    }
  });
});

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

/** How a write is answered that asks for one of the studio's addresses by a name: signing out. */
const answered = (port: number, host: string, headers: Record<string, string>) =>
  new Promise<number>((resolve, reject) => {
    const asked = request(
      {
        port,
        host: '127.0.0.1',
        method: 'POST',
        path: '/api/people/sign-out',
        rejectUnauthorized: false,
        headers: { host, ...headers },
      },
      (res) => {
        // prettier-ignore
        res.resume();
        resolve(res.statusCode!);
      },
    );
    asked.on('error', reject).end();
  });
