import { spawnSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codeOf } from '../server/softKey';
import { openBrowser } from './browser';
import { onPage } from './page';
import { built, serverOn, type Running } from './server';

/* Other ways in than a password: a passkey of the device, codes of an app, a link of the owner. */

const WORDS = 'slow river over slate';
const [INES, TOM] = ['ines@fenwick.example', 'tom@fenwick.example'];
let data: string;
let server: Running;
let browser: Browser;
/** By its name: a passkey belongs to one, and figures are none. */
let url: string;

beforeAll(async () => {
  data = await mkdtemp(join(tmpdir(), 'utsuwa-ways-'));
  for (const [name, address] of [['Ines', INES], ['Tom', TOM]]) spawnSync(process.execPath, [built('server/owner'), name, address], { env: { ...process.env, UTSUWA_DATA: data }, input: WORDS }); // prettier-ignore
  [server, browser] = [await serverOn(data), await openBrowser()];
  url = server.url.replace('127.0.0.1', 'localhost');
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
  await rm(data, { recursive: true, force: true });
});

/** A device of its own; `hasKeys` with an authenticator that shows who holds it. */
async function device(hasKeys = false) {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  if (hasKeys) {
    const devtools = await page.createCDPSession();
    await devtools.send('WebAuthn.enable');
    const options = { protocol: 'ctap2' as const, transport: 'internal' as const, hasResidentKey: true, hasUserVerification: true, isUserVerified: true, automaticPresenceSimulation: true }; // prettier-ignore
    await devtools.send('WebAuthn.addVirtualAuthenticator', { options });
  }
  const at = onPage(page, url);
  await at.load('/studio/people');
  return { page, at };
}
async function typeInto(page: Page, test: string, text: string): Promise<void> {
  const field = (await page.waitForSelector(`[data-test="${test}"]`, { visible: true }))!;
  await field.click({ count: 3 });
  await field.type(text);
}
async function signIn({ page, at }: Awaited<ReturnType<typeof device>>, email: string): Promise<void> {
  await typeInto(page, 'sign-in-email', email);
  await typeInto(page, 'sign-in-password', WORDS);
  await at.press('[data-test="door-go"]');
}

describe('other ways in', () => {
  it('a passkey is made on a device, signs in there by itself, and is taken away', async () => {
    const tablet = await device(true);
    await signIn(tablet, INES);
    await typeInto(tablet.page, 'passkey-name', 'tablet in the van');
    await typeInto(tablet.page, 'passkey-password', 'another river');
    await tablet.at.press('[data-test="passkey-add"]');
    await tablet.at.until('[data-test="passkey-said"]', (w) => w.includes('is another one'));
    await typeInto(tablet.page, 'passkey-password', WORDS);
    await tablet.at.press('[data-test="passkey-add"]');
    await tablet.at.until('[data-test="passkey"]', (w) => w.includes('tablet in the van') && w.includes('not used yet')); // prettier-ignore
    await tablet.at.press('[data-test="sign-out"]');
    await tablet.at.press('[data-test="sign-in-passkey"]');
    // The list is behind the door all along.
    await tablet.page.waitForFunction(
      () => document.querySelector('[data-test="new"]') && !document.querySelector('.door'),
    );
    await tablet.at.load('/studio/people');
    await tablet.at.until('.people', (w) => w.includes('You are Ines, owner'));
    await tablet.at.press('[data-test="passkey-drop"]');
    await tablet.page.waitForFunction(() => !document.querySelector('[data-test="passkey"]'));
    await tablet.at.press('[data-test="sign-out"]');
    await tablet.at.press('[data-test="sign-in-passkey"]');
    await tablet.at.until('[data-test="passkey-fault"]', (w) => w.includes('not known here'));
  });

  it('codes of an app are asked for once one was shown, and one on paper will do', async () => {
    const desk = await device();
    await signIn(desk, TOM);
    await typeInto(desk.page, 'codes-password', WORDS);
    await desk.at.press('[data-test="codes-begin"]');
    const key = (await desk.at.words('[data-test="codes-key"]')).replace(/\s/g, '');
    const [paper] = await desk.page.$$eval('[data-test="codes-paper"] code', (all) => all.map((c) => c.textContent!)); // prettier-ignore
    await typeInto(desk.page, 'codes-code', codeOf(key));
    await desk.at.press('[data-test="codes-on"]');
    await desk.at.until('.people', (w) => w.includes('A code is asked for after your password.'));
    for (const code of ['000000', paper]) {
      const other = await device();
      await signIn(other, TOM);
      await typeInto(other.page, 'sign-in-code', code);
      await other.at.press('[data-test="door-go"]');
      if (code === paper) await other.at.until('.people', (w) => w.includes('You are Tom'));
      else await other.at.until('[data-test="door-fault"]', (w) => w.includes('not right'));
    }
  });

  it('who lost phone and paper gets in again by a link of the owner', async () => {
    const desk = await device();
    await signIn(desk, INES);
    await desk.at.press(`[data-person="${TOM}"] [data-test="again"]`);
    const link = await desk.at.words('[data-test="link"]');
    await desk.at.until('.people', (w) => w.includes('Tom, to get in again'));
    const tom = await device();
    await tom.page.goto(link.replace('127.0.0.1', 'localhost'), { waitUntil: 'load' });
    await tom.at.until('.door', (w) => w.includes('A new password, Tom'));
    await typeInto(tom.page, 'join-password', 'quiet moss under glass');
    await tom.at.press('[data-test="door-go"]');
    await tom.page.waitForSelector('[data-test="new"]');
    await tom.at.load('/studio/people');
    await tom.at.until('.people', (w) => w.includes('You are Tom, owner') && !w.includes('A code is asked for after')); // prettier-ignore
    expect(await tom.page.$('[data-test="passkey"]')).toBeNull();
  });
});
