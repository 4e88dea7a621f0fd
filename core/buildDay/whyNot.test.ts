import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { carpet, sand, stone } from '../testing/job';
import { example, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { whyNotEarlier } from './whyNot';

/** Every task of a day with what it waits for, in words. */
function asked(commission: Commission) {
  const { tasks } = plan(commission).build;
  return new Map(
    tasks.map((t) => {
      const { says, because, waitedFor } = whyNotEarlier(t, tasks);
      return [t.id, { says: inEnglish(says), because: because && inEnglish(because), waitedFor, task: t }];
    }),
  );
}
const all = asked(scape({ option: { bed: [soil({ kind: 'ramp', frontMm: 40, backMm: 80 }), sand(10)], pieces: [stone()], plants: [carpet] } })); // prettier-ignore

describe('why a task is not done earlier', () => {
  it('is what it needs, and why', () => {
    expect(all.get('gaps')!.waitedFor).toEqual(['close']);
    expect(all.get('gaps')!.because).toBe('Through open gaps the bed runs out.');
    expect(all.get('fill')!.says).toMatch(/^It waits for: /);
  });

  it('is the first of the day, or hands that are not free, which it does not need', () => {
    const first = [...all.values()].filter(({ task }) => task.startMin === 0);
    expect(first.map((w) => w.says)).toEqual(first.map(() => 'It begins the day.'));
    const busy = [...all.values()].filter((w) => w.says.startsWith('No hands are free'));
    expect(busy.length).toBeGreaterThan(0);
    for (const { task, waitedFor } of busy)
      for (const id of waitedFor) expect(Object.keys(task.needs)).not.toContain(id);
  });

  it('is the glue while it grabs', () => {
    const cured = [...asked(example('held-root'))].filter(([, w]) => w.says.includes('cured'));
    expect(cured.map(([id]) => id)).toEqual(['wiggle']);
  });
});
