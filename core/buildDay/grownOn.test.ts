import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { withHeld } from '../edits/plantings';
import { plan } from '../pipeline/plan';
import { plantedPlan } from '../planted/planted';
import { survey } from '../survey/survey';
import { root, stone } from '../testing/job';
import { resolved } from '../testing/resolved';
import { parsed, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';

/* Plants that have grown onto a piece in another tank: they come with it. */

const living = { origin: 'stock', state: 'living' } as const;
/** A root with a fern on it, a stone beside it. */
function with_(part: object, piece: Parameters<typeof root>[0] = living): Commission {
  const doc = structuredClone(scape()) as any;
  Object.assign(doc.options[0], { bed: [soil({ kind: 'level', mm: 60 })], pieces: [stone(), root(piece)], plants: [{ id: 'M', plant: 'fern', on: 'R-1', count: 6, ...part }] }); // prettier-ignore
  return parsed(doc);
}
const needed = (c: Commission) => plan(c).takeOff.lines.find((l) => l.id === 'fern')!.needed.value;
const tasks = (c: Commission) => plan(c).build.tasks.map((t) => t.id);
const says = (c: Commission) => plantedPlan(resolved(c), survey(c)).findings.filter((f) => f.id === 'plant.grown').map((f) => inEnglish(f.says)); // prettier-ignore

describe('a plant that has grown onto its piece', () => {
  it('is bought, glued and dabbed with gel by nobody; the piece is neither scrubbed nor soaked', () => {
    const [glued, grown] = [with_({}), with_({ held: 'grown' })];
    expect([needed(glued), needed(grown)]).toEqual([6, 0]);
    expect([glued, grown].map((c) => tasks(c).includes('epiphytes'))).toEqual([true, false]);
    expect(plan(grown).build.tasks.find((t) => t.id === 'wash')!.workings[0].value).toBe(1);
    const gel = (c: Commission) => plan(c).takeOff.lines.find((l) => inEnglish(l.name).includes('glue'))?.needed.value ?? 0; // prettier-ignore
    expect(gel(grown)).toBeLessThan(gel(glued));
    const own = plan(grown).build.beforehand.map((b) => inEnglish(b.title));
    expect(own).toContain('Set aside: R-1');
    expect(says(grown)).toEqual([]);
  });

  it('says a piece on which nothing is said to live, and a plant that stands on none', () => {
    const dry = with_({ held: 'grown' }, { origin: 'stock' });
    expect(says(dry)).toEqual([expect.stringMatching(/has grown onto R-1, which is not said/)]);
    expect(says(with_({ held: 'grown', on: undefined }))).toEqual([expect.stringMatching(/stands on none/)]);
    const held = withHeld(dry.options[0], 'M', 'grown');
    expect(held.pieces.find((p) => p.id === 'R-1')!.state).toBe('living');
    expect('held' in withHeld(held, 'M', 'glue').plants[0]).toBe(false);
  });
});
