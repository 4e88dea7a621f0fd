import sharp from 'sharp';
import { serverOn } from '../e2e/server';
import { created, inFolder, send, stored, titled } from './http';
import { hostileScans } from './hostileScans';
import { result, type Result } from './result';

/** What the server may be kept from anything else by one request, ms. */
export const MOST_HELD_MS = 50;

/**
 * Sends the requests that ask most of the server, one after the other, and reads after each how long its
 * thread was held at most. With a `part` of it all that is large is smaller: what is asked then is only what is answered.
 */
export function holds(part = 1): Promise<Result> {
  const times = (n: number) => Math.round(n * part);
  const [heavy, lists, prices, deep] = [heavyOf(times), listsOf(times), pricesOf(times), deepOf(times)];
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const { url } = server;
    const held: Record<string, number> = {};
    const wrong: string[] = [];
    const measure = async (name: string, work: () => Promise<Response>) => {
      await fetch(`${url}/api/health`);
      const answer = await work();
      await answer.arrayBuffer();
      const { heldMs } = (await (await fetch(`${url}/api/health`)).json()) as { heldMs: number };
      held[name] = heldMs;
      if (answer.status >= 500) wrong.push(`${name}: ${answer.status}`);
      if (heldMs > MOST_HELD_MS) wrong.push(`${name}: held for ${heldMs} ms`);
    };
    const id = await created(url, titled('warm'));
    await send('POST', `${url}/api/commissions/import`, JSON.stringify(titled('warm too')));
    for (const [name, document] of Object.entries(heavy)) {
      const text = JSON.stringify(document());
      await measure(`import: ${name}`, () => send('POST', `${url}/api/commissions/import`, text));
    }
    const large = await created(url, heavy['19 MB of words']());
    const { revision, document } = await stored(url, large);
    await measure('read 19 MB', () => fetch(`${url}/api/commissions/${large}`));
    await measure('save 19 MB', () => send('PUT', `${url}/api/commissions/${large}`, { revision, document }));
    await measure('save one word of 19 MB', () =>
      send('PATCH', `${url}/api/commissions/${large}`, {
        revision: revision + 1,
        changes: [{ path: ['title'], was: document.title, is: 'other words' }],
      }),
    );
    await measure('conflict over 19 MB', () =>
      send('PUT', `${url}/api/commissions/${large}`, { revision, document }),
    );
    await measure('export 19 MB', () => fetch(`${url}/api/commissions/${large}/file`));
    await measure('duplicate 19 MB', () => send('POST', `${url}/api/commissions/${large}/duplicate`));
    const heap = await created(url, heavy['300 blocks in one place']());
    await measure('take-off of 300 blocks', () => fetch(`${url}/api/commissions/${heap}/takeoff.csv`));
    await measure('calendar of 300 blocks', () => fetch(`${url}/api/commissions/${heap}/calendar.ics`));
    const file = await sharp({
      create: { width: times(6_000), height: times(4_000), channels: 3, background: '#567' },
    })
      .jpeg()
      .toBuffer();
    const sent = (n: number) =>
      fetch(`${url}/api/commissions/${id}/pictures?${n}`, {
        method: 'POST',
        body: new Uint8Array(file),
        headers: { 'Content-Type': 'application/octet-stream' },
      });
    await measure('eight pictures', async () => (await Promise.all([1, 2, 3, 4, 5, 6, 7, 8].map(sent)))[0]);
    for (const [name, text] of Object.entries(lists))
      await measure(`plants: ${name}`, () => send('POST', `${url}/api/studio/plants.csv`, text()));
    for (const [name, text] of Object.entries({ ...lists, ...prices }))
      await measure(`materials: ${name}`, () => send('POST', `${url}/api/studio/materials.csv`, text()));
    await measure('20,000 prices once more', () => send('POST', `${url}/api/studio/materials.csv`, prices['20,000 materials']())); // prettier-ignore
    await measure('materials as a list', () => fetch(`${url}/api/studio/materials.csv`));
    await measure('the studio with its plants', () => fetch(`${url}/api/studio`));
    await measure('plants as a list', () => fetch(`${url}/api/studio/plants.csv`));
    for (const [name, body] of Object.entries(deep))
      await measure(`change: ${name}`, () => send('PATCH', `${url}/api/commissions/${id}`, body()));
    for (const { name, bytes } of hostileScans(0.1 * part)) {
      const scan = bytes();
      await measure(`scan: ${name}`, () =>
        fetch(`${url}/api/studio/yard/scans?file=${encodeURIComponent(name)}`, {
          method: 'POST',
          body: scan,
        }),
      );
    }
    await measure('list', () => fetch(`${url}/api/commissions`));
    await measure('list by cost', () => fetch(`${url}/api/commissions?sort=cost&today=2027-01-01`));
    await measure('everything about a client', () => fetch(`${url}/api/clients/export?name=Large`));
    await measure('erase a client', () => send('POST', `${url}/api/clients/erase`, { name: 'Large' }));
    await server.stop();
    return result('longest hold of the event loop, ms', held, `at most ${MOST_HELD_MS} ms each`, wrong);
  });
}

const ring = (corners: number, r: number) =>
  Array.from({ length: corners }, (_, k) => {
    const [at, a] = [r + (k % 2) * 40, (k / corners) * 2 * Math.PI];
    return [300 + at * Math.cos(a), 150 + at * Math.sin(a)];
  });

