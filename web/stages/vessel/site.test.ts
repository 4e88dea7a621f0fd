import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { nextTick, type Component } from 'vue';
import type { Commission, Site, Vessel } from '../../../core/commission/schema';
import { plan } from '../../../core/pipeline/plan';
import { deskBow } from '../../../demo/commissions/deskBow';
import { stairHall } from '../../../demo/commissions/stairHall';
import { useCommission } from '../../document/commissionStore';
import { usePreferences } from '../../units/preferences';
import { mount, type Mounted } from '../../testing/mount';
import FloorSection from './FloorSection.vue';
import HeatSection from './HeatSection.vue';
import LampFields from './LampFields.vue';
import PowerBar from './PowerBar.vue';
import RouteLine from './RouteLine.vue';
import VesselParts from './VesselParts.vue';
import VesselSizes from './VesselSizes.vue';
import WaterSection from './WaterSection.vue';

const TODAY = '2026-11-25';
const pinia = createPinia();
const desk = deskBow(TODAY);
const wall = stairHall(TODAY);
const planned = { desk: plan(desk, { today: TODAY }), wall: plan(wall, { today: TODAY }) };
let shown: Mounted;

beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
  usePreferences().hardness = 'degree';
});
afterEach(() => shown.unmount());

/** A section on a document of the demo, with what is planned for it. */
function show(component: Component, doc: Commission, props: object = {}): Mounted {
  useCommission().document = structuredClone(doc);
  shown = mount(component, { ...props }, pinia);
  return shown;
}
const site = (): Site => useCommission().document!.site!;
const vessel = (): Vessel => useCommission().document!.vessel;
const press = async (words: string, nth = 0): Promise<void> => {
  const buttons = [...shown.el.querySelectorAll('button')].filter((b) => b.textContent?.trim() === words);
  buttons[nth].click();
  await nextTick();
};

describe('power', () => {
  it('shows every device with its watts, and says what is short and what may stay on', () => {
    const words = show(PowerBar, wall, {
      visit: planned.wall.visit,
      freeWaterL: planned.wall.survey.freeWaterL,
    }).words();
    expect(words).toMatch(/6 plugs, 3060 W of 2944 W that may stay on/);
    expect(words).toContain('2 sockets short: 6 plugs, 4 there.');
    expect(words).toMatch(/Fixed wiring is for an electrician/);
  });

  it('adds a device, takes its watts, and forgets the list with its last one', async () => {
    show(
      PowerBar,
      { ...desk, site: {} },
      { visit: planned.desk.visit, freeWaterL: planned.desk.survey.freeWaterL },
    );
    await shown.click('[data-test="add-device"]');
    await shown.fill('Device', 'return pump');
    await shown.fill('draws', '22');
    expect(site().devices).toMatchObject([{ name: 'return pump', watts: 22 }]);
    await shown.fill('draws', '-1');
    expect(shown.shown('draws')).toEqual({ value: '-1', fault: 'is -1 W, must be at least 0 W' });
    await press('Take away');
    expect(site().devices).toBeUndefined();
  });

  it('starts with heater, light and filter for this very tank, and a valve only where there is CO2', async () => {
    show(
      PowerBar,
      { ...desk, site: {} },
      { visit: planned.desk.visit, freeWaterL: planned.desk.survey.freeWaterL },
    );
    await shown.click('[data-test="usual-devices"]');
    // Shown first, with what it draws and costs; what is not wanted is left out.
    expect(site().devices ?? []).toEqual([]);
    expect(shown.find('[data-test="proposed-total"]').textContent).toMatch(/without a price|£/);
    await shown.click('[data-test="take-proposed"]');
    expect(
      site()
        .devices!.filter((d) => d.watts > 0)
        .map((d) => d.name),
    ).toEqual(['filter', ...planned.desk.visit.heat.heatersW.map(() => 'heater'), 'light']);
    expect(
      site()
        .devices!.map((d) => d.part)
        .filter(Boolean),
    ).toEqual([]);
    expect(shown.el.querySelector('[data-test="usual-devices"]')).toBeNull();
    expect(site().devices![0].litresPerHour).toBe(Math.round(5 * planned.desk.survey.freeWaterL));
  });
});

