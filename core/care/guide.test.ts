import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { survey } from '../survey/survey';
import { example, scape } from '../testing/scape';
import { standingIn } from '../testing/standing';
import { resolved } from '../testing/resolved';
import { inEnglish } from '../words/english';
import { say } from '../words/text';
import { datesKept, guideWords } from './guide';

/** What the guide says of a root with soil, as it is and changed. */
function said(change: (c: Commission) => void = () => {}) {
  const commission = structuredClone(example('held-root'));
  change(commission);
  const { unplug, refill, passes } = guideWords(resolved(commission, survey(commission)));
  return [unplug, refill, passes].map((text) => inEnglish(text));
}
const device = (id: string, kind: 'heater' | 'filter' | 'lamp') => ({ id, name: id, kind, watts: 20 });

describe('what the guide says', () => {
  it('speaks of what is there alone', () => {
    // The root has its stone, and nobody noted what runs there.
    expect(said()).toEqual([
      'Pull the plugs of heater and pump first.',
      'Refill slowly over the large stone',
      'These pass by themselves: white slime on new wood for two or three weeks, a few melting leaves, a little brown dust on the stones.',
    ]);
    const bare = said((c) => {
      c.options[0] = { ...c.options[0], pieces: [], joints: [], plants: [] };
      c.site = { ...c.site, devices: [device('filter', 'filter'), device('lamp', 'lamp')] };
    });
    expect(bare).toEqual([
      'Pull the plug of the pump first.',
      'Refill slowly over a plate laid on the bed',
      'These pass by themselves: a little brown dust on the glass.',
    ]);
    const lit = said((c) => (c.site = { ...c.site, devices: [device('lamp', 'lamp')] }));
    expect(lit[0]).toBe('Pull every plug first.');
  });

  it('says wood that has lived in another tank without its slime', () => {
    const lived = said((c) => c.options[0].pieces.forEach((p) => (p.state = 'living')));
    expect(lived[2]).not.toContain('slime');
  });

  it('says nothing of melting leaves where nothing is planted that has not grown there', () => {
    const stands = standingIn(scape());
    const grown = guideWords(resolved(stands, survey(stands)));
    expect(inEnglish(grown.passes)).not.toContain('melting');
    const another = standingIn(scape(), ({ plants }) => ({ plants: [...plants, { id: 'new', plant: 'grass', count: 12 }] })); // prettier-ignore
    expect(inEnglish(guideWords(resolved(another, survey(another))).passes)).toContain('melting');
  });

  it('says the same of days in a row once', () => {
    const [dose, fish] = [say('event.gaps'), say('event.review')];
    const days = [[dose], [dose, fish], [], [dose]].map((events, i) => ({
      day: `2027-01-0${i + 1}`,
      events,
    }));
    expect(datesKept(days)).toEqual([
      { from: '2027-01-01', to: '2027-01-02', what: dose },
      { from: '2027-01-02', to: '2027-01-02', what: fish },
      { from: '2027-01-04', to: '2027-01-04', what: dose },
    ]);
  });
});
