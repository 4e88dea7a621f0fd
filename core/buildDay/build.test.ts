import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import { say } from '../words/text';
import type { Layer } from '../commission/schema';
import { survey } from '../survey/survey';
import { job } from '../testing/job';
import { example, scape, soil } from '../testing/scape';
import { buildPlan, clockOf } from './buildPlan';
import { RATES } from './rates';
import { longestChain, schedule, type Scheduled } from './schedule';
import type { Task } from './task';
import { resolved } from '../testing/resolved';

const planned = (commission: ReturnType<typeof scape>) => {
  const s = survey(commission);
  return spoken(buildPlan(resolved(commission, s), s));
};
const task = (id: string, minutes: number, needs: string[] = [], rest: Partial<Task> = {}): Task => ({
  id,
  minutes,
  needs: Object.fromEntries(needs.map((n) => [n, say('why.dry')])),
  phase: 'prepare',
  title: id,
  detail: say('clear-up.detail'),
  people: 1,
  workings: [],
  ...rest,
});

/** Every need done and cured before, nobody in two places. */
type Timed = Pick<Scheduled, 'id' | 'startMin' | 'endMin' | 'crew'> & {
  needs: object;
  cure?: { minutes: number };
};
function sound(list: readonly Timed[]): void {
  for (const t of list) {
    for (const id of Object.keys(t.needs)) {
      const need = list.find((n) => n.id === id)!;
      expect(t.startMin).toBeGreaterThanOrEqual(need.endMin + (need.cure?.minutes ?? 0));
    }
    for (const other of list)
      if (other !== t && other.crew.some((p) => t.crew.includes(p)))
        expect(other.endMin <= t.startMin || t.endMin <= other.startMin).toBe(true);
  }
}

describe('the pace of a crew', () => {
  it('stretches what hands do, and not what the hose does; the working says so', () => {
    const at = (pace?: number) => job({ brief: { ...(pace ? { pace } : {}) }, option: { bed: [soil({ kind: 'level', mm: 50 })] } }).build.tasks; // prettier-ignore
    const minutes = (tasks: ReturnType<typeof at>, id: string) => tasks.find((t) => t.id === id)!.minutes;
    const [usual, slow] = [at(), at(1.5)];
    expect(minutes(slow, 'fill')).toBe(minutes(usual, 'fill'));
    expect(Math.abs(minutes(slow, 'soil') - 1.5 * minutes(usual, 'soil'))).toBeLessThanOrEqual(1);
    expect(slow.find((t) => t.id === 'soil')!.workings.at(-1)).toMatchObject({ value: 1.5, unit: '×' });
    expect(at(1)).toEqual(usual);
  });
});

describe('schedule', () => {
  it('shares work between two and waits for what cures', () => {
    const list = schedule(
      [
        task('glue', 10, [], { cure: { what: say('joints.cure'), minutes: 30 } }),
        task('other', 15),
        task('load', 5, ['glue']),
      ],
      2,
    );
    expect(list.map((t) => [t.id, t.startMin, t.endMin])).toEqual([
      ['glue', 0, 10],
      ['other', 0, 15],
      ['load', 40, 45],
    ]);
    expect(longestChain(list).map((t) => t.id)).toEqual(['glue', 'load']);
  });

  it('keeps every need and never asks a person twice, for any tasks and crew', () => {
    const tasks = fc.array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 90 }),
        needs: fc.array(fc.nat(30), { maxLength: 3 }),
        two: fc.boolean(),
        cure: fc.nat(60),
      }),
      { minLength: 1, maxLength: 14 },
    );
    fc.assert(
      fc.property(tasks, fc.integer({ min: 1, max: 4 }), (drafts, crew) => {
        const list = schedule(
          drafts.map((d, i) =>
            task(
              `t${i}`,
              d.minutes,
              d.needs.filter((n) => n < i).map((n) => `t${n}`),
              { people: d.two ? 2 : 1, cure: { what: say('joints.cure'), minutes: d.cure } },
            ),
          ),
          crew,
        );
        expect(list).toHaveLength(drafts.length);
        sound(list);
        const chain = longestChain(list);
        expect(chain[0].startMin).toBe(0);
        expect(chain.at(-1)!.endMin).toBe(Math.max(...list.map((t) => t.endMin)));
      }),
    );
  });

  it('refuses tasks that need each other', () => {
    expect(() => schedule([task('a', 1, ['b']), task('b', 1, ['a'])], 1)).toThrow(/ring/);
  });
});

