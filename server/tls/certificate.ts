import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';
import { ownFile } from '../store/folder';

/* The studio's own certificate for a name in its own network, signed by a root of its own that tablets are told to trust once. */

const DAY_MS = 86_400_000;
/** Browsers take no longer ones: Apple has 398 days for what is issued from September 2020 on (support.apple.com/102028, from memory). */
export const SERVER_DAYS = 397;
const ROOT_DAYS = 3_650;

/** Where certificates lie, and under which names. */
export const FILES = { root: 'root.pem', rootKey: 'root-key.pem', cert: 'cert.pem', key: 'key.pem' } as const;
type Kept = Record<keyof typeof FILES, string>;

/**
 * A certificate for some names and addresses in `folder`, from the root that lies there, or a new one. Files are readable by
 * their owner alone. Returns where they are.
 *
 * @throws an Error in words where a name is none
 */
export async function makeCertificate(
  folder: string,
  names: readonly string[],
  now = new Date(),
): Promise<Kept> {
  const wrong = names.find((n) => !isIP(n) && !/^(?!-)[a-z0-9-]{1,63}(\.[a-z0-9-]{1,63})*$/i.test(n));
  if (names.length === 0 || wrong !== undefined)
    throw new Error(
      `Say under which name tablets reach this machine: npm run certificate -- studio.local 192.168.1.20${wrong ? `; “${wrong}” is no name` : ''}.`,
    );
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const files = Object.fromEntries(Object.entries(FILES).map(([k, name]) => [k, join(folder, name)])) as Kept;
  const root = (await rootIn(files, now)) ?? (await newRoot(files, now));
  const altNames = names.map((n) => (isIP(n) ? ({ type: 7, ip: n } as const) : ({ type: 2, value: n } as const))); // prettier-ignore
  const made = await generate([{ name: 'commonName', value: names[0] }], {
    keyType: 'ec',
    algorithm: 'sha256',
    ca: { key: root.key, cert: root.cert },
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + (SERVER_DAYS - 1) * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames },
    ],
  });
  // Older ones are written over: what is served is one file.
  await Promise.all([put(files.cert, `${made.cert}\n${root.cert}`), put(files.key, made.private)]);
  return files;
}

interface Root {
  cert: string;
  key: string;
}

/** The root that tablets trust already, as long as it outlives what it signs. */
async function rootIn(files: Kept, now: Date): Promise<Root | undefined> {
  try {
    const [cert, key] = await Promise.all([readFile(files.root, 'utf8'), readFile(files.rootKey, 'utf8')]);
    const until = new Date(new X509Certificate(cert).validTo).getTime();
    return until > now.getTime() + SERVER_DAYS * DAY_MS ? { cert, key } : undefined;
  } catch {
    return undefined;
  }
}

async function newRoot(files: Kept, now: Date): Promise<Root> {
  const made = await generate([{ name: 'commonName', value: 'Utsuwa, this studio' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + ROOT_DAYS * DAY_MS),
    extensions: [
      // It signs this studio's server and nothing that signs further.
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  await Promise.all([put(files.root, made.cert), put(files.rootKey, made.private)]);
  return { cert: made.cert, key: made.private };
}

async function put(file: string, text: string): Promise<void> {
  await ownFile(file);
  await writeFile(file, text);
}
