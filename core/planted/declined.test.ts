import { describe, expect, it } from 'vitest';
import { carpet, job, line } from '../testing/job';
import { soil } from '../testing/scape';
import type { Planting } from '../commission/schema';

/* Plants of one's own that stay where they are, for what lives on them. */

const with_ = (part: Partial<Planting>) =>
  job({ option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [{ ...carpet, ...part }] } });
const says = (part: Partial<Planting>) =>
  with_(part)
    .planted!.findings.filter((f) => f.id === 'plant.declined')
    .map((f) => f.says);

describe('own stock that is declined', () => {
  it('is bought whole, and the take-off says why', () => {
    const [p, plain] = [with_({ declined: 'snails' }), with_({})];
    expect(line(p, 'grass')!.needed).toEqual(line(plain, 'grass')!.needed);
    const step = line(p, 'grass')!.workings.find((w) => w.step.includes('declined'));
    expect(step).toMatchObject({
      step: 'P-1: of one’s own, declined for its snails',
      value: 0,
      unit: 'plug',
    });
    expect(line(plain, 'grass')!.workings.some((w) => w.step.includes('declined'))).toBe(false);
  });

  it('for algae or snails asks what is bought to come without them; weak plants ask nothing', () => {
    // A cup is tissue culture where nothing else is said; what grew above water is not.
    expect(says({ declined: 'snails' })).toEqual([]);
    expect(says({ declined: 'snails', form: 'running' })).toEqual([
      expect.stringMatching(/for its snails; pots and bunches may/),
    ]);
    expect(says({ declined: 'algae', form: 'emersed' })).toHaveLength(1);
    expect(says({ declined: 'algae', form: 'tissue' })).toEqual([]);
    expect(says({ declined: 'weak', form: 'running' })).toEqual([]);
    expect(says({ declined: 'snails', form: 'running', origin: 'client' })).toEqual([]);
    expect(says({})).toEqual([]);
  });
});
