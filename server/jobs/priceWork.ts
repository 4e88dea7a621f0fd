import { createHash } from 'node:crypto';
import { priceChanges, type ListLine } from '../../core/catalogue/priceChanges';
import { priceReport, type PriceReport } from '../../core/catalogue/priceList';
import { priceListOf, type AskedShape, type ReadList } from '../documents/priceListCsv';
import { bytesOfBody, type Body } from '../incoming';
import { packed, unpacked, type Text } from '../store/largeText';
import type { Meshes } from '../store/meshes';
import type { ReadPrices } from '../store/offers';

/** A price list that comes in, and what it is held against: the list as it is kept and articles in use, JSON each. */
export interface PricesAsk {
  body: Body;
  shape?: AskedShape;
  currency: string;
  kept: Text;
  used: Text;
}

/** Far enough along that somebody is told. */
export type Tell = (done: number, of: number) => void;

/** A question about a list, or what it changes with its lines ready to be kept. */
export type ComparedPrices =
  | Exclude<ReadList, { kind: 'lines' }>
  | { kind: 'report'; report: PriceReport; prices: ReadPrices };

/** A price list read and held against the one before. Nothing is kept of it. */
export function readPrices(
  { body, shape, currency, kept, used }: PricesAsk,
  _meshes: Meshes,
  tell: Tell,
): ComparedPrices {
  const read = priceListOf(bytesOfBody(body), shape, currency, tell);
  if (read.kind !== 'lines') return read;
  const { lines, bad, unread } = read;
  const before = unpacked(kept);
  const changes = priceChanges((JSON.parse(before) as Unsaid[]).map(lineOf), lines, unread);
  const text = JSON.stringify(lines.map(({ ...l }) => ({ ...l, searched: `${l.name} ${l.article}`.toLocaleLowerCase('en') }))); // prettier-ignore
  const digest = createHash('sha256').update(text).update('\n').update(before).digest('hex');
  const uses = new Set(JSON.parse(unpacked(used)) as string[]);
  return {
    kind: 'report',
    report: priceReport(changes, bad, uses, { digest, shape: read.shape, lines: lines.length }),
    prices: { lines: packed(text), unread: packed(JSON.stringify([...unread])), count: lines.length },
  };
}

/** A line as the database has it: null where the list said nothing. */
type Unsaid = { [K in keyof ListLine]: ListLine[K] | null };
const lineOf = (line: Unsaid) =>
  Object.fromEntries(Object.entries(line).filter(([, value]) => value !== null)) as unknown as ListLine;