describe('a lamp', () => {
  it.each([
    ['gives', '0', /must be more than 0/],
    ['gives', '5000', /are those lumens/],
    ['or in lumens', '0', /must be more than 0/],
    ['above the rim', '-80', /would hang in the tank/],
  ])('%s %s is said beside the field, and what was typed stays', async (label, typed, says) => {
    const taken: object[] = [];
    show(LampFields, desk, { vessel: desk.vessel, apply: (light: object) => void taken.push(light) });
    await shown.fill(label, typed);
    expect(shown.shown(label).value).toBe(typed);
    expect(shown.shown(label).fault).toMatch(says);
    expect(taken).toEqual([]);
    await shown.fill(label, '90');
    expect(taken).not.toEqual([]);
  });
});

describe('the way in', () => {
  it('has a door with its clear width; what it is not wide enough for is said', async () => {
    show(RouteLine, { ...desk, site: {} }, { carrying: planned.wall.visit.carrying });
    await shown.click('[data-test="add-door"]');
    await shown.fill('Name', 'garden gate');
    await shown.fill('clear width', '700');
    expect(site().route).toMatchObject([{ kind: 'door', name: 'garden gate', widthMm: 700 }]);
    expect(shown.words()).toContain('700 mm wide');
    expect(shown.words()).toContain('The tank does not fit the lift: 2030 mm long, 1400 mm deep.');
    await press('Take away');
    expect(site().route).toBeUndefined();
  });

  it('asks of a lift what a door has not, and of stairs their steps', async () => {
    show(RouteLine, { ...desk, site: {} }, { carrying: planned.desk.visit.carrying });
    await shown.click('[data-test="add-lift"]');
    await shown.fill('rated load', '500');
    await shown.click('[data-test="add-stairs"]');
    await shown.fill('steps', '12');
    expect(site().route).toMatchObject([{ loadKg: 500 }, { steps: 12 }]);
    expect(shown.el.querySelector('[data-test="depth"]')).toBeNull();
  });

  it('does not send a crowd to a heavy tank', () => {
    const words = show(RouteLine, wall, { carrying: planned.wall.visit.carrying }).words();
    expect(words).toMatch(/not for hands alone on the stairs/);
    expect(words).toMatch(/NIOSH: 23 kg × distance 0\.56/);
  });
});

describe('the floor', () => {
  it('takes one side of the base and lets the tank give the other; empties back to the tank’s own', async () => {
    show(FloorSection, desk, { survey: planned.desk.survey, visit: planned.desk.visit });
    const [length, width] = [vessel().innerMm.length, vessel().innerMm.width].map(
      (mm) => mm + 2 * vessel().glassMm,
    );
    await shown.fill('base, length', '900');
    expect(vessel().footprintMm).toEqual({ length: 900, width });
    await shown.fill('base, length', '');
    expect(vessel().footprintMm).toEqual({ length, width });
  });

  it('is never called strong enough', () => {
    const words = show(FloorSection, wall, {
      survey: planned.wall.survey,
      visit: planned.wall.visit,
    }).words();
    expect(words).toMatch(/1,193 kg ?, 9\.2 kN\/m² under the base/);
    expect(words).toMatch(/structural engineer/);
    expect(words).not.toMatch(/\bsafe\b|strong enough/i);
  });
});

