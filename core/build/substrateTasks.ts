import { bagsFor } from '../substrate/filler';
import { CAUTIONS } from './cautions';
import { counted, litres, step, type Job } from './job';
import { FIRST_SOIL_SHARE, RATES } from './rates';
import { plantingTaskIds } from './plantTasks';
import type { Task } from './task';

/** Filler under the hills, before any soil. */
export function fillerTasks({ fillerL }: Job): Task[] {
  if (fillerL <= 0) return [];
  const bags = bagsFor(fillerL);
  return [
    {
      id: 'filler',
      phase: 'substrate',
      title: `Filler: ${counted(bags, 'mesh bag')}`,
      detail: `${litres(fillerL)}, rinsed, 10 mm off the glass`,
      minutes: fillerL * RATES.fillerPerL + bags * RATES.perBag,
      people: 1,
      needs: ['protect'],
      workings: [
        step('filler', fillerL, 'L', `${RATES.fillerPerL} min a litre`),
        step('bags', bags, 'bag', `${RATES.perBag} min each`),
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
      title: split ? `Soil, first ${litres(first)}` : `Soil, ${litres(first)}`,
      detail: 'thin in front, rising to the back; brushed, not pressed',
      minutes: first * RATES.pourPerL,
      people: 1,
      needs: ['protect', 'filler', 'floor-stones'],
      caution: CAUTIONS.dust,
      workings: [step('poured', first, 'L', `${RATES.pourPerL} min a litre`)],
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
      title: `Close gaps, last ${litres(last)} of soil`,
      detail: `floss behind ${counted(count, 'stone')}, then the slope`,
      minutes: last * RATES.pourPerL + count * RATES.gapPerPiece,
      people: 1,
      needs: ['stones', 'wood', 'wiggle'],
      caution: CAUTIONS.dust,
      workings: [
        step('poured', last, 'L', `${RATES.pourPerL} min a litre`),
        step('gaps', count, 'stone', `${RATES.gapPerPiece} min each`),
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
      title: 'Rinse and drain the sand',
      detail: `${litres(sandL)}, until the water runs clear`,
      minutes: sandL * RATES.rinsePerL + RATES.bucket,
      people: 1,
      needs: [],
      workings: [
        step('sand', sandL, 'L', `${RATES.rinsePerL} min a litre`),
        step('bucket and sieve', RATES.bucket, 'min'),
      ],
    },
    {
      id: 'sand',
      phase: 'substrate',
      title: `Sand, ${litres(sandL)}`,
      detail: 'at the front glass first, then pushed back; a soft brush',
      minutes: sandL * RATES.sandPerL,
      people: 1,
      needs: ['rinse', 'soil', 'gaps', 'stones', ...plantingTaskIds(job)],
      workings: [step('laid', sandL, 'L', `${RATES.sandPerL} min a litre`)],
    },
  ];
}
