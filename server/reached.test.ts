import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeCertificate } from './tls/certificate';
import { limitedServer } from './limits';
import { reachedAs } from './reached';

let folder: string;
let files: Awaited<ReturnType<typeof makeCertificate>>;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'utsuwa-tls-'));
  files = await makeCertificate(join(folder, 'tls'), ['studio.local', '127.0.0.1']);
});
afterAll(() => rm(folder, { recursive: true, force: true }));
const tls = () => `${files.cert},${files.key}`;

/** What a client says of it that trusts the studio's root alone: how it answered, or why it did not. */
const asked = (port: number, servername: string, ca = readFileSync(files.root, 'utf8')) =>
  new Promise<number | string>((resolve) => {
    get({ host: '127.0.0.1', port, servername, ca, headers: { host: servername } }, (res) => {
      res.resume();
      resolve(res.statusCode!);
    }).on('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message));
  });

describe('a certificate of the studio’s own', () => {
  it('is taken by who trusts its root, under its names alone; only its owner may read the key', async () => {
    const { cert, key } = (await reachedAs({ UTSUWA_TLS: tls() })).tls!;
    const server = limitedServer((_req, res) => void res.end('here'), { cert, key });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    expect(await asked(port, 'studio.local')).toBe(200);
    expect(await asked(port, 'another.local')).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
    const other = await makeCertificate(join(folder, 'other'), ['studio.local']);
    expect(await asked(port, 'studio.local', readFileSync(other.root, 'utf8'))).not.toBe(200);
    server.close();
    for (const file of [files.key, files.rootKey]) expect((await stat(file)).mode & 0o777).toBe(0o600);
  });

  it('is made again from the same root, so that tablets need no new one; names that are none are refused', async () => {
    const before = readFileSync(files.root, 'utf8');
    const [one, again] = [readFileSync(files.cert, 'utf8'), await makeCertificate(join(folder, 'tls'), ['studio.local'])]; // prettier-ignore
    expect(readFileSync(again.root, 'utf8')).toBe(before);
    expect(readFileSync(again.cert, 'utf8')).not.toBe(one);
    await expect(makeCertificate(folder, [])).rejects.toThrow('Say under which name');
    await expect(makeCertificate(folder, ['a b'])).rejects.toThrow('is no name');
  });
});

describe('where the server listens', () => {
  const wrong = (env: NodeJS.ProcessEnv, now?: Date) => expect(reachedAs(env, now)).rejects;
  const beyond = { HOST: '0.0.0.0', UTSUWA_URL: 'https://studio.local:4680/' };

  it('is this machine alone as long as nothing is said', async () => {
    expect(await reachedAs({})).toEqual({
      host: '127.0.0.1',
      proxies: [],
      isBeyond: false,
      isSecure: false,
      names: [],
    });
  });

  it('is beyond it over TLS, under the name that was said', async () => {
    expect(await reachedAs({ ...beyond, UTSUWA_TLS: tls() })).toMatchObject({
      host: '0.0.0.0', isBeyond: true, isSecure: true, names: ['studio.local:4680'], url: 'https://studio.local:4680/',
    }); // prettier-ignore
  });

  it('says which setting is wrong and what to do, not a stack', async () => {
    await wrong(beyond).toThrow('passwords go there only over TLS');
    await wrong({ HOST: '0.0.0.0', UTSUWA_TLS: tls() }).toThrow('UTSUWA_URL: say under which address');
    await wrong({ ...beyond, UTSUWA_TLS: tls(), UTSUWA_URL: 'http://studio.local/' }).toThrow('must be an address like https://'); // prettier-ignore
    await wrong({ UTSUWA_TLS: 'one.pem' }).toThrow('must be two files');
    await wrong({ UTSUWA_TLS: `${folder}/none.pem,${files.key}` }).toThrow('is not there');
    await wrong({ UTSUWA_TLS: `${files.key},${files.key}` }).toThrow('is no certificate');
    await wrong({ UTSUWA_TLS: `${files.cert},${files.rootKey}` }).toThrow('is not the key of');
    await writeFile(join(folder, 'x.pem'), 'x');
    await wrong({ UTSUWA_TLS: `${files.cert},${folder}/x.pem` }).toThrow('is not the key of');
  });

  it('says that a certificate has ended, or begins only later where the clock jumped', async () => {
    const inDays = (n: number) => new Date(Date.now() + n * 86_400_000);
    await wrong({ UTSUWA_TLS: tls() }, inDays(400)).toThrow(/ended on \d{4}-\d\d-\d\d: get a new one/);
    await wrong({ UTSUWA_TLS: tls() }, inDays(-30)).toThrow('clock right');
    expect((await reachedAs({ UTSUWA_TLS: tls() }, inDays(395))).isSecure).toBe(true);
  });
});
