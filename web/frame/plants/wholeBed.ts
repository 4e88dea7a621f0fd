import { dliOfPpfd } from '../../../core/light/ppfd';
import type { Spot } from '../../../core/planted/livesHere';
import type { ShownPlanted } from '../../workers/planWorker';

/** The bed as a whole, as plants are held against it; undefined where no light is known. */
export function wholeBed(shown: ShownPlanted | undefined): Spot | undefined {
  const living = shown?.living;
  if (!living?.lit) return undefined;
  const { co2, waterC, gh, light, hours, windowDli } = living;
  const mean = light.ppfd.reduce((a, b) => a + b, 0) / Math.max(1, light.ppfd.length);
  return { dli: dliOfPpfd(mean, hours) + windowDli, co2, waterC, gh };
}
