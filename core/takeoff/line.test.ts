import { describe, expect, it } from 'vitest';
import { inEnglish, spoken } from '../words/english';
import type { Pack } from '../commission/schema';
import { lineOf, packWordsOf, type Need } from './line';

const pack = (id: string, size: number, unit: Pack['unit'], priceMinor: number, name?: string): Pack => ({
  id,
  size,
  unit,
  priceMinor,
  supplier: 'yard',
  leadDays: 4,
  ...(name ? { name } : {}),
});
const need = (rest: Partial<Need>): Need => ({
  id: 'sand',
  kind: 'substrate',
  name: 'Sand',
  measured: { value: 4, unit: 'L' },
  needed: { value: 4, unit: 'L' },
  workings: [{ step: 'to pour', value: 4, unit: 'L' }],
  packs: undefined,
  ...rest,
});

describe('packs in words', () => {
  it.each<[number, Pack, string]>([
    [3, pack('a', 9, 'L', 1, 'bag'), '3 × 9 L bag'],
    [1, pack('a', 8, 'plug', 1, 'cup'), '1 cup'],
    [14, pack('a', 8, 'plug', 1, 'cup'), '14 cups'],
    [3, pack('a', 6, 'plug', 1, 'box'), '3 boxes'],
    [2, pack('a', 6, 'plug', 1, 'bunch'), '2 bunches'],
    [2, pack('a', 8, 'plug', 1), '2 packs'],
    [1, pack('a', 1, 'piece', 1), '1 piece'],
    [2, pack('a', 1, 'piece', 1), '2 pieces'],
    [45, pack('a', 1, 'kg', 1), '45 kg'],
    [2, pack('a', 2.5, 'kg', 1), '2 × 2.5 kg'],
  ])('%i of a pack', (count, of, words) => {
    expect(inEnglish(packWordsOf(count, of))).toBe(words);
  });
});

describe('a line', () => {
  it('compares packs by mass and by volume through the bulk density', () => {
    // 4 L at 1.5 kg/L are 6 kg: two bags of 5 kg at 12.00, or one of 5 L at 10.00.
    const packs = [pack('kg', 5, 'kg', 600), pack('l', 5, 'L', 1000)];
    expect(lineOf(need({ packs, bulkKgPerL: 1.5 })).packs).toEqual([{ pack: 'l', count: 1 }]);
    expect(lineOf(need({ packs: [packs[0]], bulkKgPerL: 1.5 })).packs).toEqual([{ pack: 'kg', count: 2 }]);
  });

  it('has no pack when none can be compared, and says that it is not priced', () => {
    expect(lineOf(need({ packs: [pack('kg', 5, 'kg', 600)] }))).toMatchObject({
      packs: [],
      priced: false,
      priceMinor: 0,
    });
    expect(lineOf(need({}))).toMatchObject({ packs: [], priced: false });
  });

  it('ends its workings with the packs and what is over', () => {
    const line = spoken(lineOf(need({ packs: [pack('l', 3, 'L', 500, 'bag')] })));
    expect(line).toMatchObject({ priceMinor: 1000, packWords: '2 × 3 L bag', priced: true });
    expect(line.workings.at(-1)).toEqual({
      step: '2 × 3 L bag',
      value: 6,
      unit: 'L',
      note: '2 L over; the least price in whole packs',
    });
  });

  it('buys nothing for nothing', () => {
    const none = lineOf(need({ needed: { value: 0, unit: 'L' }, packs: [pack('l', 3, 'L', 500)] }));
    expect(none).toMatchObject({ packs: [], priced: true, priceMinor: 0 });
    expect(none.workings).toHaveLength(1);
  });
});
