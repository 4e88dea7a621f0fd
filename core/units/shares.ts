/** Shares are told apart to a millionth. */
const MILLION = 1_000_000n;

/**
 * A share of an amount in minor units, whole, half a unit up: exact, whatever binary fractions make of a per cent.
 * 17.5 % of 10.05 are 1.75875, which is 1.76. Valid for shares of six places.
 */
export function shareOfMinor(minor: number, share: number): number {
  const millionths = BigInt(Math.round(share * Number(MILLION)));
  const product = BigInt(minor) * millionths;
  const half = MILLION / 2n;
  const down = (n: bigint) => (n >= 0n ? n / MILLION : -((-n + MILLION - 1n) / MILLION));
  return Number(down(product + half));
}

/** What has to be added so that an amount is a multiple of a step; nothing without one. */
export function toNext(minor: number, stepMinor: number | undefined): number {
  if (!stepMinor) return 0;
  const over = ((minor % stepMinor) + stepMinor) % stepMinor;
  return over === 0 ? 0 : stepMinor - over;
}
