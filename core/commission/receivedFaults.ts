import { fault, type Fault } from './fault';
import type { Commission } from './schema';

/** Lines that were counted twice, and more broken or dead than came; a parcel of which two things are said. */
export function receivedFaults({ received = [], parcels = [] }: Commission): Fault[] {
  const seen = new Set<string>();
  const twice = parcels.flatMap(({ reference }, i): Fault[] => {
    const isFirst = parcels.findIndex((p) => p.reference === reference) === i;
    return isFirst ? [] : [fault(`parcels[${i}].reference`, 'fault.parcel.twice', { reference })];
  });
  const counted = received.flatMap(({ reference, item, pack, came, broken = 0, dead = 0 }, i): Fault[] => {
    const key = JSON.stringify([reference, item, pack]);
    if (seen.has(key)) return [fault(`received[${i}].item`, 'fault.received.twice', { item })];
    seen.add(key);
    if (broken + dead <= came) return [];
    return [fault(`received[${i}].came`, 'fault.received.more', { came, lost: broken + dead })];
  });
  return [...twice, ...counted];
}
