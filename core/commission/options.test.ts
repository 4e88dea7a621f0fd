import { describe, expect, it } from 'vitest';
import { parsed, scape } from '../testing/scape';
import { broughtBack, duplicated, freshOptionId, putAside, reordered } from './options';

const ids = (d: { options: { id: string }[] }) => d.options.map((o) => o.id).join('');
const two = () => duplicated(scape(), 'a').document;

describe('options', () => {
  it('are duplicated beside the original, whole, under the next letter', () => {
    const d = two();
    expect(ids(d)).toBe('ab');
    expect(d.options[1]).toEqual({ ...d.options[0], id: 'b', title: 'A, again' });
    expect(ids(duplicated(d, 'a').document)).toBe('acb');
    expect(duplicated(d, 'nowhere').document).toBe(d);
  });

  it('are moved, and stop at the ends', () => {
    const d = duplicated(two(), 'b').document;
    expect(ids(reordered(d, 'a', 1))).toBe('bac');
    expect(ids(reordered(d, 'c', -5))).toBe('cab');
    expect(reordered(d, 'a', -1)).toBe(d);
  });

  it('go on the shelf and come back as they were, the chosen one handing on the choice', () => {
    const d = two();
    const shelved = putAside(d, 'a');
    expect([ids(shelved), shelved.chosen, shelved.shelved?.map((o) => o.id)]).toEqual(['b', 'b', ['a']]);
    expect(parsed(shelved)).toEqual(shelved);
    const back = broughtBack(shelved, 'a');
    expect(ids(back)).toBe('ba');
    expect(back.options[1]).toEqual(d.options[0]);
    expect(back.shelved).toBeUndefined();
    expect(broughtBack(back, 'a')).toBe(back);
  });

  it('keep the last one, and never give a letter twice', () => {
    const one = scape();
    expect(putAside(one, 'a')).toBe(one);
    expect(freshOptionId(putAside(two(), 'b'))).toBe('c');
  });
});
