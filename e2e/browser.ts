import { existsSync } from 'node:fs';
import puppeteer, { type Browser, type LaunchOptions } from 'puppeteer-core';

/**
 * The shell has no window to draw and no browser around the page: the same engine, sooner there. By its own
 * path, since what lies in /usr/bin only starts it and would be killed in its place.
 */
const CHROMIUM = [
  '/usr/lib/chromium/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
];

/**
 * Pages of a test live for seconds: the slowest of the compilers never pays back what it takes of two cores, and who asked
 * for less motion does not wait for lists that open.
 */
const SHORT_LIVED = ['--js-flags=--no-turbofan', '--force-prefers-reduced-motion'];

/** What tests look at is drawn by software: with half the pixels each way a tenth less of all that two cores do; sizes stay. */
export const COARSE = 0.5;

/** An emulated card takes as much as a third of all that a page takes to open: only where the view from a seat is looked at. */
const CARD = ['--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--disable-gpu-rasterization'];
const NO_CARD = ['--disable-gpu', '--disable-3d-apis'];

/**
 * Debian's Chromium without a window, kept from looking for anything outside this machine; `measured` with all compilers,
 * `seat` with a card that draws perspectives, `also` with further words for it.
 */
export async function openBrowser(
  more: LaunchOptions = {},
  { measured = false, seat = false, also = [] as string[] } = {},
): Promise<Browser> {
  const executablePath = process.env.CHROMIUM ?? CHROMIUM.find((path) => existsSync(path));
  if (!executablePath)
    throw new Error(
      'Chromium is missing: apt-get install chromium-headless-shell, or set CHROMIUM to its path.',
    );
  return puppeteer.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      // Pages are drawn faster without the card, be it there or not.
      '--disable-gpu-compositing',
      ...(seat || measured ? CARD : NO_CARD),
      ...(measured ? [] : SHORT_LIVED),
      '--font-render-hinting=none',
      '--lang=en-GB',
      ...also,
    ],
    defaultViewport: { width: 1280, height: 800, deviceScaleFactor: measured ? 1 : COARSE },
    ...more,
  });
}
