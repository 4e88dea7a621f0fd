import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { plan } from '../../../core/pipeline/plan';
import { deskBow } from '../../../demo/commissions/deskBow';
import { stairHall } from '../../../demo/commissions/stairHall';
import { useCommission } from '../../document/commissionStore';
import { mount } from '../../testing/mount';
import RouteLine from '../vessel/RouteLine.vue';
import RoBars from '../vessel/RoBars.vue';
import LivestockPicker from './LivestockPicker.vue';
import { MEASURES, question, TOPICS } from './questions';
import TickButtons from './TickButtons.vue';
import UpkeepBar from './UpkeepBar.vue';
import VisitSheet from './VisitSheet.vue';

const TODAY = '2026-11-25';
const pinia = createPinia();
const desk = deskBow(TODAY);
const wall = stairHall(TODAY);
const plans = { desk: plan(desk, { today: TODAY }), wall: plan(wall, { today: TODAY }) };

beforeEach(() => {
  setActivePinia(pinia);
  useCommission().document = desk;
});

describe('the questions', () => {
  it('give a reason each, once, and are all printed on the visit sheet with what is to be measured', () => {
    const all = TOPICS.flatMap((t) => t.questions);
    expect(new Set(all.map((q) => q.id)).size).toBe(all.length);
    for (const q of all) expect(question(q.id).why.length).toBeGreaterThan(20);
    const sheet = mount(VisitSheet, {}, pinia).words();
    for (const q of [...all, ...MEASURES.flatMap((t) => t.questions)]) expect(sheet).toContain(q.asks);
    expect(sheet).toContain('structural engineer');
  });
});

describe('answers to touch', () => {
  const choices = [
    { value: 'a', title: 'A' },
    { value: 'b', title: 'B' },
  ];
  const touched = async (many: boolean, chosen: string[], value: string) => {
    let got: string[] = [];
    const ticks = mount(
      TickButtons,
      { label: 'x', choices, chosen, many, onChange: (c: string[]) => (got = c) },
      pinia,
    );
    await ticks.click(`[data-tick="${value}"]`);
    return got;
  };

  it('take one, or several, and let go of them again', async () => {
    expect(await touched(false, ['a'], 'b')).toEqual(['b']);
    expect(await touched(false, ['a'], 'a')).toEqual([]);
    expect(await touched(true, ['a'], 'b')).toEqual(['a', 'b']);
    expect(await touched(true, ['a', 'b'], 'a')).toEqual(['b']);
  });
});

describe('animals', () => {
  it('stand as bands of temperature; those that the water does not suit are marked', () => {
    const picker = mount(LivestockPicker, { visit: plans.desk.visit }, pinia);
    const classes = (id: string) =>
      [...picker.find(`[data-animal="${id}"]`).querySelectorAll('rect')].map((r) => r.getAttribute('class'));
    expect(classes('betta-splendens')).toContain('outside');
    expect(classes('paracheirodon-axelrodi')).toContain('band');
    expect(picker.words()).toMatch(
      /The line is the tank at 24.0 °C ?; the wash is what all share, 25 °C to 26 °C/,
    );
  });

  it('are taken away one by one', async () => {
    const picker = mount(LivestockPicker, { visit: plans.desk.visit }, pinia);
    await picker.click('[aria-label="Without Betta splendens"]');
    expect(useCommission().document!.brief.livestock!.map((s) => s.species)).toEqual([
      'neocaridina-davidi',
      'paracheirodon-axelrodi',
      'petitella-georgiae',
    ]);
  });
});

describe('upkeep', () => {
  it('says each week’s minutes, what they are for, and how many are over', () => {
    const { care } = plans.desk;
    const words = mount(UpkeepBar, { care, promised: 40 }, pinia).words();
    const [first] = care.weeks;
    expect(words).toContain(`${first.minutes} min`);
    expect(words).toContain(`${first.minutes - 40} over`);
    expect(words).toMatch(/2 water changes \d+, panes \d+/);
    const patient = plan({ ...desk, brief: { ...desk.brief, minutesAWeek: 400 } }, { today: TODAY }).care;
    expect(mount(UpkeepBar, { care: patient, promised: 400 }, pinia).words()).not.toMatch(/over/);
  });
});

describe('the way in', () => {
  it('marks where something does not pass, and takes another point', async () => {
    useCommission().document = wall;
    const line = mount(RouteLine, { carrying: plans.wall.visit.carrying }, pinia);
    expect(line.el.querySelectorAll('li.trouble')).toHaveLength(2);
    expect(line.words()).toMatch(/The tank does not fit the lift: 2030 mm long, 1400 mm deep/);
    expect(line.words()).toMatch(/NIOSH: 23 kg × distance/);
    await line.click('[data-test="add-door"]');
    await nextTick();
    expect(useCommission().document!.site!.route!.at(-1)).toMatchObject({
      id: 'door',
      kind: 'door',
      widthMm: 820,
    });
  });
});

describe('RO water', () => {
  it('shows the days that fall short apart from those that do not', () => {
    const ro = plans.wall.care.ro!;
    const bars = mount(RoBars, { ro }, pinia);
    const short = ro.days.slice(0, 9).filter((d) => d.shortL > 0.5).length;
    expect(short).toBeGreaterThan(0);
    expect(bars.el.querySelectorAll('rect.short')).toHaveLength(short);
    expect(bars.words()).toContain(`${Math.round(ro.hoursBeforeFill)} h before the first fill`);
  });
});
