import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { nextTick, type Component } from 'vue';
import type { Brief, Commission } from '../../../core/commission/schema';
import { deskBow } from '../../../demo/commissions/deskBow';
import { openWindow } from '../../../demo/commissions/openWindow';
import { useCommission } from '../../document/commissionStore';
import { usePreferences } from '../../units/preferences';
import { mount, type Mounted } from '../../testing/mount';
import LivestockPicker from './LivestockPicker.vue';
import OwnedList from './OwnedList.vue';
import RescapeAnswer from './RescapeAnswer.vue';
import RoomPlan from './RoomPlan.vue';

const TODAY = '2026-11-25';
const pinia = createPinia();
let shown: Mounted;

beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
});
afterEach(() => shown.unmount());

/** An answer of the brief, in a commission of the demo with parts of its brief taken back or replaced. */
function show(component: Component, part: Partial<Brief>, doc: Commission = deskBow(TODAY)): void {
  useCommission().document = { ...doc, brief: { ...doc.brief, ...part } };
  shown = mount(component, {}, pinia);
}
const brief = () => useCommission().document!.brief;
const press = async (words: string): Promise<void> => {
  [...shown.el.querySelectorAll('button')].find((b) => b.textContent?.trim() === words)!.click();
  await nextTick();
};
const key = async (selector: string, name: string): Promise<void> => {
  shown.find(selector).dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
  await nextTick();
};

describe('the plan of the room', () => {
  it('takes a seat before the middle of the glass, moves it by the arrows, and forgets it', async () => {
    show(RoomPlan, { seats: undefined });
    expect(shown.words()).toContain('no seat yet');
    await shown.click('[data-test="add-seat"]');
    const [seat] = brief().seats!;
    expect(seat).toMatchObject({
      eyeMm: 1_200,
      at: [useCommission().document!.vessel.innerMm.length / 2, -1_800],
    });
    await key('[data-seat="seat"]', 'ArrowRight');
    await key('[data-seat="seat"]', 'ArrowUp');
    expect(brief().seats![0].at).toEqual([seat.at[0] + 100, -1_700]);
    await press('Take away');
    expect(brief().seats).toBeUndefined();
  });

  it('names each seat with how far it is, and never sets one inside the tank', async () => {
    show(RoomPlan, { seats: undefined });
    await shown.click('[data-test="add-seat"]');
    await shown.fill('Seat 1', 'sofa');
    expect(shown.words()).toContain('sofa, 1.8 m');
    await shown.fill('in front', '-100');
    expect(shown.shown('in front').fault).toMatch(/sets sofa inside the tank/);
    expect(brief().seats![0].at[1]).toBe(-1_800);
  });

  it('says heights of eyes in the reader’s unit', () => {
    usePreferences().units = 'us';
    show(RoomPlan, {});
    expect(shown.words()).toMatch(/47\.24 in sitting, 62\.99 in standing; the tank stands \d+\.\d\d in up/);
  });
});

describe('a running tank', () => {
  it('keeps its filter until somebody says no, and is new again with one touch', async () => {
    show(RescapeAnswer, { rescape: undefined });
    expect(shown.el.querySelector('[data-test="holding"]')).toBeNull();
    await shown.click('[data-tick="rescape"]');
    expect(brief().rescape).toMatchObject({ filterKept: true });
    const stays = () => [...brief().rescape!.stays].sort();
    const before = stays();
    expect(before).not.toContain('stone');
    await shown.click('[data-tick="stone"]');
    expect(stays()).toEqual([...before, 'stone'].sort());
    await shown.click('[data-tick="stone"]');
    expect(stays()).toEqual(before);
    await shown.fill('water to wait in', '60');
    expect(brief().rescape!.holdingL).toBe(60);
    expect(shown.words()).toMatch(/animal-welfare law applies/);
    await shown.click('[data-tick="new"]');
    expect(brief().rescape).toBeUndefined();
  });
});

describe('what is theirs', () => {
  it('is measured here and stands in a material of the catalogue', async () => {
    show(OwnedList, { owned: undefined }, openWindow(TODAY));
    await shown.click('[data-test="add-owned"]');
    await shown.fill('What', 'root from the hall');
    await shown.fill('long', '410');
    await shown.fill('weighs', '2.5');
    const [piece] = brief().owned!;
    expect(piece).toMatchObject({ name: 'root from the hall', sizeMm: [410, 150, 150], massKg: 2.5 });
    expect(useCommission().document!.catalogue.materials.map((m) => m.id)).toContain(piece.material);
    await shown.fill('high', '-5');
    expect(shown.shown('high').fault).toMatch(/is -5 mm, must be/);
    await press('Take away');
    expect(brief().owned).toBeUndefined();
  });
});

describe('how many of an animal', () => {
  it('is a whole number, said beside its own name', async () => {
    show(LivestockPicker, { livestock: [{ species: 'danio-rerio', count: 8 }] });
    const count = '[aria-label="how many Danio rerio"]';
    await shown.type(`${count}`, '12');
    expect(brief().livestock).toEqual([{ species: 'danio-rerio', count: 12 }]);
    await shown.type(count, '2.5');
    expect(shown.find('.count').textContent).toMatch(/is 2\.5/);
    expect(brief().livestock![0].count).toBe(12);
  });
});
