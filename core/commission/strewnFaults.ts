import { say } from '../words/text';
import { fault, type Fault } from './fault';
import type { Catalogue, Option } from './schema';
import { STREWN_KINDS } from './strewnSchema';

/** What is strewn: of which kind it may be, how much of it was said, round what, and from the small to the large. */
export function strewnFaults({ materials }: Pick<Catalogue, 'materials'>, { strewn = [], pieces }: Option, at: string): Fault[] {
  const standing = new Set(pieces.map((p) => p.id));
  const kinds: readonly string[] = STREWN_KINDS;
  return strewn.flatMap(({ material, litres, massKg, sizeMm, around = [] }, i): Fault[] => {
    const path = `${at}.strewn[${i}]`;
    const kind = materials.find((m) => m.id === material)?.kind;
    const isStrewn = kind !== undefined && kinds.includes(kind);
    return [
      ...(isStrewn ? [] : [fault(`${path}.material`, 'fault.unknown.id', { id: material, allowed: say('id.of.strewn') })]), // prettier-ignore
      ...((litres === undefined) === (massKg === undefined) ? [fault(path, 'fault.strewn.amount')] : []),
      ...(sizeMm && sizeMm[0] > sizeMm[1] ? [fault(`${path}.sizeMm`, 'fault.strewn.size', { from: sizeMm[0], to: sizeMm[1] })] : []), // prettier-ignore
      ...around.flatMap((id, k) => (standing.has(id) ? [] : [fault(`${path}.around[${k}]`, 'fault.unknown.id', { id, allowed: say('id.of.entry', { thing: say('id.thing.piece'), where: `${at}.pieces` }) })])), // prettier-ignore
    ];
  });
} // prettier-ignore
