import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { built, root } from '../scripts/ready.mjs';
import { fillDemo, serverOn } from './server';

/** Before the first file: what is driven is built from the sources as they are, and the demo's data made once. */
export default async function setup(): Promise<() => Promise<void>> {
  await built();
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-filled-'));
  fillDemo(folder);
  await lookedThrough(folder);
  process.env.UTSUWA_DEMO_DATA = folder;
  // Stores that a test opens itself take their threads as built.
  process.env.UTSUWA_BUILT = join(root, 'dist', 'node');
  return () => rm(folder, { recursive: true, force: true });
}

/** Every commission looked at once, as on any folder in use: no copy of it has to plan them all anew for its list. */
async function lookedThrough(folder: string): Promise<void> {
  const server = await serverOn(folder);
  const { commissions } = (await (await fetch(`${server.url}/api/commissions`)).json()) as { commissions: { id: string }[] }; // prettier-ignore
  const today = new Date().toLocaleDateString('sv');
  for (const { id } of commissions)
    await (await fetch(`${server.url}/api/commissions/${id}/glance?today=${today}`)).arrayBuffer();
  await server.stop();
}
