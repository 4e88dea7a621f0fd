import { execFileSync, spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

export interface DemoServer {
  url: string;
  stop(): Promise<void>;
  /** Stops it and starts it again on the same data. */
  restart(): Promise<void>;
}

/** The demo, served from a folder of its own on a free port. */
export async function demoServer(): Promise<DemoServer> {
  const data = await mkdtemp(join(tmpdir(), 'utsuwa-e2e-'));
  const env = { ...process.env, UTSUWA_DATA: data };
  execFileSync(process.execPath, ['--import', 'tsx', 'demo/fill.ts'], { cwd: root, env });
  let running = await start(data, '0');
  const server: DemoServer = {
    url: running.url,
    stop: async () => {
      await running.stop();
      await rm(data, { recursive: true, force: true });
    },
    restart: async () => {
      await running.stop();
      running = await start(data, new URL(server.url).port);
    },
  };
  return server;
}

function start(data: string, port: string): Promise<{ url: string; stop(): Promise<void> }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: { ...process.env, UTSUWA_DATA: data, PORT: port },
  });
  const ended = new Promise<void>((resolve) => child.on('close', () => resolve()));
  const stop = async () => {
    child.kill('SIGTERM');
    await ended;
  };
  return new Promise((resolve, reject) => {
    let said = '';
    const heard = (chunk: Buffer) => {
      said += chunk.toString();
      const url = /http:\/\/[\d.:]+/.exec(said)?.[0];
      if (url) resolve({ url, stop });
    };
    child.stdout.on('data', heard);
    child.stderr.on('data', heard);
    void ended.then(() => reject(new Error(`the server ended: ${said}`)));
  });
}
