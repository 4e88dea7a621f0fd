import { bagsFor } from '../substrate/filler';
import { inLitres, inMm } from '../words/measure';
import { say } from '../words/text';
import { CAUTIONS } from './cautions';
import { each, perLitre, step, type Job } from './job';
import { FIRST_SOIL_SHARE, RATES } from './rates';
import { plantingTaskIds } from './plantTasks';
import type { Task } from './task';

/** Filler is kept this far off the glass, so that it is not seen, mm (common practice: 10 to 20). */
const OFF_GLASS_MM = 10;

/** Filler under the hills, before any soil. */
export function fillerTasks({ fillerL }: Job): Task[] {
  if (fillerL <= 0) return [];
  const bags = bagsFor(fillerL);
  return [
    {
      id: 'filler',
      phase: 'substrate',
      title: say('filler.title', { count: bags }),
      short: say('filler.short'),
      detail: say('filler.detail', { litres: inLitres(fillerL), off: inMm(OFF_GLASS_MM) }),
      minutes: fillerL * RATES.fillerPerL + bags * RATES.perBag,
      people: 1,
      needs: ['protect'],
      workings: [
        step(say('filler'), fillerL, 'L', perLitre(RATES.fillerPerL)),
        step(say('step.bags'), bags, 'bag', each(RATES.perBag)),
      ],
    },
  ];
}

/** The soil before the hardscape: a share of it where pieces follow, otherwise all. */
export function firstSoilTasks({ soilL, stones, wood }: Job): Task[] {
  if (soilL <= 0) return [];
  const split = stones.length + wood.length > 0;
  const first = split ? soilL * FIRST_SOIL_SHARE : soilL;
  return [
    {
      id: 'soil',
      phase: 'substrate',
      title: say(split ? 'soil.title.first' : 'soil.title', { litres: inLitres(first) }),
      short: say('soil.short'),
      detail: say('soil.detail'),
      minutes: first * RATES.pourPerL,
      people: 1,
      needs: ['protect', 'filler', 'floor-stones'],
      caution: CAUTIONS.dust,
      workings: [step(say('step.poured'), first, 'L', perLitre(RATES.pourPerL))],
    },
  ];
}

/** The rest of the soil, behind and between what stands. */
export function gapTasks({ soilL, stones, wood, floorStones }: Job): Task[] {
  if (soilL <= 0 || stones.length + wood.length === 0) return [];
  const last = soilL * (1 - FIRST_SOIL_SHARE);
  const count = stones.length + floorStones.length;
  return [
    {
      id: 'gaps',
      phase: 'substrate',
      title: say('gaps.title', { litres: inLitres(last) }),
      short: say('gaps.short'),
      detail: say('gaps.detail', { count }),
      minutes: last * RATES.pourPerL + count * RATES.gapPerPiece,
      people: 1,
      needs: ['stones', 'wood', 'wiggle'],
      caution: CAUTIONS.dust,
      workings: [
        step(say('step.poured'), last, 'L', perLitre(RATES.pourPerL)),
        step(say('step.gaps'), count, 'stone', each(RATES.gapPerPiece)),
      ],
    },
  ];
}

/** Sand is rinsed early and laid last, on the dry bed: soil that falls while planting would spoil it. */
export function sandTasks(job: Job): Task[] {
  const { sandL } = job;
  if (sandL <= 0) return [];
  return [
    {
      id: 'rinse',
      phase: 'prepare',
      title: say('rinse.title'),
      detail: say('rinse.detail', { litres: inLitres(sandL) }),
      minutes: sandL * RATES.rinsePerL + RATES.bucket,
      people: 1,
      needs: [],
      workings: [
        step(say('step.sand'), sandL, 'L', perLitre(RATES.rinsePerL)),
        step(say('step.bucket'), RATES.bucket, 'min'),
      ],
    },
    {
      id: 'sand',
      phase: 'substrate',
      title: say('sand.title', { litres: inLitres(sandL) }),
      short: say('sand.short'),
      detail: say('sand.detail'),
      minutes: sandL * RATES.sandPerL,
      people: 1,
      needs: ['rinse', 'soil', 'gaps', 'stones', ...plantingTaskIds(job)],
      workings: [step(say('step.laid'), sandL, 'L', perLitre(RATES.sandPerL))],
    },
  ];
}
