import { materialOf } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import { reposeOf } from '../substrate/repose';
import type { Survey } from '../survey/survey';

/** So much of a heap may lie over an edge before it is said, share: the columns it is read by are that coarse. */
const EDGE_SHARE = 0.04;

/** Heaps on pieces that do not stay there: over an edge, or steeper than their grain holds. */
export function pocketFindings(commission: Resolved, { pockets }: Survey): Finding[] {
  return pockets.flatMap((p): Finding[] => {
    const material = materialOf(commission, p.material);
    const holds = reposeOf(material);
    const found: Finding[] = [];
    if (p.overEdge > EDGE_SHARE)
      found.push({
        id: 'pocket.edge',
        severity: 'warn',
        at: { piece: p.on },
        measured: rounded(p.overEdge * 100, 0),
        limit: 0,
        unit: '%',
        says: say('pocket.edge.says', { percent: rounded(p.overEdge * 100, 0), piece: p.on }), // prettier-ignore
        because: say('pocket.edge.because'),
        source: say('source.drawing'),
      });
    if (p.slopeDeg > holds + 0.5)
      found.push({
        id: 'pocket.steep',
        severity: 'warn',
        at: { piece: p.on },
        measured: rounded(p.slopeDeg, 0),
        limit: holds,
        unit: '°',
        says: say('pocket.steep.says', { material: material.name, piece: p.on, slope: rounded(p.slopeDeg, 0), holds }), // prettier-ignore
        because: say('pocket.steep.because'),
        source: PRACTICE,
      });
    return found;
  });
}
