import { describe, expect, it } from 'vitest';
import { underWay } from './underWay';

describe('what is under way', () => {
  it('has room for all and for each, and room again for what has gone', () => {
    const way = underWay({ all: 100, ofOne: 40 });
    way.count(41, 'ines');
    expect([way.isTooMuch('ines'), way.isTooMuch('tom'), way.isTooMuch(undefined)]).toEqual([true, false, false]); // prettier-ignore
    way.count(-41, 'ines');
    way.count(30, 'ines');
    expect(way.isTooMuch('ines')).toBe(false);
    // Without a person there is only the whole.
    way.count(70, undefined);
    expect(way.isTooMuch(undefined)).toBe(false);
    way.count(1, undefined);
    expect([way.isTooMuch(undefined), way.isTooMuch('tom')]).toEqual([true, true]);
  });
});
