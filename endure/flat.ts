import { scanned } from '../core/testing/scanned';
import { solidMesh } from '../core/hardscape/solid';
import { serverOn } from '../e2e/server';
import { created, inFolder, titled } from './http';
import { grown, MOST_MORE_MB } from './grown';
import { result, type Result } from './result';

/** So many scans taken in, commissions made and plans asked for, and what the server has of the machine's memory meanwhile. */
export function flat(scans: number, commissions: number, plans: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const { url, child } = server;
    const wrong: string[] = [];
    const figures: Record<string, number> = {};
    const during = async (what: string, many: number, work: (n: number) => Promise<unknown>) => {
      const { atEnd, more } = await grown(child.pid!, many, work);
      figures[`${many} ${what}, MB`] = atEnd;
      figures[`${what}, more MB`] = more;
      if (more > MOST_MORE_MB) wrong.push(`${what}: ${more} MB more, ${atEnd} MB`);
    };
    try {
      await during('scans', scans, async (n) => {
        const answer = await fetch(`${url}/api/studio/yard/scans?file=s.stl`, {
          method: 'POST',
          body: stl(n),
        });
        await answer.arrayBuffer();
        if (answer.status !== 201) wrong.push(`scan: ${answer.status}`);
      });
      await during('commissions', commissions, (n) => created(url, titled(`number ${n}`)));
      const id = await created(url, titled('planned'));
      await during('plans', plans, async () => {
        const answer = await fetch(`${url}/api/commissions/${id}/takeoff.csv`);
        await answer.arrayBuffer();
        if (answer.status !== 200) wrong.push(`plan: ${answer.status}`);
      });
    } finally {
      await server.stop('SIGKILL');
    }
    return result('memory over many', figures, `at most ${MOST_MORE_MB} MB more in the last third`, wrong);
  });
}

/** A stone of its own for each number, as binary STL. */
function stl(n: number): Uint8Array<ArrayBuffer> {
  const { vertices, faces } = solidMesh(scanned(800, 80 + (n % 400) * 0.5));
  const bytes = new Uint8Array(84 + (faces.length / 3) * 50);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, faces.length / 3, true);
  for (let f = 0, at = 84; f < faces.length; f += 3, at += 50)
    for (let k = 0; k < 9; k++)
      view.setFloat32(at + 12 + k * 4, vertices[faces[f + Math.floor(k / 3)] * 3 + (k % 3)], true);
  return bytes;
}
