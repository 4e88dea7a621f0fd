import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { priceChanges } from '../core/catalogue/priceChanges';
import { priceListOf } from '../server/documents/priceListCsv';
import { packed } from '../server/store/largeText';
import { searchOffers, takeOffers } from '../server/store/offers';
import { openStore } from '../server/store/store';
import { timed, type Row } from './timed';

/* A price list of a large supplier: read and compared, and searched among three such lists. */

const LINES = 20_000;
const SUPPLIERS = ['a', 'b', 'c'];
const KINDS = ['soil', 'gravel', 'root', 'stone', 'fern', 'moss', 'clip', 'lamp'];
const COLUMNS = { name: 'name', price: 'price', article: 'article' };

/** Each run has other prices, as the next list has. */
const listOf = (run: number) =>
  new TextEncoder().encode(
    `article;name;price\n${Array.from({ length: LINES }, (_, i) => `N-${i};${KINDS[i % 8]} of kind ${i}, ${(i % 9) + 1} kg;${(i % 70) + ((run * i) % 7)},50`).join('\n')}\n`,
  );
function linesOf(run: number) {
  const found = priceListOf(listOf(run), { columns: COLUMNS }, 'GBP');
  if (found.kind !== 'lines' || found.lines.length !== LINES) throw new Error('the list was not read');
  return found.lines;
}

export async function priceRows(): Promise<Row[]> {
  const before = linesOf(0);
  const compared = await timed('prices.compared', 6, (run) => priceChanges(before, linesOf(run + 1)), 1);
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-measure-'));
  const store = await openStore(folder);
  try {
    const text = JSON.stringify(before.map((l) => ({ ...l, searched: `${l.name} ${l.article}`.toLowerCase() }))); // prettier-ignore
    const take = (supplier: string, day: string) => takeOffers(store, supplier, { lines: packed(text), unread: '[]', count: LINES }, { columns: COLUMNS }, day); // prettier-ignore
    for (const supplier of SUPPLIERS) await take(supplier, '2027-01-04');
    const taken = await timed('prices.taken', 4, (run) => take('a', `2027-02-0${run + 1}`), 1);
    const searched = await timed('prices.searched', 30, (run) => searchOffers(store, { q: `${KINDS[run % 8]} ${run * 37}`, limit: 40 }), 2); // prettier-ignore
    return [compared, taken, searched];
  } finally {
    await store.close();
    await rm(folder, { recursive: true, force: true });
  }
}
