import sharp from 'sharp';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { MAX_PICTURE_BYTES } from './pictures/picture';
import { testServer, type TestServer } from './testing';

let b: TestServer;
let id: string;
beforeAll(async () => {
  b = await testServer();
  id = (await request(b.app).post('/api/commissions').send(example('level-cube'))).body.id;
});
afterAll(() => b.close());

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8a7a60' } });
const send = (body: Buffer) =>
  request(b.app)
    .post(`/api/commissions/${id}/pictures`)
    .set('Content-Type', 'application/octet-stream')
    .send(body);
const kept = async (picture: string) =>
  (await request(b.app).get(`/api/commissions/${id}/pictures/${picture}`).buffer(true).expect(200))
    .body as Buffer;

describe('a picture', () => {
  it('is kept small, upright, and without where and by what it was taken', async () => {
    const from = await plain(3000, 1000)
      .withExif({
        IFD0: { Make: 'Made-up', Model: 'One' },
        IFD3: {
          GPSLatitudeRef: 'N',
          GPSLatitude: '51/1 30/1 0/1',
          GPSLongitudeRef: 'W',
          GPSLongitude: '0/1 7/1 0/1',
        },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(from).metadata()).exif).toBeDefined();
    const { body } = await send(from).expect(201);
    // On its side by its mark: 1000 × 3000 once upright.
    expect(body).toMatchObject({ widthPx: 533, heightPx: 1600 });
    const jpeg = await kept(body.id);
    const after = await sharp(jpeg).metadata();
    expect([after.format, after.width, after.height]).toEqual(['jpeg', 533, 1600]);
    expect([after.exif, after.iptc, after.xmp, after.orientation]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    expect(jpeg.includes('Made-up')).toBe(false);
  });

  it('is never made larger, and the same one is kept once', async () => {
    const png = await plain(320, 200).png().toBuffer();
    const [one, two] = [await send(png).expect(201), await send(png).expect(201)];
    expect(one.body).toMatchObject({ widthPx: 320, heightPx: 200 });
    expect(two.body.id).toBe(one.body.id);
  });

  it('that is none is refused with what is allowed; so is an empty or a huge one', async () => {
    const text = await send(Buffer.from('this is a shopping list')).expect(415);
    expect(text.body.title).toMatch(/no picture that can be read, must be a JPEG/);
    const broken = (await plain(400, 300).jpeg().toBuffer()).subarray(0, 500);
    await send(broken).expect(415);
    await send(Buffer.alloc(0)).expect(400);
    const huge = await send(Buffer.alloc(MAX_PICTURE_BYTES + 1)).expect(413);
    expect(huge.body.title).toBe('The picture is too large, must have at most 40 MB.');
    expect(huge.body.faults).toBeUndefined();
  });

  it('is none when it is a drawing, whatever its name, or has too many pixels', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="9" height="9"/></svg>';
    const drawn = await send(Buffer.from(svg)).expect(415);
    expect(drawn.body.title).toMatch(/must be a JPEG, PNG, WebP, AVIF, TIFF or GIF picture/);
    const grey = { raw: { width: 16_000, height: 8_000, channels: 1 } } as const;
    const bomb = await sharp(Buffer.alloc(16_000 * 8_000), grey)
      .png({ compressionLevel: 1 })
      .toBuffer();
    expect(bomb.length).toBeLessThan(MAX_PICTURE_BYTES);
    const refused = await send(bomb).expect(415);
    expect(refused.body.title).toContain('of at most 120 megapixels');
  });

  it('and many at once are worked on as many as fit, the others in turn', async () => {
    const file = await plain(7_000, 6_000).jpeg({ quality: 40 }).toBuffer();
    const before = process.memoryUsage().rss;
    let most = before;
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 10);
    const answers = await Promise.all(Array.from({ length: 8 }, () => send(file)));
    clearInterval(watch);
    expect(answers.map((a) => a.status)).toEqual(Array.from({ length: 8 }, () => 201));
    // Eight of 42 megapixels all together would take more than 2 GB.
    expect((most - before) / 1e6).toBeLessThan(1_200);
  });

  it('belongs to its commission, goes with a copy, and is not there elsewhere', async () => {
    const { body } = await send(await plain(64, 64).png().toBuffer()).expect(201);
    const copy = (await request(b.app).post(`/api/commissions/${id}/duplicate`).expect(201)).body.id;
    await request(b.app).get(`/api/commissions/${copy}/pictures/${body.id}`).expect(200);
    await request(b.app)
      .get(`/api/commissions/${id}/pictures/${'0'.repeat(32)}`)
      .expect(404);
    await request(b.app).post('/api/commissions/nowhere/pictures').send(Buffer.from('x')).expect(404);
  });
});
