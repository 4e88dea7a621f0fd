/* npm test: install what is missing, lint, check types, run the unit tests, drive the real interface. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
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

try {
  await installed();
  console.log('Lint, types and unit tests side by side');
  await both(checked(), unitTested());
  await built();
  await chromium();
  console.log('The interface in a browser');
  await run(node, [bin('vitest', 'vitest.mjs'), 'run', '--config', 'e2e/vitest.config.ts'], { loud: true });
} catch (error) {
  failed(error);
}

async function checked() {
  await run(node, [bin('eslint', 'bin', 'eslint.js'), '.', '--max-warnings', '0'], { loud: true });
  await run(node, [bin('prettier', 'bin', 'prettier.cjs'), '--check', '--log-level', 'warn', '.'], {
    loud: true,
  });
  await run(node, [bin('typescript', 'bin', 'tsc'), '--noEmit', '-p', 'core'], { loud: true });
  await run(node, [bin('vue-tsc', 'bin', 'vue-tsc.js'), '--noEmit', '-p', 'tsconfig.json'], { loud: true });
}

function unitTested() {
  return run(node, [bin('vitest', 'vitest.mjs'), 'run'], { loud: true });
}

/** Both to their end, so that the first fault does not cut off what the other has to say. */
async function both(...work) {
  const ends = await Promise.allSettled(work);
  const broken = ends.find((end) => end.status === 'rejected');
  if (broken) throw broken.reason;
}
