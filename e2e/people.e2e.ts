import { spawnSync } from 'node:child_process';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBrowser } from './browser';
import { onPage } from './page';
import { serverOn, type Running } from './server';

/* People with accounts: the owner made on the machine, another invited, each in a browser profile of their own. */

const WORDS = 'slow river over slate';
let data: string;
let server: Running;
let browser: Browser;
const owner = (words: string, ...args: string[]) =>
  spawnSync(process.execPath, [join(import.meta.dirname, '..', 'dist', 'node', 'server', 'owner.js'), ...args], {
    env: { ...process.env, UTSUWA_DATA: data }, input: words, encoding: 'utf8',
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
    const link = await ines.at.words('[data-test="invite-link"]');
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
});
