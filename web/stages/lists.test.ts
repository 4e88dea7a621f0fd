import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dayPlus } from '../../core/calendar/day';
import { visit } from '../../core/visit/visit';
import { survey } from '../../core/survey/survey';
import { example } from '../../core/testing/scape';
import { PLANTS } from '../../demo/catalogue/plants';
import { today } from '../units/days';
import { usePreferences } from '../units/preferences';
import { strataOf } from '../frame/stages';
import StrataRail from '../frame/StrataRail.vue';
import { mount } from '../testing/mount';
import CommissionRow from './commissions/CommissionRow.vue';
import { newCommission } from './commissions/newCommission';
import PlantList from './planting/PlantList.vue';
import FloorLoad from './vessel/FloorLoad.vue';
import { parseCommission } from '../../core/commission/parse';
import { resolved } from '../../core/testing/resolved';

const pinia = createPinia();
const commission = example('held-root');
beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
});

describe('a row of the list', () => {
  const row = {
    id: 'c1',
    title: 'Lime Court',
    client: 'Lime Court',
    place: 'hall',
    buildDay: dayPlus(today(), 3),
    lengthMm: 900,
    widthMm: 450,
    heightMm: 450,
    waterLineMm: 420,
    removedAt: null,
  };

  it('names the commission once, its place, size and day', () => {
    const words = mount(CommissionRow, { row }, pinia).words();
    expect(words).toMatch(/^Lime Court hall 900 × 450 × 450 mm/);
    expect(words).toContain('build day, in 3 days');
  });

  it('is duplicated, exported and removed; a removed one only comes back', async () => {
    const [remove, restore] = [vi.fn(), vi.fn()];
    const there = mount(CommissionRow, { row, onRemove: remove }, pinia);
    await there.click('[aria-label="Remove Lime Court"]');
    expect(remove).toHaveBeenCalledTimes(1);
    expect(there.find('[aria-label="Export Lime Court"]').getAttribute('href')).toBe(
      '/api/commissions/c1/file',
    );
    const gone = mount(
      CommissionRow,
      { row: { ...row, removedAt: '2026-11-25' }, onRestore: restore },
      pinia,
    );
    expect(gone.el.querySelector('[aria-label="Remove Lime Court"]')).toBeNull();
    await gone.click('button');
    expect(restore).toHaveBeenCalledTimes(1);
  });
});

describe('a new commission', () => {
  const catalogue = { ...commission.catalogue, plants: [] };

  it('is a document that is read without a fault, with the studio’s first soil', () => {
    const fresh = newCommission({ name: 'Fenwick Row', phone: '01', currency: 'EUR', catalogue, yard: [] });
    expect(parseCommission(fresh)).toMatchObject({ ok: true });
    expect(fresh).toMatchObject({
      currency: 'EUR',
      studio: { name: 'Fenwick Row' },
      brief: { buildDay: dayPlus(today(), 42) },
    });
    expect(fresh.options[0].bed[0].material).toBe('soil-granules');
  });

  it('has the people who usually come, as many as there are hands', () => {
    const people = ['Ida', 'Olu', 'Fen'];
    const at = (crew?: number) => newCommission({ name: '', currency: 'GBP', catalogue, yard: [], people, ...(crew ? { crew } : {}) }).brief; // prettier-ignore
    expect([at().crewNames, at(2).crewNames, at(4).crewNames]).toEqual([['Ida'], ['Ida', 'Olu'], people]);
  });

  it('begins with bare glass where the studio has no soil yet', () => {
    const empty = { materials: [], plants: [], suppliers: [] };
    const fresh = newCommission({ name: '', currency: 'GBP', catalogue: empty, yard: [] });
    expect(parseCommission(fresh)).toMatchObject({ ok: true });
    expect([fresh.options[0].bed, fresh.studio]).toEqual([[], undefined]);
  });
});

describe('the list of plants', () => {
  const props = () => ({
    plants: [...PLANTS],
    option: commission.options[0],
    survey: survey(commission),
    here: { dli: 6, co2: false, waterC: 24, gh: 6, spot: false },
  });

  it('shows what is planted, and every plant to paint with', async () => {
    const paint = vi.fn();
    const list = mount(PlantList, { ...props(), onPaint: paint }, pinia);
    expect(list.words()).toContain('111 plugs');
    await list.click('[data-plant="rotala-rotundifolia"]');
    expect(paint.mock.lastCall![0]).toMatchObject({ name: 'Rotala rotundifolia' });
  });

  it('is searched by name, habit and light; what does not root in the bed is counted', async () => {
    const [paint, count] = [vi.fn(), vi.fn()];
    const list = mount(PlantList, { ...props(), onPaint: paint, onCount: count }, pinia);
    const shown = () =>
      [...list.el.querySelectorAll('[data-plant]')].map((b) => b.getAttribute('data-plant'));
    expect(shown()).toHaveLength(PLANTS.length);
    await list.type('input', 'rosette low');
    expect(shown()).toEqual(['cryptocoryne-wendtii', 'cryptocoryne-beckettii', 'echinodorus-grisebachii']);
    await list.type('input', 'taxiphyllum');
    await list.click('[data-plant="taxiphyllum-barbieri"]');
    expect([paint.mock.calls.length, count.mock.lastCall![0].name]).toEqual([0, 'Taxiphyllum barbieri']);
  });

  it('marks plants that need CO2 where the brief has none', () => {
    const list = (co2: boolean) => mount(PlantList, { ...props(), here: { ...props().here, co2 } }, pinia);
    const warned = (co2: boolean) =>
      [...list(co2).el.querySelectorAll('small .late')].filter((e) => e.textContent!.includes('needs CO2'))
        .length;
    expect(warned(false)).toBe(PLANTS.filter((p) => p.needsCo2).length);
    expect(warned(true)).toBe(0);
  });
});

describe('the load on the floor', () => {
  it('stands part by part beside what homes are designed for, and never judges', () => {
    const s = survey(commission);
    const { floor } = visit(resolved(commission, s), s);
    const words = mount(FloorLoad, { survey: s, floor }, pinia).words();
    expect(words).toMatch(/107 kg , 4\.5 kN\/m² under the base of 0\.23 m²/);
    expect(words).toMatch(/1\.5 to 2\.0 kN\/m²/);
    expect(words).toContain('for a structural engineer to say');
    expect(words).not.toMatch(/\bsafe|\bok\b|fine/i);
  });
});

describe('the rail', () => {
  it('links every stage and shows where one is', () => {
    const strata = strataOf(commission, undefined, String);
    const rail = mount(StrataRail, { strata, id: 'c1' }, pinia);
    const links = [...rail.el.querySelectorAll('a')].map((a) => a.getAttribute('href'));
    expect(links).toHaveLength(10);
    expect(links.slice(0, 3)).toEqual(['/', '/c/c1/brief', '/c/c1/vessel']);
  });
});
