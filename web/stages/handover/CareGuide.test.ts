import { createPinia } from 'pinia';
import { describe, expect, it } from 'vitest';
import type { Commission } from '../../../core/commission/schema';
import { plan } from '../../../core/pipeline/plan';
import { example } from '../../../core/testing/scape';
import { mount } from '../../testing/mount';
import CareGuide from './CareGuide.vue';

function guide(change: (c: Commission) => void = () => {}) {
  const commission = structuredClone(example('held-root'));
  commission.studio = { name: 'Fenwick Row Planted Interiors', phone: '01 632 960 114' };
  change(commission);
  const whole = plan(commission);
  const props = {
    care: whole.care,
    commission,
    option: commission.options[0],
    plan: whole,
    field: whole.survey.field,
  };
  return mount(CareGuide, props, createPinia());
}

describe('the care guide', () => {
  it('has a little tank for each of 56 days, blue where water is changed', () => {
    const { el } = guide();
    expect(el.querySelectorAll('.calendar tbody td:not(.light)')).toHaveLength(56);
    expect(el.querySelectorAll('.calendar td.change')).toHaveLength(19);
    // One a week, and one just before shrimps and one before fish may come.
    expect(el.querySelectorAll('.calendar .test')).toHaveLength(10);
    expect(el.querySelector('.calendar td svg')!.getAttribute('aria-label')).toBe(
      '2027-01-15, change 32 litres',
    );
  });

  it('says how many litres, how warm, how much conditioner, and when animals may come', () => {
    const words = guide().words();
    expect(words).toContain('Planted for you on Thursday 14 January');
    expect(words).toContain('take out 50 %: 32 L');
    expect(words).toContain('24 °C (75 °F)');
    expect(words).toMatch(/Put 8 mL of conditioner in first/);
    expect(words).toContain('shrimps and snails from 28 Jan 2027, fish from 4 Feb 2027');
    expect(words).toContain('01 632 960 114');
    expect(words).not.toMatch(/Mix /);
  });

  it('says since when it is planted, and what is done each day until the water comes', () => {
    const dry = guide((c) => {
      c.brief.sittings = [{ id: 'dry', kind: 'planting', day: '2026-12-17' }];
    }).words();
    expect(dry).toContain('Planted for you on Thursday 17 December, filled on Thursday 14 January');
    expect(dry).toMatch(/From Thursday 17 December to Thursday 14 January it stands damp under film.*mould/);
    const eve = guide((c) => {
      c.brief.sittings = [{ id: 'eve', kind: 'planting', day: '2027-01-13' }];
    }).words();
    expect(eve).toContain('Planted for you on Thursday 14 January');
    expect(eve).not.toContain('under film');
  });

  it('says what a change is mixed of once the tap was measured, and in whose care it is', () => {
    const words = guide((c) => {
      c.brief.keeper = 'the caretaker';
      c.site = {
        tap: { gh: 12, kh: 8, winterC: 8, hotC: 50 },
        target: { gh: 6, kh: 4, tempC: 25 },
        ro: { litresPerHour: 5, storageL: 60 },
        roomC: [20, 24],
      };
    }).words();
    expect(words).toContain('25 °C (77 °F)');
    // Half tap and half RO of 32 L; the tap's part brings (25·32 − 16·20) / 16 = 30 °C: 52 % of it hot.
    expect(words).toContain('Mix 8 L cold, 8 L hot, 16 L reverse-osmosis.');
    expect(words).toContain('in the care of the caretaker');
  });

  it('speaks of gas only where there is some, and lights an hour less beside a window', () => {
    expect(guide().words()).toContain('gas from 11:00');
    const without = guide((c) => {
      c.brief.co2 = false;
      c.brief.daylight = 'window';
    }).words();
    expect(without).not.toMatch(/\bgas\b|bottle/);
    expect(without).toContain('light from 12:00 to 18:00');
  });

  it('says so where the first change is larger than the others, and doses by the document’s conditioner', () => {
    const words = guide((c) => {
      c.brief.schools = { water: 'fish-in' };
      c.catalogue.materials.push({ id: 'drops', kind: 'conditioner', name: 'Drops', dosePer100L: 100 });
    }).words();
    expect(words).toContain('take out 50 %: 32 L, the first time 75 %: 47 L');
    expect(words).toContain('Put 32 mL of conditioner in first');
  });

  it('cautions where work can hurt somebody', () => {
    const words = guide().words();
    for (const caution of [
      'Pull the plugs',
      'without swallowing',
      'switch off at the socket',
      'Never release',
      'leave the room',
    ])
      expect(words).toContain(caution);
  });
});
