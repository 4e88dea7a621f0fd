import { X509Certificate } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { isIP } from 'node:net';

/*
 * Where the server listens and under which names it answers, as the machine's settings say. HOST is the address; UTSUWA_URL what
 * tablets and links use; UTSUWA_TLS=cert.pem,key.pem has it speak TLS, UTSUWA_PROXY names who does it in its place.
 */

export interface Certificate {
  cert: string;
  key: string;
}

export interface Reached {
  host: string;
  /** Addresses of what stands before it: host, scheme and caller are believed from there alone. */
  proxies: string[];
  /** Other machines reach it. */
  isBeyond: boolean;
  tls?: Certificate;
  isSecure: boolean;
  /** Names besides this machine's own, with their port where it is not the usual one. */
  names: string[];
  url?: string;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

/**
 * What the settings come to.
 *
 * @throws an Error that says which setting is wrong and what to do
 */
export async function reachedAs(
  { HOST: host = '127.0.0.1', UTSUWA_URL: url, UTSUWA_TLS: files, UTSUWA_PROXY: before }: NodeJS.ProcessEnv,
  now = new Date(),
): Promise<Reached> {
  const proxies = before ? addresses(before) : [];
  const isBeyond = !LOOPBACK.includes(host) || proxies.length > 0;
  const tls = files ? await certificate(files, now) : undefined;
  if (isBeyond && !tls && proxies.length === 0)
    throw new Error(
      `HOST: is "${host}", which other machines reach: passwords go there only over TLS. Set UTSUWA_TLS=cert.pem,key.pem, put a proxy before it (UTSUWA_PROXY), or leave HOST out.`,
    );
  if (isBeyond && !url)
    throw new Error('UTSUWA_URL: say under which address tablets reach this machine, like https://studio.local:4680/.'); // prettier-ignore
  const address = url ? addressOf(url, tls !== undefined || proxies.length > 0) : undefined;
  return {
    host,
    isBeyond,
    proxies,
    isSecure: tls !== undefined || proxies.length > 0,
    names: address ? [address.host] : [],
    ...(tls ? { tls } : {}),
    ...(address ? { url: address.href } : {}),
  };
}

/** Addresses, or spans of them, as `127.0.0.1, 10.0.0.0/8`. */
function addresses(text: string): string[] {
  const all = text.split(',').map((a) => a.trim());
  const isOne = (a: string) => isIP(a.replace(/\/\d{1,3}$/, '')) > 0;
  if (!all.every(isOne))
    throw new Error(
      `UTSUWA_PROXY: is "${text}", must be the address of the proxy before this server, like 127.0.0.1.`,
    );
  return all;
}

function addressOf(text: string, isSecure: boolean): URL {
  const url = URL.canParse(text) ? new URL(text) : undefined;
  const scheme = isSecure ? 'https:' : 'http:';
  if (!url || url.protocol !== scheme || url.pathname !== '/' || url.search || url.hash)
    throw new Error(`UTSUWA_URL: is "${text}", must be an address like ${scheme}//studio.local:4680/ without anything behind it.`); // prettier-ignore
  return url;
}

/** A certificate and its key, looked at before anybody is told that the server is ready. */
async function certificate(files: string, now: Date): Promise<Certificate> {
  const [certFile, keyFile, ...more] = files.split(',').map((f) => f.trim());
  if (!certFile || !keyFile || more.length > 0)
    throw new Error(`UTSUWA_TLS: is "${files}", must be two files: cert.pem,key.pem`);
  const [cert, key] = await Promise.all([certFile, keyFile].map((file) => text(file)));
  let known: X509Certificate;
  try {
    known = new X509Certificate(cert);
  } catch {
    throw new Error(`UTSUWA_TLS: ${certFile} is no certificate in PEM.`);
  }
  const until = new Date(known.validTo);
  if (until < now)
    throw new Error(`UTSUWA_TLS: the certificate ${certFile} ended on ${until.toISOString().slice(0, 10)}: get a new one, no browser takes it.`); // prettier-ignore
  if (new Date(known.validFrom) > now)
    throw new Error(`UTSUWA_TLS: the certificate ${certFile} begins only on ${new Date(known.validFrom).toISOString().slice(0, 10)}: is this machine’s clock right?`); // prettier-ignore
  try {
    const { createPrivateKey } = await import('node:crypto');
    if (!known.checkPrivateKey(createPrivateKey(key))) throw new Error('another');
  } catch {
    throw new Error(`UTSUWA_TLS: ${keyFile} is not the key of ${certFile}.`);
  }
  return { cert, key };
}

const text = (file: string) =>
  readFile(file, 'utf8').catch(() => {
    throw new Error(`UTSUWA_TLS: ${file} is not there, or nobody may read it.`);
  });
