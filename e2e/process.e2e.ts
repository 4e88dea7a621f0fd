import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { utsuwa } from '../cli/commands';
import { example } from '../core/testing/scape';
import { hasEngine } from '../server/store/replica/engine';

const root = join(import.meta.dirname, '..');
const folders: string[] = [];
afterAll(() => Promise.all(folders.map((f) => rm(f, { recursive: true, force: true }))));

interface Running {
  child: ChildProcess;
  url: string;
  ended: Promise<number | null>;
}

async function folder(): Promise<string> {
  const made = await mkdtemp(join(tmpdir(), 'utsuwa-main-'));
  folders.push(made);
  return made;
}

/** Starts the server as it was built, as a process of its own and waits for the line that says where it is. */
function start(data: string, env: Record<string, string> = {}): Promise<Running> {
  const child = spawn(process.execPath, [join(root, 'dist', 'node', 'server', 'main.js')], {
    cwd: root,
    env: { ...process.env, UTSUWA_DATA: data, PORT: '0', ...env },
  });
  const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
  return new Promise((resolve, reject) => {
    let said = '';
    const heard = (chunk: Buffer) => {
      said += chunk.toString();
      const url = /http:\/\/[\d.:]+/.exec(said)?.[0];
      if (url) resolve({ child, url, ended });
    };
    child.stdout.on('data', heard);
    child.stderr.on('data', heard);
    void ended.then((code) => reject(new Error(`ended with ${code}: ${said}`)));
  });
}

const soon = () => new Promise((resolve) => setTimeout(resolve, 50));
const json = (url: string, method: string, body: unknown) =>
  fetch(url, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });

describe('the server as a process', () => {
  it('loses no confirmed save when it is killed in the middle of saving', async () => {
    const data = await folder();
    const first = await start(data);
    const { id } = await (await json(`${first.url}/api/commissions`, 'POST', example('held-root'))).json();
    let confirmed = 1;
    const killer = setTimeout(() => first.child.kill('SIGKILL'), 700);
    try {
      for (;;) {
        const document = { ...example('held-root'), title: `edit ${confirmed}` };
        const answer = await json(`${first.url}/api/commissions/${id}`, 'PUT', {
          revision: confirmed,
          document,
        });
        expect(answer.status).toBe(200);
        confirmed = (await answer.json()).revision;
      }
    } catch (error) {
      // The connection broke: the process is gone.
      if (!(error instanceof TypeError)) throw error;
    }
    clearTimeout(killer);
    await first.ended;
    expect(confirmed).toBeGreaterThan(3);
    const second = await start(data);
    const stored = await (await fetch(`${second.url}/api/commissions/${id}`)).json();
    // The last save may have arrived without its answer getting back; no confirmed one may be missing.
    expect([confirmed, confirmed + 1]).toContain(stored.revision);
    expect(stored.document.title).toBe(`edit ${stored.revision - 1}`);
    second.child.kill('SIGTERM');
    expect(await second.ended).toBe(0);
  });

  it.runIf(hasEngine())(
    'comes back from its replica on another folder when the machine is gone, as it was last and at a time',
    async () => {
      const [data, replica, fresh] = await Promise.all([folder(), folder(), folder()]);
      const first = await start(data, { UTSUWA_REPLICA: replica });
      const followed = async (since: string) => {
        while (((await (await fetch(`${first.url}/api/studio/kept`)).json()).replica.lastAt ?? '') <= since) await soon(); // prettier-ignore
        return new Date().toISOString();
      };
      let since = new Date().toISOString();
      const { id } = await (await json(`${first.url}/api/commissions`, 'POST', example('held-root'))).json();
      const then = (since = await followed(since));
      const document = { ...example('held-root'), title: 'after that' };
      expect((await json(`${first.url}/api/commissions/${id}`, 'PUT', { revision: 1, document })).status).toBe(200); // prettier-ignore
      await followed(since);
      first.child.kill('SIGKILL');
      await first.ended;
      await rm(data, { recursive: true, force: true, maxRetries: 5 });
      const titleAfter = async (...words: string[]) => {
        const restored = spawnSync(process.execPath, [join(root, 'dist', 'node', 'server', 'restore.js'), '--from', replica, ...words], { env: { ...process.env, UTSUWA_DATA: fresh }, encoding: 'utf8' }); // prettier-ignore
        expect(restored.stdout).toContain(`is in place in ${fresh}`);
        const again = await start(fresh);
        const { document } = await (await fetch(`${again.url}/api/commissions/${id}`)).json();
        again.child.kill('SIGKILL');
        await again.ended;
        return document.title as string;
      };
      expect(await titleAfter()).toBe('after that');
      expect(await titleAfter('--at', then)).toBe(example('held-root').title);
    },
  );

  it('takes the next port when its own is taken, and ends cleanly on Ctrl-C', async () => {
    const taken = createServer().listen(0, '127.0.0.1');
    await new Promise((resolve) => taken.once('listening', resolve));
    const { port } = taken.address() as { port: number };
    const running = await start(await folder(), { PORT: String(port) });
    expect(Number(new URL(running.url).port)).toBeGreaterThan(port);
    running.child.kill('SIGINT');
    expect(await running.ended).toBe(0);
    taken.close();
  });

  it('listens on no address but this machine’s own, and says why', async () => {
    await expect(start(await folder(), { HOST: '0.0.0.0' })).rejects.toThrow(
      /HOST: is "0\.0\.0\.0", which other machines reach: passwords go there only over TLS/,
    );
    await expect(start(await folder(), { PORT: 'high' })).rejects.toThrow(
      /PORT: is "high", must be a whole number/,
    );
  });
});

describe('the terminal as a process', () => {
  it.each([
    ['care', 'demo/held-root.json', '--today', '2026-12-01'],
    ['takeoff', 'package.json'],
  ])('ends, answers and says what the command does: %s %s', async (...words) => {
    let [out, say] = ['', ''];
    const status = await utsuwa(words, { out: (text) => (out += text), say: (text) => (say += text) });
    const program = spawnSync(process.execPath, ['--import', 'tsx', 'cli/utsuwa.ts', ...words], { cwd: root, encoding: 'utf8' }); // prettier-ignore
    expect([program.status, program.stdout, program.stderr]).toEqual([status, out, say]);
  });
});
