import { describe, expect, it } from 'vitest';
import { dayPlus } from '../../../core/calendar/day';
import { parseCommission } from '../../../core/commission/parse';
import { plan } from '../../../core/pipeline/plan';
import { deskCube } from '../../../demo/commissions/deskCube';
import { sampleCommission, shifted, WRITTEN } from './sample';

describe('the sample', () => {
  it('is the demo’s cube, as it was on the day it was written', async () => {
    const written = JSON.stringify({ ...deskCube(WRITTEN), title: 'Sample: a desk cube' }, null, 1);
    await expect(`${written}\n`).toMatchFileSnapshot('./sample.json');
  });

  it('lies ahead whenever it is opened, and nothing in it is to be settled before', async () => {
    const today = '2031-10-20';
    const sample = await sampleCommission(today);
    const parsed = parseCommission(sample);
    expect(parsed.ok && parsed.commission.brief.buildDay > today).toBe(true);
    const { findings } = plan(sample, { today });
    expect(findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it('has every day moved alike', () => {
    const days = { a: ['2027-02-28', 'Feb'], b: { from: '2026-12-24', to: '2027-01-01' }, n: 3 };
    expect(shifted(days, 1)).toEqual({ a: ['2027-03-01', 'Feb'], b: { from: '2026-12-25', to: '2027-01-02' }, n: 3 }); // prettier-ignore
    expect(dayPlus(WRITTEN, 0)).toBe(WRITTEN);
  });
});
