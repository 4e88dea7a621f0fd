import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { changesBetween, inverse, placeOf, waitingChanges, type Change } from './changes';
import { fitting } from './fitting';
import { merged } from './merge';
import type { Commission } from './schema';
import { faultLine } from './faultLine';

const base = (): Commission => structuredClone(example('held-root'));
const edited = (change: (d: Commission) => void): Commission => {
  const d = base();
  change(d);
  return d;
};
const over = (theirs: Commission, mine: Commission, force = false) =>
  merged(theirs, changesBetween(base(), mine), force);

describe('what changed', () => {
  it('names fields by name and entries by id, with what was and what is', () => {
    const after = edited((d) => {
      d.title = 'Tide pool';
      d.options[0].pieces[1].at = [10, 20];
      delete d.vessel.labelL;
      d.options[0].joints = [];
    });
    const changes = changesBetween(base(), after);
    expect(changes.map((c) => placeOf(c.path))).toEqual(
      [
        'title',
        `options[a].pieces[${base().options[0].pieces[1].id}].at`,
        `options[a].joints[${base().options[0].joints[0].id}]`,
      ].filter((p) => changes.some((c) => placeOf(c.path) === p)),
    );
    expect(changes[0]).toEqual({ path: ['title'], was: 'Held root', is: 'Tide pool' });
  });

  it('looks into nothing that both share', () => {
    const d = base();
    const trap = new Proxy(
      {},
      {
        ownKeys: () => {
          throw new Error('looked into');
        },
      },
    );
    const a = { ...d, brief: trap };
    expect(changesBetween(a, { ...a, title: 'x' })).toHaveLength(1);
  });

  it('is taken back by its inverse', () => {
    const after = edited((d) => {
      d.options[0].pieces.reverse();
      d.options[0].pieces.pop();
      d.options[0].plants = [];
      d.brief.crew = 4;
    });
    const changes = changesBetween(base(), after);
    expect(merged(base(), changes)).toEqual({ document: after, clashes: [] });
    expect(merged(after, inverse(changes))).toEqual({ document: base(), clashes: [] });
  });
});

describe('two places', () => {
  it('keep both when they changed different fields, entries or fields of one entry', () => {
    const [first, second] = base().options[0].pieces.map((p) => p.id);
    const mine = edited((d) => {
      d.title = 'mine';
      d.options[0].pieces[0].turnDeg = 30;
      d.options[0].pieces.push({ ...d.options[0].pieces[0], id: 'S-9' });
    });
    const theirs = edited((d) => {
      d.brief.crew = 3;
      d.options[0].pieces[0].at = [1, 2];
      d.options[0].pieces = d.options[0].pieces.filter((p) => p.id !== second);
    });
    const { document, clashes } = over(theirs, mine);
    expect(clashes).toEqual([]);
    expect([document.title, document.brief.crew]).toEqual(['mine', 3]);
    expect(document.options[0].pieces.map((p) => p.id)).toEqual([first, 'S-9']);
    expect(document.options[0].pieces[0]).toMatchObject({ turnDeg: 30, at: [1, 2] });
  });

  it('clash where the same thing was changed, and where one changed what the other took out', () => {
    const [gone] = base().options[0].pieces.map((p) => p.id);
    const mine = edited((d) => {
      d.title = 'mine';
      d.options[0].pieces[0].turnDeg = 30;
    });
    const theirs = edited((d) => {
      d.title = 'theirs';
      d.options[0].pieces.shift();
    });
    const { document, clashes } = over(theirs, mine);
    expect(document).toEqual(theirs);
    expect(clashes.map((c) => [placeOf(c.change.path), c.change.is, c.theirs])).toEqual([
      ['title', 'mine', 'theirs'],
      [`options[a].pieces[${gone}].turnDeg`, 30, undefined],
    ]);
    expect(over(theirs, mine, true).document.title).toBe('mine');
  });

  it('do not clash over the same answer, nor over what reading fills in', () => {
    const put = (extra: object) =>
      edited((d) => {
        const { tiltDeg: _t, ...piece } = d.options[0].pieces[0];
        d.options[0].pieces.push({ ...piece, id: 'S-9', ...extra } as never);
      });
    expect(over(put({ tiltDeg: [0, 0] }), put({}))).toMatchObject({ clashes: [] });
    expect(over(put({ tiltDeg: [0, 0] }), put({})).document.options[0].pieces).toHaveLength(
      base().options[0].pieces.length + 1,
    );
  });

  it('keep both stones when each counted on to the same id, and what is glued to mine follows it', () => {
    const [first] = base().options[0].pieces;
    const mine = edited((d) => {
      d.options[0].pieces.push({ ...first, id: 'S-9', at: [11, 11] });
      d.options[0].joints.push({ id: 'J-9', pieces: [first.id, 'S-9'], method: 'tie' });
    });
    const theirs = edited((d) => d.options[0].pieces.push({ ...first, id: 'S-9', at: [99, 99] }));
    const { document, clashes } = over(theirs, mine);
    expect(clashes).toEqual([]);
    const at = (id: string) => document.options[0].pieces.find((p) => p.id === id)?.at;
    expect([at('S-9'), at('S-9-2')]).toEqual([
      [99, 99],
      [11, 11],
    ]);
    expect(document.options[0].joints.at(-1)!.pieces).toEqual([first.id, 'S-9-2']);
  });
});

