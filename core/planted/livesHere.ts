import { dliOf } from '../catalogue/knownPlants';
import type { Plant } from '../commission/schema';
import { rounded } from '../units/quantity';
import { inCelsius, inDegreesOfHardness } from '../words/measure';
import { say, type Text } from '../words/text';

/** What there is at a spot. */
export interface Spot {
  dli: number;
  co2: boolean;
  waterC: number;
  gh: number;
}

/** Why a plant is left out at a spot; nothing where it lives there. It suggests; the designer decides. */
export function reasonsAgainst(plant: Plant, { dli, co2, waterC, gh }: Spot): Text[] {
  const [least] = dliOf(plant);
  const { tempC, gh: hard } = plant;
  return [
    ...(dli < least ? [say('lives.dark', { dli: rounded(dli, 1), least: rounded(least, 1) })] : []),
    ...(plant.needsCo2 && !co2 ? [say('lives.gas')] : []),
    ...(tempC && (waterC < tempC[0] || waterC > tempC[1])
      ? [say('lives.warmth', { span: inCelsius(tempC, 0, 'to') })]
      : []),
    ...(hard && (gh < hard[0] || gh > hard[1])
      ? [say('lives.hardness', { span: inDegreesOfHardness(hard, 0, 'to') })]
      : []),
  ];
}
