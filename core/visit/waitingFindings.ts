import type { Resolved } from '../resolved/resolved';
import { grownFishMm } from '../livestock/checks';
import { keptOf } from '../resolved/kept';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inLitres } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import { waitingAnimals, type Waiting } from './waiting';

/** What is not said of animals that live through the work, and water that is too little for them. */
export function waitingFindings(commission: Resolved, survey: Survey): Finding[] {
  const waiting = waitingAnimals(commission, survey);
  if (!waiting) return [];
  const fishCm = grownFishMm(keptOf(commission, (entry) => entry.present === true)) / 10;
  return [...supposed(waiting), ...tooLittle(waiting, fishCm)];
}

const AT = { field: 'brief.rescape' };

function supposed({ isSupposed, animals, where }: Waiting): Finding[] {
  if (!isSupposed) return [];
  return [
    {
      id: 'rescape.waiting',
      severity: 'note',
      at: AT,
      measured: animals,
      limit: 0,
      unit: 'animals',
      says: say('rescape.waiting.says', { count: animals }),
      because: say(`rescape.waiting.because.${where}`),
      source: PRACTICE,
    },
  ];
}

/** Who lives elsewhere that day needs none; tubs of which nothing is said are as large as they have to be. */
function tooLittle({ where, litres, wantedL }: Waiting, fishCm: number): Finding[] {
  if (where === 'elsewhere' || fishCm === 0 || litres >= wantedL) return [];
  return [
    {
      id: 'rescape.holding',
      severity: 'warn',
      at: AT,
      measured: rounded(litres, 0),
      limit: rounded(wantedL, 0),
      unit: 'L',
      says: say('rescape.holding.says', {
        has: inLitres(litres, 0),
        fish: rounded(fishCm, 0),
        needs: inLitres(wantedL, 0),
      }),
      because: say(`rescape.holding.because.${where}`),
      source: PRACTICE,
    },
  ];
}
