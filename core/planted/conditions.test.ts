import { describe, expect, it } from 'vitest';
import { root } from '../testing/job';
import { resolved } from '../testing/resolved';
import { parsed, scape } from '../testing/scape';
import { survey } from '../survey/survey';
import { livingOf } from './conditions';

describe('the water that plants will have', () => {
  const tinted = (brief: object) => {
    const s = scape({ option: { pieces: [root()] } });
    const doc = parsed({ ...s, brief: { ...s.brief, ...brief } });
    const measured = survey(doc);
    return livingOf(resolved(doc, measured), measured).tinted;
  };

  it('is tinted by new wood, and not by what has lain in this tank', () => {
    expect(tinted({})).toBe(true);
    expect(tinted({ rescape: { stays: ['wood'], filterKept: true } })).toBe(false);
    expect(tinted({ rescape: { stays: ['stone'], filterKept: true } })).toBe(true);
  });
});
