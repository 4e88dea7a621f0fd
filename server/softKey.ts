import {
  createHash,
  createHmac,
  createSign,
  generateKeyPairSync,
  randomBytes,
  type KeyObject,
} from 'node:crypto';

/*
 * A passkey without a device, for tests: what an authenticator answers, written out by hand after W3C WebAuthn level 2, 6.1 and
 * 6.5.1 (authenticator data, attested credential data) and RFC 9053, 7.1 (COSE keys).
 */

const hash = (data: string | Buffer) => createHash('sha256').update(data).digest();
const base64url = (data: Buffer) => data.toString('base64url');
/** Somebody was there (1) and showed who they are (4); a new key's data follows (64). */
const [SHOWN, NEW_KEY] = [0x05, 0x40];

const bytes = (data: Buffer) => Buffer.concat([Buffer.from(data.length < 256 ? [0x58, data.length] : [0x59, data.length >> 8, data.length & 255]), data]); // prettier-ignore
const words = (text: string) => Buffer.concat([Buffer.from([0x60 + text.length]), Buffer.from(text)]);

/** How an answer is changed to be a wrong one. */
export interface Twist {
  origin?: string;
  host?: string;
  /** Nobody showed who they are. */
  unseen?: boolean;
  counter?: number;
}

export function softKey() {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  const id = randomBytes(32);
  let counter = 0;
  const client = (type: string, challenge: string, origin: string) =>
    Buffer.from(JSON.stringify({ type, challenge, origin, crossOrigin: false }));
  const data = (host: string, flags: number, count: number, more = Buffer.alloc(0)) => {
    const n = Buffer.alloc(4);
    n.writeUInt32BE(count);
    return Buffer.concat([hash(host), Buffer.from([flags]), n, more]);
  };
  return {
    id: base64url(id),
    /** The answer to a question for a new key. */
    made(challenge: string, origin: string, twist: Twist = {}) {
      const about = client('webauthn.create', challenge, twist.origin ?? origin);
      const attested = Buffer.concat([Buffer.alloc(16), Buffer.from([0, id.length]), id, coseOf(publicKey)]);
      const auth = data(twist.host ?? new URL(origin).hostname, (twist.unseen ? 0x01 : SHOWN) | NEW_KEY, 0, attested);
      const object = Buffer.concat([Buffer.from([0xa3]), words('fmt'), words('none'), words('attStmt'), Buffer.from([0xa0]), words('authData'), bytes(auth)]);
      return { id: base64url(id), rawId: base64url(id), type: 'public-key' as const, clientExtensionResults: {}, response: { clientDataJSON: base64url(about), attestationObject: base64url(object) } };
    },
    /** The answer to a question who is there. */
    shown(challenge: string, origin: string, twist: Twist = {}) {
      const about = client('webauthn.get', challenge, twist.origin ?? origin);
      const auth = data(twist.host ?? new URL(origin).hostname, twist.unseen ? 0x01 : SHOWN, twist.counter ?? ++counter);
      const signature = createSign('sha256').update(Buffer.concat([auth, hash(about)])).sign(privateKey);
      return { id: base64url(id), rawId: base64url(id), type: 'public-key' as const, clientExtensionResults: {}, response: { clientDataJSON: base64url(about), authenticatorData: base64url(auth), signature: base64url(signature) } };
    },
  };
} // prettier-ignore

/** The public half: kind 2 (EC2), algorithm −7 (ES256), curve 1 (P-256), x and y. */
function coseOf(key: KeyObject): Buffer {
  const { x = '', y = '' } = key.export({ format: 'jwk' });
  const part = (text: string) => bytes(Buffer.from(text, 'base64url'));
  return Buffer.concat([Buffer.from([0xa5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21]), part(x), Buffer.from([0x22]), part(y)]); // prettier-ignore
}

/** RFC 6238 with the usual half minute, RFC 4226, 5.3: the code that an app shows. */
export function codeOf(secret: string, atMs = Date.now()): string {
  const key = Buffer.from([...secret.matchAll(/./g)].map(([c]) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0')).join('').match(/.{8}/g)!.map((b) => parseInt(b, 2))); // prettier-ignore
  const count = Buffer.alloc(8);
  count.writeBigUInt64BE(BigInt(Math.floor(atMs / 30_000)));
  const mac = createHmac('sha1', key).update(count).digest();
  const at = mac[19] & 15;
  return String((mac.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}
