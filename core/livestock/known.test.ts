import { describe, expect, it } from 'vitest';
import { job, type Job } from '../testing/job';
import { scape, soil } from '../testing/scape';
import { speciesIn } from './known';

const planned = (animal: object, count = 4) =>
  job({
    brief: { livestock: [{ species: 'pygmy', count }] },
    site: { target: { tempC: 24 } },
    option: { bed: [soil({ kind: 'level', mm: 50 })] },
    catalogue: (c) => (c.animals = [{ id: 'pygmy', name: 'Pygmy of the brook', kind: 'fish', ...animal }]),
  });
const ids = (p: Job) => p.findings.map((f) => f.id).filter((id) => id.startsWith('livestock.')); // prettier-ignore

describe('an animal that the list does not have', () => {
  it('is judged by what is known of it, and what is not known is said', () => {
    expect(ids(planned({}))).toEqual(['livestock.partly']);
    const warm = planned({ tempC: [26, 30], adultMm: 60, group: 8, leastMm: 800 });
    expect(ids(warm)).toEqual([
      'livestock.temperature',
      'livestock.room',
      'livestock.group',
      'livestock.partly',
    ]);
    expect(warm.findings.find((f) => f.id === 'livestock.partly')!.says).toMatch(/of the brook it is not said: pH/i); // prettier-ignore
    const whole = { tempC: [20, 28], ph: [6, 8], gh: [2, 20], kh: [1, 15] };
    expect(ids(planned(whole))).toEqual([]);
    // Its range counts for the water that is wanted, as any other's does.
    expect(planned({ ...whole, tempC: [20, 22] }).visit.livestock.tempC).toEqual([20, 22]);
  });

  it('is found beside those that everybody has, and an unknown one is still said to be', () => {
    const doc = scape();
    expect(speciesIn(doc, 'neocaridina-davidi')?.kind).toBe('shrimp');
    expect(speciesIn(doc, 'pygmy')).toBeUndefined();
  });

  it('has its lower figure first', () => {
    expect(() => planned({ tempC: [28, 20] })).toThrow(/lower figure first/);
  });
});
