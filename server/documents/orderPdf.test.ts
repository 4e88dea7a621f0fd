import { describe, expect, it } from 'vitest';
import { wordsOfPdf } from '../../e2e/pdf';
import type { SupplierRequest } from '../supplierLink';
import { orderPdf } from './orderPdf';

const line = (name: string, n: number) => ({ item: `i${n}`, pack: `A-${n}`, name, words: `${n} × 9 L bag`, count: n, priceMinor: n * 3_250, leadDays: 4 }); // prettier-ignore
const order = (lines: SupplierRequest['lines']): SupplierRequest => ({
  reference: 'MARL-7', supplier: { id: 'yard', name: 'Marl & Timber Yard', days: ['tue'] }, studio: 'Fenwick Row', today: '2026-11-25',
  wantedBy: '2026-12-04', currency: 'GBP', carriageMinor: 900, lines,
}); // prettier-ignore
const sender = {
  name: 'Fenwick Row Planted Interiors',
  address: 'Unit 4\nFenwick Row',
  phone: '020 7946 0000',
};
const sheet = async (lines: SupplierRequest['lines']) => wordsOfPdf(await orderPdf(order(lines), sender));

describe('an order as a PDF', () => {
  it('has whose it is, each line with its price, the sum with carriage, and by when, on A4', async () => {
    const { text, sheets, sizeMm } = await sheet([line('Active soil', 2), line('Slate', 1)]);
    expect([sheets, sizeMm]).toEqual([1, [210, 297]]);
    for (const words of ['Fenwick Row Planted Interiors', 'Unit 4', 'Marl & Timber Yard', 'Order MARL-7, 25 Nov 2026', '2 × 9 L bag', 'A-1', 'GBP 65.00', 'GBP 32.50'])
      expect(text).toContain(words);
    // 65.00 + 32.50 = 97.50, and 9.00 of carriage.
    expect(text).toContain('Goods GBP 97.50, carriage GBP 9.00, GBP 106.50 in all.');
    expect(text).toContain('Wanted by 4 Dec 2026');
  }); // prettier-ignore

  it('goes on to the next sheet with whole lines, a long name in several', async () => {
    const many = Array.from({ length: 60 }, (_, i) => line(i === 30 ? 'A very long name '.repeat(12).trim() : `Thing ${i}`, i + 1)); // prettier-ignore
    const { text, sheets } = await sheet(many);
    expect(sheets).toBeGreaterThan(1);
    for (const { pack } of many) expect(text.split(' ')).toContain(pack);
    expect(text.match(/A very long name/g)).toHaveLength(12);
  });

  it('writes names in the letters of other languages', async () => {
    const { text } = await sheet([line('Łupek drobny', 1), line('Ανθεκτικός', 2), line('Песок', 3), line('Mörtel 5 €', 4), line('石 rock', 5)]); // prettier-ignore
    for (const name of ['Łupek', 'drobny', 'Ανθεκτικός', 'Песок', 'Mörtel 5 €', '? rock']) expect(text.replace(/ (?=upek)/, '')).toContain(name); // prettier-ignore
  });
});
