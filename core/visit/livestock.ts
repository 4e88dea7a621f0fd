import { animalsOf } from '../commission/usual';
import { materialOf } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { livestockFindings, sharedRange, type Kept } from '../livestock/checks';
import { unknownOf } from '../livestock/known';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { say } from '../words/text';
import { keptOf } from '../resolved/kept';
import { recipeFor, waterTarget } from '../filling/filling';

export interface LivestockPlan {
  kept: Kept[];
  /** Temperatures that suit all of them; left out when none does, or there are none. */
  tempC?: readonly [number, number];
  findings: Finding[];
}

/** Animals of which nothing, or not everything, is known: what is not judged is said. */
function unknownFindings(commission: Resolved): Finding[] {
  const { here, coming } = animalsOf(commission.brief);
  return [...here, ...coming].flatMap(({ species, count }): Finding[] => {
    const base = { severity: 'note' as const, at: { field: 'brief.livestock', animals: [species] } };
    const known = commission.animals.get(species);
    const missing = unknownOf(commission, species);
    if (!known)
      return [
        {
          ...base,
          id: 'livestock.unknown',
          measured: count,
          limit: 0,
          unit: 'animals',
          says: say('livestock.unknown.says', { species }),
          because: say('livestock.unknown.because'),
          source: say('source.brief'),
        },
      ];
    if (missing.length === 0) return [];
    return [
      {
        ...base,
        id: 'livestock.partly',
        measured: missing.length,
        limit: 0,
        unit: 'ranges',
        says: say('livestock.partly.says', {
          species: known.name,
          missing: missing.map((m) => say(MEASURE_NAMES[m])),
        }),
        because: say('livestock.partly.because'),
        source: say('source.brief'),
      },
    ];
  });
}

/** Animals that nobody has decided on: what is said of load and dates is said without them. */
function undecidedFindings(commission: Resolved): Finding[] {
  const { undecided } = animalsOf(commission.brief);
  if (undecided.length === 0) return [];
  const animals = undecided.map((s) => commission.animals.get(s.species)?.name ?? s.species);
  return [
    {
      id: 'livestock.open',
      severity: 'note',
      at: { field: 'brief.livestock', animals: undecided.map((s) => s.species) },
      measured: undecided.reduce((sum, s) => sum + s.count, 0),
      limit: 0,
      unit: 'animals',
      says: say('livestock.open.says', { animals }),
      because: say('livestock.open.because'),
      source: say('source.brief'),
    },
  ];
}

const MEASURE_NAMES = {
  tempC: 'measure.temperature',
  ph: 'measure.ph',
  gh: 'measure.gh',
  kh: 'measure.kh',
} as const;

/** The animals wished for, held against this vessel, water, stone, plants and each other. */
export function livestockPlan(commission: Resolved, survey: Survey): LivestockPlan {
  const kept = keptOf(commission);
  const option = commission.option;
  const materials = [...option.bed, ...option.pieces].map((x) => materialOf(commission, x.material));
  const plants = [...commission.plantings.values()].map((p) => p.plant);
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
  return {
    kept,
    ...(tempC ? { tempC } : {}),
    findings: [...findings, ...unknownFindings(commission), ...undecidedFindings(commission)],
  };
}
