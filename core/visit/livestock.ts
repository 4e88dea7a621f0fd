import { materialOf, optionOf, plantOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { livestockFindings, sharedRange, type Kept } from '../livestock/checks';
import { speciesById } from '../livestock/species';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { say } from '../words/text';
import { keptOf } from '../livestock/kept';
import { recipeFor, waterTarget } from '../filling/filling';

export interface LivestockPlan {
  kept: Kept[];
  /** Temperatures that suit all of them; left out when none does, or there are none. */
  tempC?: readonly [number, number];
  findings: Finding[];
}

/** Animals that the catalogue does not know: nothing is said of them, and that is said. */
function unknownFindings({ brief }: Commission): Finding[] {
  return (brief.livestock ?? [])
    .filter(({ species }) => !speciesById(species))
    .map(({ species, count }) => ({
      id: 'livestock.unknown',
      severity: 'note',
      at: { field: 'brief.livestock' },
      measured: count,
      limit: 0,
      unit: 'animals',
      says: say('livestock.unknown.says', { species }),
      because: say('livestock.unknown.because'),
      source: say('source.brief'),
    }));
}

/** The animals wished for, held against this vessel, water, stone, plants and each other. */
export function livestockPlan(commission: Commission, survey: Survey): LivestockPlan {
  const kept = keptOf(commission);
  const option = optionOf(commission, survey.optionId);
  const materials = [...option.bed, ...option.pieces].map((x) => materialOf(commission, x.material));
  const plants = option.plants.map((p) => plantOf(commission, p.plant));
  const target = waterTarget(commission);
  const { gh: tapGh, kh: tapKh } = commission.site?.tap ?? {};
  // Without RO a hard tap stays hard: once it was measured they live in what the recipe gives.
  const measured = tapGh !== undefined && tapKh !== undefined;
  const { gh, kh } = measured ? recipeFor(commission, 1) : target;
  const hardening = materials.find((m) => m.hardens);
  const tempC = kept.length > 0 ? sharedRange(kept, 'tempC') : undefined;
  const findings = livestockFindings(
    kept,
    {
      celsius: target.celsius,
      gh,
      kh,
      // Active soil takes pH down whatever the tap has; without it the tap's own is what they live in.
      ...(materials.some((m) => m.kind === 'soil') ? {} : { ph: commission.site?.tap?.ph }),
      ...(hardening ? { carbonateStone: hardening.name } : {}),
    },
    {
      lengthMm: commission.vessel.innerMm.length,
      freeWaterL: survey.freeWaterL,
      lid: commission.vessel.lid ?? false,
      rooted: plants.some((p) => p.roots === 'bed'),
      softPlants: plants.some((p) => ['carpet', 'moss', 'stem', 'creeper'].includes(p.habit ?? '')),
    },
  );
  return { kept, ...(tempC ? { tempC } : {}), findings: [...findings, ...unknownFindings(commission)] };
}
