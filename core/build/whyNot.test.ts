import { describe, expect, it } from 'vitest';
import { carpet, job, sand, stone } from '../testing/job';
import { soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { whyNotEarlier } from './whyNot';

const p = job({
  option: { bed: [soil({ kind: 'level', mm: 60 }), sand(10)], pieces: [stone()], plants: [carpet] },
});
const why = (id: string) => {
  const found = whyNotEarlier(p.build.tasks.find((t) => t.id === id) as never, p.build.tasks as never);
  return { ...found, says: inEnglish(found.says), because: found.because && inEnglish(found.because) };
};

describe('why a task is not done earlier', () => {
  it('is what it needs, and why', () => {
    expect(why('gaps').waitedFor).toEqual(['close']);
    expect(why('gaps').because).toBe('Through open gaps the bed runs out.');
    expect(why('fill').says).toMatch(/^It waits for: /);
  });

  it('is the first of the day, or hands that are not free', () => {
    const first = p.build.tasks.find((t) => t.startMin === 0)!;
    expect(why(first.id).says).toBe('It begins the day.');
    const alone = p.build.tasks.filter((t) => why(t.id).says.startsWith('No hands are free'));
    for (const t of alone) expect(t.needs).not.toContain(why(t.id).waitedFor[0]);
  });

  it('is the glue while it grabs', () => {
    const { build } = plan(example('held-root'));
    const cured = build.tasks.filter((t) => inEnglish(whyNotEarlier(t, build.tasks).says).includes('cured'));
    expect(cured.map((t) => t.id)).toEqual(['wiggle']);
  });
});
