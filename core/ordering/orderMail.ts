import type { Day } from '../calendar/day';
import type { Supplier } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { say, type Said } from '../words/text';

/** An order as it was put together for one supplier, as far as a letter needs it. */
export interface Written {
  reference: string;
  supplier: Pick<Supplier, 'name' | 'contact'>;
  wantedBy: Day | null;
  currency: string;
  carriageMinor?: number;
  lines: readonly {
    pack: string;
    name: string;
    words?: string;
    count: number;
    priceMinor: number;
    isLiving?: boolean;
  }[];
}

/** The order as a letter: what for the subject, and its lines; what lives is asked for on a day when somebody is there. */
export function orderMail(order: Written, studio: Resolved['studio']): { subject: Said; lines: Said[] } {
  const { reference, supplier, currency, lines } = order;
  const price = (minor: number) => ({ minor, currency });
  return {
    subject: say('mail.subject', { reference, studio: studio?.name ?? '' }),
    lines: [
      say('mail.dear', { name: supplier.contact ?? supplier.name }),
      '',
      ...lines.map((l) => say('mail.line', { words: l.words ?? `${l.count} ×`, name: l.name, article: l.pack, price: price(l.priceMinor) })),
      '',
      ...orderAsks(order),
      '',
      ...[studio?.name, studio?.phone, studio?.address].filter((line) => line !== undefined),
    ],
  };
} // prettier-ignore

/** What stands under the lines of an order: its sum, by when, what is asked of living goods, a word back. */
export function orderAsks({ wantedBy, currency, carriageMinor = 0, lines }: Written): Said[] {
  const price = (minor: number) => ({ minor, currency });
  const sum = lines.reduce((total, l) => total + l.priceMinor, 0);
  return [
    carriageMinor > 0 ? say('mail.sum.carriage', { sum: price(sum), carriage: price(carriageMinor), all: price(sum + carriageMinor) }) : say('mail.sum', { sum: price(sum) }),
    ...(wantedBy ? [say('mail.wanted', { day: { day: wantedBy } })] : []),
    ...(lines.some((l) => l.isLiving) ? [say('mail.living')] : []),
    say('mail.confirm'),
  ];
} // prettier-ignore
