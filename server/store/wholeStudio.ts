import { createHash, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream, existsSync } from 'node:fs';
import { mkdir, mkdtemp, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { extract, pack } from 'tar-stream';
import { z } from 'zod';
import { restore, within } from './backups';
import { connect } from './connection';
import { DATABASE } from './folder';
import { journal } from './schema';

/*
 * The whole studio as one file, to be kept elsewhere or brought to another machine: the database and the scans, each with its
 * digest, as a tar that gzip packs. Written and read as a stream, whatever its size; nothing of a folder changes before all of a file
 * has been read and found whole. What belongs to a machine stays there: its secret, its certificates, its backups.
 */

const MESHES = 'meshes';
const LIST = 'studio.json';
const listSchema = z.object({
  of: z.literal('utsuwa studio'),
  version: z.literal(1),
  files: z.record(z.string().max(300), z.string().regex(/^[a-f0-9]{64}$/)),
});
/** What may stand in such a file. */
const KNOWN = new RegExp(`^(${DATABASE.replace('.', '\\.')}|${MESHES}/[\\w.-]{1,200})$`);

/** A file that holds no studio, or not all of one. */
class NoStudio extends Error {}

/** Bytes on their way, with a digest of them. */
function hashed(hash: Hash): Transform {
  return new Transform({
    transform(part: Buffer, _encoding, done) {
      hash.update(part);
      done(null, part);
    },
  });
}

interface Out {
  files: number;
  bytes: number;
  /** Whether the journal says so now: on a disk that only reads, or of an older Utsuwa, it cannot. */
  isNoted: boolean;
}

/**
 * Writes a studio into a file; saves go on meanwhile.
 *
 * @throws an Error where the file is there already or cannot be written
 */
export async function studioOut(folder: string, file: string): Promise<Out> {
  if (existsSync(file)) throw new Error(`${file} is there already: say another name.`);
  const unfinished = `${file}.part`;
  const copies = await mkdtemp(join(dirname(file), '.utsuwa-out-'));
  try {
    const database = join(copies, DATABASE);
    await within(join(folder, DATABASE), (source) => source.copyTo(database));
    const scans = (await readdir(join(folder, MESHES)).catch(() => [])).filter((name) => KNOWN.test(`${MESHES}/${name}`));
    const files = [[DATABASE, database], ...scans.map((name) => [`${MESHES}/${name}`, join(folder, MESHES, name)])];
    const tar = pack();
    const written = pipeline(tar, createGzip(), createWriteStream(unfinished, { mode: 0o600 }));
    const digests: Record<string, string> = {};
    for (const [name, path] of files) digests[name] = await into(tar, name, path);
    tar.entry({ name: LIST }, JSON.stringify({ of: 'utsuwa studio', version: 1, files: digests }));
    tar.finalize();
    await written;
    await rename(unfinished, file);
    const isNoted = await noted(join(folder, DATABASE)).then(() => true, () => false);
    return { files: files.length, bytes: (await stat(file)).size, isNoted };
  } finally {
    await rm(copies, { recursive: true, force: true });
    await rm(unfinished, { force: true });
  }
} // prettier-ignore

/** Has the journal say that all of it was taken out, beside a server that may be at work on it. */
async function noted(database: string): Promise<void> {
  const { writing, close } = connect(database);
  await writing.insert(journal).values({ what: 'studio-taken' }).finally(close);
}

/** Puts one file into the archive and returns its digest. */
async function into(tar: ReturnType<typeof pack>, name: string, path: string): Promise<string> {
  const hash = createHash('sha256');
  const { size } = await stat(path);
  await pipeline(createReadStream(path), hashed(hash), tar.entry({ name, size }));
  return hash.digest('hex');
}

/**
 * Puts the studio of a file in the place of a folder's; what was there is kept beside it and its place returned. The folder
 * must have been claimed.
 *
 * @throws an Error in words, with nothing changed, where the file is none of a studio, cut off or damaged
 */
export async function studioIn(folder: string, file: string, now = new Date()): Promise<string | undefined> {
  const staged = await mkdtemp(join(folder, '.incoming-'));
  try {
    await unpacked(file, staged);
    // Scans first: one that nothing names yet harms nobody. They go by the digest of what they hold.
    await mkdir(join(folder, MESHES), { recursive: true, mode: 0o700 });
    for (const name of await readdir(join(staged, MESHES)).catch(() => []))
      if (!existsSync(join(folder, MESHES, name))) await rename(join(staged, MESHES, name), join(folder, MESHES, name)); // prettier-ignore
    return await restore(folder, join(staged, DATABASE), now);
  } finally {
    await rm(staged, { recursive: true, force: true });
  }
}

/** Takes a file apart into a folder, and looks whether it is whole. */
async function unpacked(file: string, staged: string): Promise<void> {
  const none = (why: string) => new NoStudio(`${basename(file)} is not the file of a studio: ${why}. Nothing was changed.`);
  await mkdir(join(staged, MESHES));
  const digests: Record<string, string> = {};
  const entries = extract();
  const reading = pipeline(createReadStream(file), createGunzip(), entries);
  // Whoever reads the entries hears of it first.
  reading.catch(() => {});
  try {
    for await (const entry of entries) {
      const { name, type } = entry.header;
      if (name !== LIST && (type !== 'file' || !KNOWN.test(name))) throw none(`it has "${name.slice(0, 80)}"`);
      const hash = createHash('sha256');
      await pipeline(entry, hashed(hash), createWriteStream(join(staged, name), { mode: 0o600, flags: 'wx' }));
      if (name !== LIST) digests[name] = hash.digest('hex');
    }
    await reading;
  } catch (error) {
    if (error instanceof NoStudio) throw error;
    throw none(error instanceof Error && 'code' in error && error.code === 'EEXIST' ? 'it has a file twice' : 'it is cut off, damaged or something else');
  }
  const list = listSchema.safeParse(await readFile(join(staged, LIST), 'utf8').then(JSON.parse, () => undefined));
  if (!list.success) throw none('its list is missing');
  const named = Object.keys(list.data.files);
  const wrong = [...new Set([...named, ...Object.keys(digests)])].find((n) => list.data.files[n] !== digests[n]);
  if (wrong !== undefined || !digests[DATABASE]) throw none(`${wrong ?? DATABASE} is damaged or missing`);
} // prettier-ignore
