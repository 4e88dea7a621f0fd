/* What every start-up needs; nothing here but Node itself, since nothing may be installed yet. */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync as readdir, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const onWindows = process.platform === 'win32';

/** Runs a command to its end; its output is shown when it fails, or always when `loud`. */
export function run(command, args, { loud = false, env = {} } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: loud ? 'inherit' : ['ignore', 'pipe', 'pipe'],
      shell: onWindows,
    });
    let said = '';
    child.stdout?.on('data', (d) => (said += d));
    child.stderr?.on('data', (d) => (said += d));
    child.on('error', reject);
    child.on('close', (code) => {
      if (code === 0) return resolve();
      if (!loud) process.stderr.write(said);
      reject(new Error(`${command} ${args.join(' ')} ended with ${code}`));
    });
  });
}

/** Refuses a Node that the packages cannot run on. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  throw new Error(`Node ${process.versions.node} is too old: Utsuwa needs 20.19 or newer.`);
}

/** Installs what is missing: when there is nothing yet, or the lock file is newer than what is there. */
export async function installed() {
  checkNode();
  const mark = join(root, 'node_modules', '.utsuwa-installed');
  const lock = readFileSync(join(root, 'package-lock.json'), 'utf8');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  console.log('Installing packages, about a minute …');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(mark, lock);
}

/** What is built: the file that tells when, its configuration, and what it is made of. */
const BUILDS = [
  ['web/index.html', 'vite.config.ts', ['web', 'core', 'index.html']],
  ['node/server/main.js', 'vite.server.config.ts', ['server', 'demo', 'core']],
];

/** Builds interface and server, or one of them, where a source is newer than the last build. */
export async function built(only = '') {
  const old = BUILDS.filter(([made, config, sources]) => {
    if (!made.startsWith(only)) return false;
    const file = join(root, 'dist', made);
    const since = existsSync(file) ? statSync(file).mtimeMs : 0;
    return since <= newest([...sources, config, 'package-lock.json']);
  });
  if (old.length === 0) return;
  console.log('Building …');
  const vite = join(root, 'node_modules', 'vite', 'bin', 'vite.js');
  await Promise.all(
    old.map(([, config]) =>
      run(process.execPath, [vite, 'build', '--config', config, '--logLevel', 'error']),
    ),
  );
}

/** A program of the project as it was built, by the name of its source. */
export function program(name) {
  return join(root, 'dist', 'node', `${name}.js`);
}

function newest(names) {
  return Math.max(...names.map((name) => newestIn(join(root, name))));
}

function newestIn(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdir(path).map((name) => newestIn(join(path, name))));
}

/** A program of the project with the words of this command, in this terminal: built first where it is not. */
export async function command(name) {
  try {
    await installed();
    await built();
    await run(process.execPath, [program(name), ...process.argv.slice(2)], { loud: true });
  } catch (error) {
    failed(error);
  }
}

/** Starts the server in this terminal; Ctrl-C reaches it and is waited for. */
export function serve(env = {}) {
  const child = spawn(process.execPath, ['--enable-source-maps', program('server/main')], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: 'inherit',
  });
  const pass = (signal) => child.kill(signal);
  process.on('SIGINT', () => {});
  process.on('SIGTERM', () => pass('SIGTERM'));
  child.on('close', (code) => process.exit(code ?? 0));
}

/** Ends with one line and no stack. */
export function failed(error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
