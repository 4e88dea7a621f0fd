import { spawn, type ChildProcess } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeCertificate } from '../server/tls/certificate';
import { openBrowser } from './browser';
import { onPage } from './page';
import { fillDemo, serverOn, type Running } from './server';

/* Behind nginx, which speaks TLS: signed in, saved, heard of by another page, sent as a picture. Only where Debian's nginx is installed. */

const NGINX = '/usr/sbin/nginx';
const NAME = 'studio.example';
let folder: string;
let server: Running;
let nginx: ChildProcess;
let port: number;
let cert: string;

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, () => {
      const { port: free } = probe.address() as { port: number };
      probe.close(() => resolve(free));
    });
  });

/** The settings of docs/hosting.md, with the folders of a test. */
const settings = (
  to: number,
  key: string,
) => `${process.getuid?.() === 0 ? 'user root; ' : ''}daemon off; pid ${folder}/nginx.pid; error_log stderr crit;
events {}
http {
  access_log off; client_body_temp_path ${folder}/body; proxy_temp_path ${folder}/proxy;
  fastcgi_temp_path ${folder}/f; uwsgi_temp_path ${folder}/u; scgi_temp_path ${folder}/s;
  server {
    listen 127.0.0.1:${port} ssl; server_name ${NAME};
    ssl_certificate ${cert}; ssl_certificate_key ${key};
    client_max_body_size 64m;
    location / {
      proxy_pass http://127.0.0.1:${to};
      proxy_http_version 1.1;
      proxy_set_header Host $http_host;
      proxy_set_header X-Forwarded-Host $http_host;
      proxy_set_header X-Forwarded-Proto $scheme;
      proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
      proxy_set_header Connection "";
      proxy_read_timeout 300s;
    }
  }
}`;

describe.skipIf(!existsSync(NGINX))('behind nginx', () => {
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'utsuwa-proxy-'));
    const data = join(folder, 'data');
    await mkdir(data);
    fillDemo(data, '--people');
    const files = await makeCertificate(join(folder, 'tls'), [NAME]);
    cert = files.cert;
    const inner = await freePort();
    port = await freePort();
    const env = { PORT: String(inner), UTSUWA_URL: `https://${NAME}:${port}/`, UTSUWA_PROXY: '127.0.0.1' };
    server = await serverOn(data, env);
    await writeFile(join(folder, 'nginx.conf'), settings(inner, files.key));
    nginx = spawn(NGINX, ['-c', join(folder, 'nginx.conf'), '-p', folder], { stdio: 'ignore' });
  });
  afterAll(async () => {
    nginx?.kill();
    await server?.stop();
    await rm(folder, { recursive: true, force: true });
  });

  it('people sign in, save, hear of each other and send a picture, all over its TLS', async () => {
    const { publicKey } = new X509Certificate(readFileSync(cert));
    const pin = createHash('sha256').update(publicKey.export({ type: 'spki', format: 'der' })).digest('base64'); // prettier-ignore
    const browser = await openBrowser({}, { also: ['--host-resolver-rules=MAP studio.example 127.0.0.1', `--ignore-certificate-errors-spki-list=${pin}`] }); // prettier-ignore
    const device = async (email: string) => {
      const page = await (await browser.createBrowserContext()).newPage();
      const at = onPage(page, server.url);
      await at.load('/c/demo-valley/log');
      await page.waitForSelector('[data-test="sign-in-email"]');
      await page.type('[data-test="sign-in-email"]', `${email}@fenwick.example`);
      await page.type('[data-test="sign-in-password"]', 'slow river over slate');
      await at.press('[data-test="door-go"]');
      await page.waitForSelector('[data-test="note"]');
      return { page, at };
    };
    try {
      const [tom, jo] = [await device('tom'), await device('jo')];
      expect(await tom.page.evaluate(() => window.isSecureContext)).toBe(true);
      await tom.at.until('[data-test="others"]', (w) => w.includes('Jo Alder'));
      await jo.at.type('[data-test="note"]', 'The lift is out of order.');
      await jo.page.click('[data-test="add-note"]');
      await tom.at.until('ol', (w) => w.includes('The lift is out of order'));
      const sent = await jo.page.evaluate(async () => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 900, height: 600 });
        canvas.getContext('2d')!.fillRect(10, 10, 500, 300);
        const blob = await new Promise<Blob>((done) => canvas.toBlob((found) => done(found!), 'image/png'));
        return (await fetch('/api/commissions/demo-valley/pictures', { method: 'POST', body: blob })).status;
      });
      expect(sent).toBe(201);
    } finally {
      await browser.close();
    }
  });
});
