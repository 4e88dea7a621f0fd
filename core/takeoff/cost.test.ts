import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import { materialCost, withoutPrice } from './cost';

describe('what the material costs', () => {
  const { takeOff } = plan(example('held-root'));

  it('says how many lines are not in the sum', () => {
    const open = withoutPrice(takeOff);
    expect(open.length).toBeGreaterThan(0);
    expect(inEnglish(materialCost(takeOff, 'GBP'))).toBe(`GBP ${(takeOff.totalMinor / 100).toFixed(2)} and ${open.length} lines without a price`); // prettier-ignore
  });

  it('is the sum alone where all of it is priced, or what is not is not needed', () => {
    const lines = takeOff.lines.map((l) => (l.priced ? l : { ...l, needed: { ...l.needed, value: 0 } }));
    expect(inEnglish(materialCost({ ...takeOff, lines }, 'GBP'))).not.toMatch(/without/);
  });
});
