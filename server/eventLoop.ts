import { monitorEventLoopDelay } from 'node:perf_hooks';

/** How often the clock asks whether it is its turn, ms; what it waits beyond that is a hold. */
const EVERY_MS = 5;
const delays = monitorEventLoopDelay({ resolution: EVERY_MS });
delays.enable();

/** For how long something kept the server's thread from anything else at most, ms, since this was last asked. */
export function longestHoldMs(): number {
  const ms = Math.max(0, delays.max / 1e6 - EVERY_MS);
  delays.reset();
  return Math.round(ms * 10) / 10;
}
