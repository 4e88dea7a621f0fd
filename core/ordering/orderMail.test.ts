import { describe, expect, it } from 'vitest';
import { inEnglish } from '../words/english';
import { orderMail, type Written } from './orderMail';

const ORDER: Written = {
  reference: 'marl-1a2b',
  supplier: { name: 'Marl & Timber Yard', contact: 'The yard office' },
  wantedBy: '2027-01-12',
  currency: 'GBP',
  carriageMinor: 1_200,
  lines: [
    { pack: 'soil-9', name: 'Active soil', words: '4 × 9 L bag', count: 4, priceMinor: 12_800 },
    { pack: 'pot-1', name: 'Marsilea hirsuta', count: 6, priceMinor: 3_900, isLiving: true },
  ],
};
const letter = (order: Written) => orderMail(order, { name: 'Fenwick Row Planted Interiors', phone: '020 7946 0000' }).lines.map((l) => inEnglish(l)); // prettier-ignore

describe('an order as a letter', () => {
  it('has every line with the supplier’s own number, what it comes to, and by when', () => {
    const text = letter(ORDER);
    expect(text[0]).toBe('The yard office, please send us:');
    expect(text).toContain('4 × 9 L bag Active soil (your number soil-9), GBP 128.00');
    expect(text).toContain('6 × Marsilea hirsuta (your number pot-1), GBP 39.00');
    // 128 + 39 and 12.
    expect(text).toContain('Goods GBP 167.00, carriage GBP 12.00, GBP 179.00 in all.');
    expect(text.join('\n')).toMatch(/Wanted by .*12 Jan/);
    expect(text.at(-1)).toBe('020 7946 0000');
  });

  it('says of what lives that somebody has to be there, and of nothing else', () => {
    const living = (order: Written) => letter(order).some((l) => l.includes('somebody has to be there'));
    expect(living(ORDER)).toBe(true);
    expect(living({ ...ORDER, lines: ORDER.lines.slice(0, 1) })).toBe(false);
  });
});
