import { describe, expect, it } from 'vitest';
import { plantedPlan } from '../../../core/planted/planted';
import { resolved } from '../../../core/testing/resolved';
import { example } from '../../../core/testing/scape';
import { survey } from '../../../core/survey/survey';
import { FILM_WEEKS, grownIn, grownOf, STILL_WEEKS } from './weeks';

const doc = example('held-root');
const measured = survey(doc);
const { parts } = plantedPlan(resolved(doc), measured);
const drawn = { vessel: doc.vessel, option: doc.options[0], eye: [0, -900, 300] as const, parts };

describe('the scape growing', () => {
  it('goes from the day it is planted to week 16 in even steps, of which the stills are some', () => {
    expect([FILM_WEEKS[0], FILM_WEEKS.at(-1)]).toEqual([0, 16]);
    expect(FILM_WEEKS.slice(1).every((w, i) => w - FILM_WEEKS[i] === 0.5)).toBe(true);
    expect(STILL_WEEKS.every((w) => FILM_WEEKS.includes(w))).toBe(true);
    const covers = FILM_WEEKS.map((w) => grownIn(parts, w)[0].cover);
    expect(covers.every((c, i) => i === 0 || c >= covers[i - 1] - 1e-9)).toBe(true);
    expect(covers.at(-1)).toBeGreaterThan(covers[0]);
  });

  it('is drawn anew where something of it is another, and not for another object of the same', () => {
    expect(grownOf(structuredClone(drawn))).toBe(grownOf(drawn));
    expect(grownOf({ ...drawn, eye: [0, -901, 300] })).not.toBe(grownOf(drawn));
    expect(grownOf({ ...drawn, parts: parts.slice(1) })).not.toBe(grownOf(drawn));
  });
});
