import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { inCurrency } from './currency';

describe('another currency', () => {
  const pounds = { ...example('held-root'), currency: 'GBP' };
  const priced = {
    ...pounds,
    brief: { ...pounds.brief, budgetMinor: 64_050, co2CostMinor: 12_000 },
    catalogue: {
      ...pounds.catalogue,
      materials: [{ id: 'glue', kind: 'glue' as const, name: 'Glue', packs: [{ id: 'g', size: 20, unit: 'g' as const, priceMinor: 1_250, supplier: 's', leadDays: 3 }] }], // prettier-ignore
    },
  };

  it('keeps every figure in another currency', () => {
    const euros = inCurrency(priced, 'EUR');
    expect([euros.currency, euros.brief.budgetMinor]).toEqual(['EUR', 64_050]);
    // ISO 4217: a yen has no minor unit, a Bahraini dinar a thousand fils.
    const yen = inCurrency(priced, 'JPY');
    expect([yen.brief.budgetMinor, yen.brief.co2CostMinor, yen.catalogue.materials[0].packs![0].priceMinor]).toEqual([641, 120, 13]); // prettier-ignore
    const dinars = inCurrency(priced, 'BHD');
    expect(dinars.catalogue.materials[0].packs![0]).toMatchObject({
      priceMinor: 12_500,
      size: 20,
      leadDays: 3,
    });
    expect(inCurrency(dinars, 'GBP').catalogue).toEqual(priced.catalogue);
  });

  it('is the same document where it is its own', () => {
    expect(inCurrency(priced, 'GBP')).toBe(priced);
  });
});
