import { describe, expect, it } from 'vitest';
import { parsed, scape } from '../testing/scape';
import { inEnglish } from '../words/english';
import { followed } from './followed';
import type { Device } from './gear';
import { proposedGear, type Need } from './propose';

const small: Need = { freeWaterL: 50, heatersW: [50], plants: [] };
const large: Need = { freeWaterL: 200, heatersW: [150, 150], plants: [] };
const doc = (devices: Device[], brief: object = {}) => parsed({ ...scape(), brief: { ...scape().brief, co2: true, ...brief }, site: { devices } }); // prettier-ignore
const taken = proposedGear(doc([]), small, inEnglish).map((d): Device => ({ ...d, proposed: true }));
const follow = (devices: Device[], need: Need, brief?: object) =>
  followed(doc(devices, brief), need, inEnglish, []);
const watts = (list: Device[] | undefined, kind: string) => list?.filter((d) => d.kind === kind).map((d) => d.watts); // prettier-ignore

describe('devices that were proposed', () => {
  it('follow the tank until somebody touches them', () => {
    expect(follow(taken, small)).toBeUndefined();
    const now = follow(taken, large)!;
    // Ten per cent of the litres in watts, half a watt of lamp a litre; two heaters for one.
    expect([watts(now, 'filter'), watts(now, 'lamp'), watts(now, 'heater')]).toEqual([[20], [100], [150, 150]]); // prettier-ignore
    expect(now.find((d) => d.kind === 'filter')!.litresPerHour).toBe(1000);
    // The same again changes nothing, and back it is as it was.
    expect(follow(now, large)).toBeUndefined();
    expect(follow(now, small)!.map((d) => [d.kind, d.watts])).toEqual(taken.map((d) => [d.kind, d.watts]));
    const touched = taken.map(({ proposed, ...d }): Device => (d.kind === 'lamp' ? d : { ...d, proposed }));
    expect(watts(follow(touched, large), 'lamp')).toEqual([25]);
  });

  it('go where nothing is wished for any more, and what was left out stays out', () => {
    const dry = follow(taken, small, { co2: false })!;
    expect(dry.some((d) => d.kind === 'co2')).toBe(false);
    const without = taken.filter((d) => d.kind !== 'filter');
    expect(follow(without, large)!.some((d) => d.kind === 'filter')).toBe(false);
    expect(follow([{ id: 'own', name: 'pump', watts: 9 }], large)).toBeUndefined();
  });
});
