import { describe, expect, it } from 'vitest';
import { dayPlus } from '../../core/calendar/day';
import { plan } from '../../core/pipeline/plan';
import type { Placed } from '../../core/ordering/confirmation';
import { example } from '../../core/testing/scape';
import { daysAway, longDay, shortDay, today, weekDay } from '../units/days';
import { STAGES, strataOf } from './stages';

const volume = (l: number) => `${Math.round(l)} L`;
const strata = (change: (c: ReturnType<typeof example>) => void = () => {}, placed: Placed[] = []) => {
  const commission = structuredClone(example('held-root'));
  change(commission);
  const list = strataOf(commission, plan(commission, { placed }), volume);
  return Object.fromEntries(list.map((s) => [s.name, s]));
};

describe('the strata', () => {
  it('are the nine stages in the order of work', () => {
    expect(STAGES.map(([, title]) => title)).toEqual([
      'Brief',
      'Vessel',
      'Bench',
      'Planting',
      'Take-off',
      'Order',
      'Build day',
      'Handover',
      'Log',
    ]);
    expect(Object.keys(strata())).toEqual(STAGES.map(([name]) => name));
  });

  it('say where a commission stands', () => {
    const s = strata();
    expect(s.vessel.says).toBe('80 L at the line');
    expect(s.bench.says).toBe('sound');
    expect(s.planting.says).toBe('111 plugs');
    expect(s.order.says).toBe('by 6 Jan');
    expect(s.log.says).toBe('');
  });

  it('fill as a stage becomes complete', () => {
    const open = strata().brief;
    const answered = strata((c) => {
      c.brief = {
        ...c.brief,
        client: { name: 'A' },
        story: 'B',
        budgetMinor: 1,
        keeper: 'C',
        minutesAWeek: 9,
        daylight: 'none',
      };
    }).brief;
    expect(open.says).toBe('6 open');
    expect(answered).toMatchObject({ says: 'complete', filled: 1 });
    expect(open.filled).toBeLessThan(answered.filled);
    const { suppliers } = plan(example('held-root')).order;
    const lines = suppliers[0].lines.map((l) => ({ item: l.line, pack: l.pack, name: '', asked: l.count, given: l.count })); // prettier-ignore
    const confirmation = { supplierReference: 'MA-1', deliveryDay: '2027-01-12', totalMinor: 1, lines };
    const placed = [{ reference: 'r', supplier: suppliers[0].supplier, confirmation }];
    expect(strata(undefined, placed).order).toMatchObject({ says: '1 of 2 confirmed', filled: 0.5 });
  });

  it('say nothing of what is not worked out yet', () => {
    const list = strataOf(example('held-root'), undefined, volume);
    const waiting = list.filter((s) => s.isPending).map((s) => s.name);
    expect(waiting).toEqual(['vessel', 'bench', 'planting', 'take-off', 'order']);
    for (const s of list.filter((x) => x.isPending)) expect(s.says).toBe('');
    expect(list.find((s) => s.name === 'brief')!.says).toBe('6 open');
  });

  it('count what is wrong on the bench, and know an empty one', () => {
    const wrong = strata((c) => (c.options[0].pieces[0].at = [380, 20])).bench;
    expect(wrong.says).toMatch(/^\d findings?$/);
    const empty = strata((c) => Object.assign(c.options[0], { bed: [], pieces: [], joints: [], plants: [] }));
    expect(empty.bench).toMatchObject({ says: 'empty', filled: 0 });
    expect(empty.planting).toMatchObject({ says: 'nothing planted', filled: 0 });
  });
});

describe('days', () => {
  it('are said as people say them', () => {
    expect([shortDay('2027-01-14'), weekDay('2027-01-14'), longDay('2027-01-14')]).toEqual([
      '14 Jan',
      'Thu 14 Jan',
      'Thursday 14 January',
    ]);
  });

  it('are counted from today', () => {
    expect(daysAway('2027-01-14', '2026-11-25')).toBe('in 50 days');
    expect(daysAway('2026-11-26', '2026-11-25')).toBe('tomorrow');
    expect(daysAway('2026-11-24', '2026-11-25')).toBe('yesterday');
    expect(daysAway('2026-11-20', '2026-11-25')).toBe('5 days ago');
    expect(daysAway(today())).toBe('today');
    expect(daysAway(dayPlus(today(), 3))).toBe('in 3 days');
  });
});