/** Small files that ask for much, and large ones; some are refused by name, which must not take long either. */
const heavyOf = (times: (n: number) => number): Record<string, () => unknown> => ({
  '20 layers on 10 × 10 m': () => {
    const d = bare('large floor');
    const soil = d.options[0].bed[0];
    d.vessel = { ...d.vessel, innerMm: { length: 10_000, width: 10_000, height: 1_000 } };
    delete d.vessel.labelL;
    d.options[0].bed = Array.from({ length: 20 }, (_, i) => ({
      ...soil,
      id: `l${i}`,
      top: { kind: 'ramp', frontMm: 5 * i, backMm: 7 * i },
    })) as never;
    return d;
  },
  '300 blocks in one place': () => {
    const d = bare('heap');
    const { material } = titled('').options[0].pieces[0];
    d.options[0].pieces = Array.from({ length: times(300) }, (_, i) => ({
      id: `S-${i}`, material, shape: { kind: 'box', sizeMm: [300, 300, 300] }, at: [100 + i, 100], turnDeg: i, stand: { kind: 'at', zMm: i },
    })) as never; // prettier-ignore
    return d;
  },
  '5,000 shells in one mesh': () => {
    const d = bare('shells');
    const { material } = titled('').options[0].pieces[0];
    const [vertices, faces]: [number[][], number[][]] = [[], []];
    for (let i = 0; i < times(5_000); i++) {
      const [k, z] = [vertices.length, i * 0.05];
      vertices.push([0, 0, z], [200, 0, z], [0, 200, z], [10, 10, z + 0.04]);
      faces.push([k, k + 2, k + 1], [k, k + 1, k + 3], [k + 1, k + 2, k + 3], [k + 2, k, k + 3]);
    }
    d.options[0].pieces = [
      {
        id: 'S',
        material,
        shape: { kind: 'mesh', vertices, faces },
        at: [200, 150],
        turnDeg: 0,
        stand: { kind: 'at', zMm: 0 },
      },
    ] as never;
    return d;
  },
  '40 rings of 2,000 corners': () => {
    const d = bare('rings');
    const { plant } = titled('').options[0].plants[0];
    d.options[0].plants = Array.from({ length: 40 }, (_, i) => ({
      id: `p${i}`,
      plant,
      region: ring(times(2_000), 60),
      spacingMm: 30,
    })) as never;
    return d;
  },
  '200 plantings on 20 layers': () => {
    const d = heavyOf(times)['20 layers on 10 × 10 m']() as ReturnType<typeof bare>;
    const { plant } = titled('').options[0].plants[0];
    d.options[0].plants = Array.from({ length: times(200) }, (_, i) => ({ id: `p${i}`, plant, region: [[i, 0], [9_000, i], [9_000, 9_000], [i, 9_000]], spacingMm: 30 })) as never; // prettier-ignore
    return d;
  },
  '19 MB of words': () => {
    const d = bare('words');
    d.brief.client = { name: 'Large' };
    d.log = Array.from({ length: times(960) }, (_, i) => ({
      id: `l${i}`,
      date: '2026-11-25',
      text: 'a word or two '.repeat(1_400),
    }));
    return d;
  },
  'nested a hundred thousand deep': () => '['.repeat(100_000),
});

/** Lists of materials, as large as they may be. */
const pricesOf = (times: (n: number) => number): Record<string, () => string> => ({
  '20,000 materials': () =>
    `name,kind,notes\n${Array.from({ length: times(20_000) }, (_, i) => `Material ${i},stone,${'n'.repeat(300)}`).join('\n')}`,
  '60,000 packs of one': () =>
    `name,kind,size,unit,price,supplier\n${'M,soil,9,L,14,S\n'.repeat(times(60_000))}`,
});

/** Lists of plants: what is looked for in each line must take time in proportion to it, and many are written at once. */
const listsOf = (times: (n: number) => number): Record<string, () => string> => ({
  '40 kB of blanks': () => `name,height mm\nA,1${' '.repeat(40_000)}x\n`,
  '1 MB of blanks': () => `name,height mm\nA,1${' '.repeat(times(1_000_000))}x\n`,
  '1 MB of dashes': () => `name,height mm\nA,${'- '.repeat(times(500_000))}\n`,
  '1 MB of quotes': () => `name\n${'"'.repeat(times(1_000_000))}`,
  '1 MB of line ends': () => `name\n${'\n'.repeat(times(1_000_000))}`,
  '2,000 plants': () => `name,notes\n${Array.from({ length: times(2_000) }, (_, i) => `Planta ${i},${'a word '.repeat(60)}`).join('\n')}`,
}); // prettier-ignore

/** Changes that go far down, and three thousand that put in an entry of one id. */
const deepOf = (times: (n: number) => number): Record<string, () => string> => ({
  'nested 5,000 deep': () =>
    `{"revision":1,"changes":[{"path":["title"],"is":${'['.repeat(5_000)}${']'.repeat(5_000)}}]}`,
  'nested 400,000 deep': () => `{"revision":1,"changes":${'['.repeat(400_000)}${']'.repeat(400_000)}}`,
  'one id 3,000 times': () =>
    JSON.stringify({
      revision: 1,
      changes: Array.from({ length: times(3_000) }, (_, i) => ({
        path: ['log', { id: 'l' }],
        is: { id: 'l', date: '2026-11-25', text: `note ${i}` },
        after: null,
      })),
    }),
});

function bare(title: string) {
  const d = titled(title);
  d.options[0] = { ...d.options[0], pieces: [], joints: [], plants: [] };
  return d;
}
