import { createHash, randomBytes } from 'node:crypto';

/* What a link is opened with: an invitation, a proposal. It is given once; kept is its hash. */

/** 160 bits (OWASP ASVS 4.0.3, 3.2.2 asks for 64). */
const SECRET_BYTES = 20;

/** A fresh secret, in letters that an address takes as they are, and what is kept of it. */
export function newSecret(): { secret: string; hash: string } {
  const secret = randomBytes(SECRET_BYTES).toString('base64url');
  return { secret, hash: hashOf(secret) };
}

/** The hash of a secret as it was pasted out of a message, with whatever stands behind it. */
export function hashOf(pasted: string): string {
  const secret = /^[\w-]+/.exec(pasted.trim())?.[0] ?? '';
  return createHash('sha256').update(secret).digest('hex');
}
