import { plantingOf, type Resolved } from '../resolved/resolved';
import { packsOf } from '../planting/packs';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { say } from '../words/text';
import type { Survey } from '../survey/survey';

/** Plantings for which the packs at hand do not suffice: a part of the hill stays bare, and nobody may overlook it. */
export function shortFindings(commission: Resolved, { plantings }: Survey): Finding[] {
  const option = commission.option;
  return option.plants.flatMap((planting, i): Finding[] => {
    if (planting.packs === undefined) return [];
    const { plant: entry, origin } = plantingOf(commission, planting.id);
    const { plugs, spacingMm: spacing = 0 } = plantings[i];
    const { plugsAtHand, missing } = packsOf(option, planting, entry, plugs, origin === 'bought');
    if (missing === 0) return [];
    const bareCm2 = rounded((missing * spacing * spacing) / 100, 0);
    return [
      {
        id: 'plant.short',
        severity: 'warn',
        at: { plant: planting.id },
        measured: plugsAtHand,
        limit: plugs,
        unit: 'plug',
        says: say('plant.short.says', { plant: entry.name, packs: planting.packs, plugs: plugsAtHand, count: plugs, bare: bareCm2 }), // prettier-ignore
        because: say('plant.short.because'),
        source: say('source.drawing'),
      },
    ];
  });
}