describe('water', () => {
  const props = { visit: planned.wall.visit, care: planned.wall.care };

  it('says what the first fill is mixed of, and when RO falls behind', () => {
    const words = show(WaterSection, wall, props).words();
    expect(words).toMatch(/RO 75 %, 379 L/);
    expect(words).toMatch(/RO falls behind on 7 days from day 1: 120 L asked, 96 L there\./);
  });

  it('is typed in the reader’s hardness and kept in degrees', async () => {
    usePreferences().hardness = 'ppm';
    show(WaterSection, wall, props);
    expect(shown.shown('tap GH').value).toBe('286');
    await shown.fill('tap GH', '178.5');
    expect(site().tap!.gh).toBeCloseTo(10, 1);
    expect(shown.words()).toMatch(/tap GH 286 mg\/L CaCO3/);
  });

  it('has no RO unit until its output is typed, and none again when that is taken back', async () => {
    show(WaterSection, { ...desk, site: {} }, { visit: planned.desk.visit, care: planned.desk.care });
    await shown.fill('RO storage', '');
    expect(site().ro).toBeUndefined();
    // Storage alone makes no unit with an output that nobody said.
    await shown.fill('RO storage', '60');
    expect(shown.shown('RO storage').value).toBe('60');
    expect(shown.shown('RO storage').fault).toMatch(/needs what the RO unit makes first/);
    expect(site().ro).toBeUndefined();
    await shown.fill('RO makes', '8');
    await shown.fill('RO storage', '60');
    expect(site().ro).toEqual({ litresPerHour: 8, storageL: 60 });
    await shown.fill('RO makes', '');
    expect(site().ro).toBeUndefined();
  });
});

describe('warmth', () => {
  it('keeps the warmer above the colder, and asks when the other scale was read', async () => {
    show(HeatSection, { ...desk, site: {} }, { heat: planned.desk.visit.heat });
    await shown.fill('room, coldest', '17');
    await shown.fill('room, warmest', '88');
    expect(shown.shown('room, warmest').fault).toBe('is 88 °C: is that °F? Then it is 31.1 °C');
    await shown.fill('room, warmest', '31');
    expect(site().roomC).toEqual([17, 31]);
    await shown.fill('room, coldest', '35');
    expect(shown.shown('room, coldest').fault).not.toBe('');
    expect(site().roomC).toEqual([17, 31]);
  });
});

describe('the vessel’s own figures', () => {
  it('takes outer sizes and takes the glass off', async () => {
    show(VesselSizes, desk);
    const outer = desk.vessel.innerMm.length + 2 * desk.vessel.glassMm;
    await press('Measured outside?');
    expect(shown.shown('length, outside').value).toBe(String(outer));
    await shown.fill('length, outside', String(outer + 40));
    expect(vessel().innerMm.length).toBe(desk.vessel.innerMm.length + 40);
    await press('Type inner sizes');
    expect(shown.shown('length, left to right').value).toBe(String(desk.vessel.innerMm.length + 40));
    // A size at which the braces no longer fit is refused beside the field.
    shown.unmount();
    show(VesselSizes, wall);
    await shown.fill('length, left to right', '1500');
    expect(shown.shown('length, left to right').fault).not.toBe('');
    expect(vessel().innerMm.length).toBe(2000);
  });

  it('refuses water above the rim beside its field, and keeps what was typed', async () => {
    show(VesselSizes, desk);
    await shown.fill('water line', '900');
    expect(shown.shown('water line').fault).toMatch(/must be at most the inner height/);
    expect(shown.shown('water line').value).toBe('900');
    expect(vessel().waterLineMm).toBe(desk.vessel.waterLineMm);
  });

  it('adds braces, chambers and fixed things, and takes them away', async () => {
    show(VesselParts, { ...desk, vessel: { ...desk.vessel, kind: 'box', bowMm: undefined } });
    await shown.click('[data-test="add-brace"]');
    await shown.fill('to', '340');
    expect(vessel().braces![0].toMm).toBe(340);
    await shown.click('[data-test="add-chamber"]');
    await shown.fill('clear depth', '90');
    expect(vessel().chambers![0].mm).toBe(90);
    await shown.click('[data-test="add-fixed"]');
    await shown.fill('high', '120');
    expect(vessel().fixed![0].sizeMm[2]).toBe(120);
    for (let i = 0; i < 3; i++) await press('Take away');
    expect([vessel().braces, vessel().chambers, vessel().fixed].map((x) => x?.length ?? 0)).toEqual([
      0, 0, 0,
    ]);
  });
});