describe('build day', () => {
  it('has a step for what there is, and none for what there is not', () => {
    const cube = planned(example('level-cube')).tasks.map((t) => t.id);
    expect(cube).toEqual(expect.arrayContaining(['protect', 'soil', 'equipment', 'fill', 'start']));
    for (const id of [
      'sand',
      'rinse',
      'stones',
      'wood',
      'joints',
      'filler',
      'prepare-gel',
      'prepare-wool',
      'wash',
      'gaps',
      'close',
      'dam',
    ])
      expect(cube).not.toContain(id);
    const root = planned(example('held-root')).tasks.map((t) => t.id);
    expect(root).toEqual(
      expect.arrayContaining([
        'stones',
        'wood',
        'joints',
        'wiggle',
        'gaps',
        'wash',
        'prepare-gel',
        'plant-carpet-grass-0',
        'plant-carpet-grass-1',
      ]),
    );
    expect(root).not.toContain('sand');
    const path: Layer = { id: 'p', material: 'sand', top: { kind: 'level', mm: 20 } };
    expect(planned(scape({ option: { bed: [path] } })).tasks.map((t) => t.id)).toEqual(
      expect.arrayContaining(['rinse', 'sand']),
    );
  });

  it('goes in the trade’s order and is sound for a crew of one to four', () => {
    for (const crew of [1, 2, 3, 4]) {
      const commission = structuredClone(example('held-root'));
      commission.brief.crew = crew;
      const { tasks, doneMin } = planned(commission);
      sound(tasks);
      const at = (id: string) => tasks.find((t) => t.id === id)!.startMin;
      const order = [
        'protect',
        'soil',
        'stones',
        'wood',
        'joints',
        'wiggle',
        'gaps',
        'plant-carpet-grass-0',
        'fill',
        'start',
      ];
      order
        .slice(1)
        .filter((id) => tasks.some((t) => t.id === id))
        .forEach((id, i) => expect(at(id)).toBeGreaterThan(at(order[i])));
      expect(tasks.every((t) => t.crew.every((p) => p < crew))).toBe(true);
      expect(doneMin).toBeGreaterThan(120);
    }
  });

  it('takes its durations from measured quantities and stated rates', () => {
    const commission = example('level-cube');
    const s = survey(commission);
    const { tasks } = planned(commission);
    expect(tasks.find((t) => t.id === 'soil')!.minutes).toBe(Math.round(3.6 * RATES.pourPerL));
    expect(tasks.find((t) => t.id === 'fill')!.minutes).toBe(Math.round((s.freeWaterL + s.poreWaterL) / 3));
  });

  it('asks for as many people as the lifting advice gives, and for a hoist where that is more than find a hold', () => {
    const onGlass = (sizeMm: [number, number, number]) =>
      scape({
        option: {
          pieces: [
            {
              id: 'S',
              material: 'granite',
              shape: { kind: 'box', sizeMm },
              at: [300, 180],
              turnDeg: 0,
              stand: { kind: 'floor' },
            },
          ],
        },
      });
    const lift = planned(onGlass([200, 150, 200])).tasks.find((t) => t.id === 'floor-stones')!;
    expect(lift.people).toBe(2);
    expect(lift.crew).toEqual([0, 1]);
    expect(lift.caution).toMatch(/S 15\.9 kg.*with 2 people, gloves on/);
    // 31.8 kg by 11.5 kg each are three; two have come.
    const three = planned(onGlass([300, 200, 200]));
    expect(three.tasks.find((t) => t.id === 'floor-stones')).toMatchObject({ people: 3, crew: [0, 1] });
    expect(three.findings).toMatchObject([{ id: 'build.hands', measured: 2, limit: 3 }]);
    const hoist = planned(onGlass([300, 240, 300])).tasks.find((t) => t.id === 'floor-stones')!;
    expect(hoist.caution).toMatch(/S 57\.2 kg\. That is more than find a hold around a rim: a hoist/);
    expect(hoist.caution).not.toMatch(/gloves on/);
  });

  it('keeps a list of days before, a lane for what waits, and the caution at power and glue', () => {
    const commission = structuredClone(example('held-root'));
    commission.catalogue.materials[2].soakDays = 14;
    commission.options[0].joints.push({ id: 'J-2', pieces: ['S-1', 'R-1'], method: 'silicone' });
    const { beforehand, lanes, tasks } = planned(commission);
    expect(beforehand.map((b) => [b.day, b.title])).toEqual([
      ['2026-12-17', 'Start maturing the filter media'],
      ['2027-01-12', 'Join outside, silicone: J-2'],
    ]);
    // The stone holds the root down; without a joint it would float, and soaks.
    const loose = structuredClone(commission);
    loose.options[0].joints = [];
    expect(planned(loose).beforehand.map((b) => [b.day, b.title])).toContainEqual(['2026-12-31', 'Into the tub: R-1']); // prettier-ignore
    expect(lanes.map((l) => l.kind)).toEqual(['cures', 'plants']);
    expect(tasks.find((t) => t.id === 'start')!.caution).toMatch(/residual-current device/);
    expect(tasks.find((t) => t.id === 'joints')!.caution).toMatch(/gloves/);
  });

  it('tells clock times', () => {
    expect(clockOf('08:30', 95)).toBe('10:05');
    expect(clockOf('23:50', 20)).toBe('00:10');
  });

  it('finds a day that is too long', () => {
    const commission = scape({
      inner: [1800, 600, 600],
      option: {
        bed: [{ id: 's', material: 'soil', top: { kind: 'ramp', frontMm: 50, backMm: 150 } }],
        plants: [{ id: 'P', plant: 'grass', count: 900 }],
      },
    });
    commission.brief.crew = 1;
    expect(planned(commission).findings.map((f) => f.id)).toEqual([
      'build.midnight',
      'build.long',
      'build.out',
    ]);
  });
});
