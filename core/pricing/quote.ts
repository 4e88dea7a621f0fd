import type { BuildPlan } from '../buildDay/buildPlan';
import { paidBeside } from '../gear/gear';
import { carriageAsked, type Order } from '../ordering/order';
import type { Resolved } from '../resolved/resolved';
import { sittingsOf } from '../sittings/sittings';
import { LINE_KINDS, type TakeOff } from '../takeoff/takeOff';
import { rounded } from '../units/quantity';
import { say, type Said } from '../words/text';
import { labourOf } from './labour';
import { shareOfMinor, toNext } from '../units/shares';

/** One line of a quote, as the client reads it: its price, net, minor units. */
export interface QuoteLine {
  key: string;
  name: Said;
  minor: number;
  /** What it costs the studio; left out where that is its own work. Never on the client's sheet. */
  costMinor?: number;
  taxMinor: number;
}

/** A thing that is bought, at its price with margin: what additions and omissions are reckoned by. */
export interface QuoteThing {
  key: string;
  name: Said;
  minor: number;
}

export interface Quote {
  lines: QuoteLine[];
  things: QuoteThing[];
  netMinor: number;
  taxMinor: number;
  totalMinor: number;
  /** For the studio alone: what it pays for, and what is left of the net sum beside its own hours. */
  costMinor: number;
  marginMinor: number;
  hours: number;
  days: number;
  /** What is asked for and nobody has said yet: without it the sum is too little. */
  open: ('hour' | 'travel' | 'price')[];
}

/** What a quote is made of: a plan, and the option that it is of. */
export interface Priced {
  takeOff: TakeOff;
  order: Order;
  build: BuildPlan;
}

type Draft = Omit<QuoteLine, 'taxMinor'>;

/** Places of hours in a quote. */
const HOUR_PLACES = 2;

/**
 * What the client is asked: what is bought with the margin on it, its carriage, hands by the hour, days of travel, visits, what
 * else was said; rounded up to a step, with tax by line or once on the whole. Money in minor units of the document's currency.
 * Valid for the plan of one option and the rules in `commission.quote`. Leaves out: what the plan does not know, which is an extra.
 * Test: quote.test.ts, "adds up by hand: goods with margin, hours, travel, visits, tax".
 */
export function quoteOf(commission: Resolved, { takeOff, order, build }: Priced): Quote {
  const rules = commission.quote ?? {};
  const margin = rules.margin ?? 0;
  const withMargin = (minor: number) => minor + shareOfMinor(minor, margin);
  const bought = takeOff.lines.filter((l) => l.priceMinor > 0);
  const things = bought.map((l): QuoteThing => ({ key: l.id, name: l.name, minor: withMargin(l.priceMinor) }));
  const isAway = new Set(sittingsOf(commission).filter((s) => s.isAway).map((s) => s.id));
  const labour = labourOf(build, commission.brief, (id) => isAway.has(id));
  const hours = rounded(labour.elsewhereHours + labour.buildHours + labour.visitHours + (rules.designHours ?? 0), HOUR_PLACES);
  const drafts: Draft[] = [
    ...LINE_KINDS.flatMap((kind): Draft[] => {
      const own = bought.filter((l) => l.kind === kind);
      const costMinor = own.reduce((sum, l) => sum + l.priceMinor, 0);
      const minor = own.reduce((sum, l) => sum + withMargin(l.priceMinor), 0);
      return own.length > 0 ? [{ key: kind, name: say(`quote.${kind}`), minor, costMinor }] : [];
    }),
    ...besides(commission, order).map(({ costMinor, ...d }) => ({ ...d, costMinor, minor: withMargin(costMinor) })),
    ...(rules.hourMinor === undefined ? [] : [{ key: 'hours', name: say('quote.hours', { hours }), minor: Math.round(hours * rules.hourMinor) }]),
    ...(rules.travelMinor ? [{ key: 'travel', name: say('quote.travel', { days: labour.days }), minor: labour.days * rules.travelMinor }] : []),
    ...(rules.visits && rules.visitMinor ? [{ key: 'visits', name: say('quote.visits', { visits: rules.visits }), minor: rules.visits * rules.visitMinor }] : []),
    ...(rules.extras ?? []).map((e): Draft => ({ key: `extra-${e.key}`, name: e.name, minor: e.minor })),
  ];
  const before = drafts.reduce((sum, d) => sum + d.minor, 0);
  const up = toNext(before, rules.roundMinor);
  if (up > 0) drafts.push({ key: 'rounding', name: say('quote.rounding'), minor: up });
  const share = rules.tax?.share ?? 0;
  const lines = drafts.map((d): QuoteLine => ({ ...d, taxMinor: shareOfMinor(d.minor, share) }));
  const netMinor = before + up;
  const taxMinor = rules.tax?.by === 'line' ? lines.reduce((sum, l) => sum + l.taxMinor, 0) : shareOfMinor(netMinor, share);
  const costMinor = drafts.reduce((sum, d) => sum + (d.costMinor ?? 0), 0);
  const goods = drafts.reduce((sum, d) => sum + (d.costMinor === undefined ? 0 : d.minor), 0);
  return {
    lines,
    things,
    netMinor,
    taxMinor,
    totalMinor: netMinor + taxMinor,
    costMinor,
    marginMinor: goods - costMinor + up,
    hours,
    days: labour.days,
    open: [
      ...(rules.hourMinor === undefined ? ['hour' as const] : []),
      ...(rules.travelMinor === undefined ? ['travel' as const] : []),
      ...(order.unpriced.length > 0 ? ['price' as const] : []),
    ],
  };
} // prettier-ignore

/** What is paid beside the take-off's own lines: carriage, a CO2 set as quoted, second-hand lots. */
function besides(commission: Resolved, order: Order): { key: string; name: Said; costMinor: number }[] {
  const { gas, lots } = paidBeside(commission);
  const carriage = carriageAsked(order);
  return [
    { key: 'gas', name: say('quote.gas'), costMinor: gas },
    { key: 'lots', name: say('quote.lots'), costMinor: lots },
    { key: 'carriage', name: say('quote.carriage'), costMinor: carriage },
  ].filter((d) => d.costMinor > 0);
} // prettier-ignore
