import { readdir } from 'node:fs/promises';
import { request as ask } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { incomingFolder } from './incoming';
import { limitedServer } from './limits';
import { testServer, type TestServer } from './testing';

let b: TestServer;
beforeAll(async () => void (b = await testServer()));
afterAll(() => b.close());
const filesIn = () => readdir(incomingFolder(b.folder)).catch(() => [] as string[]);

async function listening() {
  const server = limitedServer(b.app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { server, port: (server.address() as AddressInfo).port };
}

describe('the body of a request', () => {
  it('that is large goes through a file, which is gone once it is answered', async () => {
    const large = { ...example('level-cube'), notes: 'x'.repeat(300_000) };
    const { body } = await request(b.app).post('/api/commissions').send(large).expect(201);
    const { body: stored } = await request(b.app).get(`/api/commissions/${body.id}`).expect(200);
    expect(stored.document.notes).toHaveLength(300_000);
    // Whoever sent it has the answer a moment before.
    await expect.poll(filesIn).toEqual([]);
  });

  it('that is too large is refused before it has come in, and leaves nothing', async () => {
    const { server, port } = await listening();
    // Without saying how much there will be.
    const status = await new Promise<number | undefined>((resolve, reject) => {
      const options = { port, method: 'POST', path: '/api/studio/plants.csv' };
      const sent = ask(options, (res) => resolve(res.resume().statusCode)).on('error', reject);
      sent.write(Buffer.alloc(700_000));
      sent.end(Buffer.alloc(700_000));
    });
    server.closeAllConnections();
    server.close();
    expect(status).toBe(413);
    const large = await request(b.app).post('/api/studio/plants.csv').send('x'.repeat(1_200_000)).expect(413);
    expect(large.body.title).toMatch(/must have at most 1 MB/);
    // The first hears of it while it is still being sent.
    await expect.poll(filesIn).toEqual([]);
  });

  it('that is compressed is refused: nobody may send more than is counted', async () => {
    await request(b.app)
      .post('/api/commissions')
      .set('Content-Encoding', 'gzip')
      .send(gzipSync(JSON.stringify(example('level-cube'))))
      .expect(415);
  });

  it('that is cut off changes nothing and leaves nothing', async () => {
    const { server, port } = await listening();
    const before = (await request(b.app).get('/api/commissions')).body.total;
    await new Promise<void>((resolve) => {
      const cut = ask({ port, method: 'POST', path: '/api/commissions/import', headers: { 'Content-Length': '900000' } }); // prettier-ignore
      cut.on('error', () => resolve());
      cut.write(Buffer.alloc(400_000), () => cut.destroy());
    });
    await new Promise((resolve) => server.close(resolve));
    expect((await request(b.app).get('/api/commissions')).body.total).toBe(before);
    await expect.poll(filesIn).toEqual([]);
  });
});

describe('connections', () => {
  it('are as many as may be, and those that say nothing are looked after', async () => {
    const { server, port } = await listening();
    expect(server.maxConnections).toBeLessThanOrEqual(256);
    expect(server.headersTimeout).toBeLessThanOrEqual(10_000);
    server.maxConnections = 1;
    const first = connect(port, '127.0.0.1');
    await new Promise((resolve) => first.once('connect', resolve));
    await new Promise((resolve) => server.getConnections(resolve));
    const second = connect(port, '127.0.0.1').resume();
    await new Promise((resolve) => second.once('close', resolve));
    first.destroy();
    await new Promise((resolve) => server.close(resolve));
  });
});
