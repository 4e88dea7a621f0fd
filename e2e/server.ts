import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
/** A program of the project as it was built. */
export const built = (name: string) => join(root, 'dist', 'node', `${name}.js`);

/** The server as a process of its own. */
export interface Running {
  url: string;
  child: ChildProcess;
  /** Its exit code; null when it was killed. */
  ended: Promise<number | null>;
  /** Ends it as Ctrl-C does, or at once. */
  stop(signal?: NodeJS.Signals): Promise<void>;
}

/** Starts the server on a folder and waits for the line that says where it is; rejects with what it said instead. */
export function serverOn(data: string, env: Record<string, string> = {}): Promise<Running> {
  const child = spawn(process.execPath, ['--enable-source-maps', built('server/main')], {
    cwd: root,
    env: { ...process.env, UTSUWA_DATA: data, PORT: '0', ...env },
  });
  const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
  const stop = async (signal: NodeJS.Signals = 'SIGTERM') => {
    child.kill(signal);
    await ended;
  };
  return new Promise((resolve, reject) => {
    let said = '';
    const heard = (chunk: Buffer) => {
      said += chunk.toString();
      const url = /is ready: (https?:\/\/[\w.:-]+)/.exec(said)?.[1];
      if (url) resolve({ url, child, ended, stop });
    };
    child.stdout.on('data', heard);
    child.stderr.on('data', heard);
    void ended.then((code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}

export interface DemoServer {
  url: string;
  /** Where its data lies. */
  data: string;
  stop(): Promise<void>;
  /** Stops it and starts it again on the same data; `between` happens while it is away. */
  restart(between?: () => Promise<void>): Promise<void>;
}

/** The demo's data as a folder to be copied; a run of tests has it made once (`setup.ts`). */
async function filledOnce(): Promise<string> {
  const made = process.env.UTSUWA_DEMO_DATA;
  if (made) return made;
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-filled-'));
  fillDemo(folder);
  return folder;
}

/** Puts the demo's data into a folder. */
export function fillDemo(folder: string, ...how: string[]): void {
  execFileSync(process.execPath, [built('demo/fill'), ...how], {
    env: { ...process.env, UTSUWA_DATA: folder },
  });
}

/** The demo, served from a folder of its own on a free port. */
export async function demoServer(): Promise<DemoServer> {
  const data = await mkdtemp(join(tmpdir(), 'utsuwa-e2e-'));
  await cp(await filledOnce(), data, { recursive: true });
  let running = await serverOn(data);
  const server: DemoServer = {
    url: running.url,
    data,
    stop: async () => {
      await running.stop();
      await rm(data, { recursive: true, force: true });
    },
    restart: async (between) => {
      await running.stop();
      await between?.();
      running = await serverOn(data, { PORT: new URL(server.url).port });
    },
  };
  return server;
}