describe('many changes of one list', () => {
  it('each keep their own entry, in the time that as many take', () => {
    const many = 3_000;
    const puts = Array.from({ length: many }, (_, i): Change => ({
      path: ['log', { id: 'l' }],
      is: { id: 'l', date: '2026-11-25', text: `note ${i}` },
      after: null,
    }));
    const { document, clashes } = merged({ log: [{ id: 'l', text: 'theirs' }] }, puts);
    expect(clashes).toEqual([]);
    expect(new Set(document.log.map((e) => e.id)).size).toBe(many + 1);
    expect(Math.max(...document.log.map((e) => e.id.length))).toBeLessThan(8);
    // What follows names the entry that was put in last.
    const then: Change[] = [...puts.slice(0, 2), { path: ['log', { id: 'l' }, 'text'], was: 'note 1', is: 'mine' }]; // prettier-ignore
    const after = merged({ log: [{ id: 'l', text: 'theirs' }] }, then).document.log;
    expect(after.find((e) => e.id === 'l-3')?.text).toBe('mine');
    expect(after.find((e) => e.id === 'l')?.text).toBe('theirs');
  });
});

describe('changes that do not go together', () => {
  it('leave out the joint to a stone that is gone, say why, and keep the rest', () => {
    const [first] = base().options[0].pieces;
    const mine = edited((d) => {
      d.title = 'mine';
      d.options[0].joints.push({ id: 'J-9', pieces: [d.options[0].pieces[1].id, first.id], method: 'tie' });
    });
    const theirs = edited((d) => {
      d.options[0].joints = [];
      d.options[0].pieces = d.options[0].pieces.filter((_, i) => i !== 1);
    });
    const { document, clashes } = fitting(theirs, changesBetween(base(), mine));
    expect(document).toEqual({ ...theirs, title: 'mine' });
    expect(clashes).toHaveLength(1);
    expect(faultLine(clashes[0].unfit!)).toMatch(
      /joints\[0\]\.pieces\[0\]: is ".+", must be the id of a piece/,
    );
  });
});

describe('saves of which nobody knows whether they arrived', () => {
  const titled = (title: string) => edited((d) => (d.title = title));
  const stone = (at: [number, number]) =>
    edited((d) => d.options[0].pieces.push({ ...d.options[0].pieces[0], id: 'S-9', at }));

  it.each(['Held root', 'half', 'more', 'whole'])('are one’s own, whichever arrived: %s', (arrived) => {
    const waiting = waitingChanges(base(), [titled('half'), titled('more')], titled('whole'));
    expect(merged(titled(arrived), waiting)).toEqual({ document: titled('whole'), clashes: [] });
    expect(merged(titled('somebody else’s'), waiting).clashes).toHaveLength(1);
  });

  it('put back what was changed and changed back, and do not double a stone', () => {
    const back = waitingChanges(base(), [titled('half')], base());
    expect(merged(titled('half'), back).document.title).toBe('Held root');
    expect(merged(base(), back)).toEqual({ document: base(), clashes: [] });
    const moved = waitingChanges(base(), [stone([1, 1])], stone([2, 2]));
    expect(merged(stone([1, 1]), moved)).toEqual({ document: stone([2, 2]), clashes: [] });
    const away = waitingChanges(base(), [stone([1, 1])], base());
    expect(merged(stone([1, 1]), away)).toEqual({ document: base(), clashes: [] });
  });
});

/** Small documents with nested fields and lists with ids, like a commission but quick to make. */
const entry = fc.record({
  id: fc.constantFrom('p', 'q', 'r', 's'),
  n: fc.nat(3),
  deep: fc.option(fc.record({ m: fc.nat(3) }), { nil: undefined }),
});
const list = fc.uniqueArray(entry, { selector: (e) => e.id, maxLength: 4 });
const doc = fc.record({
  a: fc.nat(3),
  b: fc.record({ c: fc.nat(3), ring: fc.array(fc.nat(3), { maxLength: 3 }) }),
  list,
});

describe('as properties', () => {
  const plain = (v: unknown) => JSON.parse(JSON.stringify(v));

  it('what changed, made again, gives the other; turned round, the first', () => {
    fc.assert(
      fc.property(doc, doc, (x, y) => {
        const changes = changesBetween(x, y);
        expect(plain(merged(x, plain(changes), false).document)).toEqual(plain(y));
        expect(plain(merged(y, inverse(changes)).document)).toEqual(plain(x));
      }),
    );
  });

  it('made twice is made once, and what only they changed stays', () => {
    fc.assert(
      fc.property(doc, doc, fc.nat(3), (x, y, crew) => {
        const changes = changesBetween(x, y);
        expect(plain(merged(y, changes).document)).toEqual(plain(y));
        const theirs = { ...x, crew };
        const { document, clashes } = merged(theirs, changes);
        expect(clashes).toEqual([]);
        expect(plain(document)).toEqual(plain({ ...y, crew }));
      }),
    );
  });
});
