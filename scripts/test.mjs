/*
 * npm test: install what is missing, lint, check types, run the unit tests, drive the real interface.
 * `-- --changed [REF]`: what differs from a commit, the last one unless it is named, and what that reaches.
 * `-- --all`: every file in the browser, not only those whose turn it is (`turns.mjs`).
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { browserFilesFor, changedSince } from './changed.mjs';
import { ALWAYS, browserFiles, turnNow, TURNS, turnsOf } from './turns.mjs';
import { built, failed, installed, root, run } from './ready.mjs';

const node = process.execPath;
const bin = (...path) => join(root, 'node_modules', ...path);

/** Debian's Chromium, installed when this may be done, or a line that says how. */
async function chromium() {
  const known = [
    process.env.CHROMIUM,
    '/usr/lib/chromium/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
  ];
  if (known.some((path) => path && existsSync(path))) return;
  console.log('Installing Chromium from Debian’s packages …');
  try {
    await run('apt-get', ['update', '-qq']);
    await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell'], {
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    });
  } catch {
    throw new Error(
      'Chromium is missing and could not be installed: run "apt-get install chromium-headless-shell" as root, or set CHROMIUM to its path.',
    );
  }
}

const asked = process.argv.indexOf('--changed');
const ref = asked < 0 ? undefined : (process.argv[asked + 1] ?? 'HEAD');

try {
  await installed();
  const names = ref === undefined ? undefined : changedSince(ref);
  if (names?.length === 0) console.log(`Nothing differs from ${ref}.`);
  else await tested(names);
} catch (error) {
  failed(error);
}

/** All of it, or what the named files reach. */
async function tested(names) {
  const files = names ? browserFilesFor(names) : filesNow();
  const inBrowser = !names || files.length > 0;
  // A browser that has to be fetched comes while the processors are at work on the rest.
  const browser = inBrowser ? settled(chromium()) : undefined;
  await built();
  console.log('Lint and types, and beside them the tests');
  // What checks uses one processor: it goes on while the next tests begin.
  await both(checked(names), driven());

  async function driven() {
    await unitTested(names);
    if (!inBrowser) return;
    await browser();
    console.log('The interface in a browser');
    await vitest('run', '--config', 'e2e/vitest.config.ts', ...files);
  }
}

/** What is driven always and what has its turn; nothing named is everything. */
function filesNow() {
  if (process.argv.includes('--all')) return [];
  const turn = turnNow();
  const files = [...ALWAYS, ...turnsOf(browserFiles())[turn]];
  console.log(`In the browser: ${files.length} of ${browserFiles().length} files, turn ${turn + 1} of ${TURNS}; “npm test -- --all” drives every one.`); // prettier-ignore
  return files;
}

async function checked(names) {
  const lintable = names?.filter((name) => /\.(ts|mts|mjs|js|vue)$/.test(name)) ?? ['.'];
  if (lintable.length > 0)
    await run(
      node,
      [bin('eslint', 'bin', 'eslint.js'), ...lintable, '--max-warnings', '0', '--no-warn-ignored'],
      {
        loud: true,
      },
    );
  const formatted = [bin('oxfmt', 'bin', 'oxfmt'), '--check', '--no-error-on-unmatched-pattern'];
  await run(node, [...formatted, ...(names ?? ['.'])], { loud: true });
  await typed();
}

/** Core by itself, without what a page or a server has; all but the interface; the interface. */
async function typed() {
  // The compiler of the interface is made for an older TypeScript; where no template is read, the new one takes a tenth.
  const tsc = bin('typescript-7', 'bin', 'tsc');
  await run(node, [tsc, '--noEmit', '-p', 'core'], { loud: true });
  await run(node, [tsc, '--noEmit', '-p', 'tsconfig.noweb.json'], { loud: true });
  await run(node, [bin('vue-tsc', 'bin', 'vue-tsc.js'), '--noEmit', '-p', 'web'], { loud: true });
}

function unitTested(names) {
  return vitest('run', ...(names ? ['--changed', ref, '--passWithNoTests'] : []));
}

function vitest(...words) {
  return run(node, [bin('vitest', 'vitest.mjs'), ...words], { loud: true });
}

/** Work that goes on by itself: asked for later, it gives its end or throws what went wrong. */
function settled(work) {
  const end = Promise.allSettled([work]);
  return async () => {
    const [{ status, reason }] = await end;
    if (status === 'rejected') throw reason;
  };
}

/** Both to their end, so that the first fault does not cut off what the other has to say. */
async function both(...work) {
  const ends = await Promise.allSettled(work);
  const broken = ends.find((end) => end.status === 'rejected');
  if (broken) throw broken.reason;
}
