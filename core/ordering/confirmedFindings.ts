import { daysFrom } from '../calendar/day';
import { nameOfSupplier, packOf } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { packWordsOf, type TakeOffLine } from '../takeoff/line';
import type { TakeOff } from '../takeoff/takeOff';
import type { Finding } from '../words/finding';
import { say, type Text } from '../words/text';
import { comes, hourOnTheDay, stillMissing, toOrder, usable, type ComingLine } from './coming';
import { neededOnDay } from './delivery';

/** What suppliers have confirmed that does not do: too few, too late, too early to keep, on no day, or more than is needed. */
export function confirmedFindings(
  commission: Resolved,
  { lines }: TakeOff,
  coming: readonly ComingLine[],
): Finding[] {
  const known = new Set(lines.map((l) => l.id));
  return [
    ...lines.flatMap((line) => {
      const own = coming.filter((c) => c.line === line.id);
      return own.length === 0
        ? []
        : [
            ...shortOf(commission, line, own),
            ...own.filter((c) => c.given > 0 && !c.received).flatMap((c) => whenOf(commission, line, c)),
            ...own.flatMap((c) => lostOf(commission, line, own, c)),
            ...tooMuch(commission, line, own),
          ];
    }),
    // What the scape does not have any more at all.
    ...coming
      .filter((c) => c.given > 0 && !known.has(c.line))
      .map((c) => overFinding(commission, c, c.given, c.packWords)),
  ];
}

/** Too few came, and nobody has confirmed the rest yet. */
function shortOf(commission: Resolved, line: TakeOffLine, own: readonly ComingLine[]): Finding[] {
  const short = own.find((c) => c.given < c.asked);
  const missing = stillMissing(commission, line, own);
  if (!short || missing === 0) return [];
  const rest = toOrder(commission, line, own).map(({ pack, count }): Text => {
    const known = packOf(commission, line.id, pack)!;
    return say('order.rest', {
      packs: packWordsOf(count, known),
      supplier: nameOfSupplier(commission, known.supplier),
    });
  });
  return [
    {
      id: 'order.short',
      severity: rest.length > 0 ? 'warn' : 'stop',
      at: { line: line.id, supplier: short.supplier },
      measured: short.given,
      limit: short.asked,
      unit: 'packs',
      says: say('order.short.says', {
        supplier: nameOfSupplier(commission, short.supplier),
        given: short.given,
        asked: short.asked,
        name: line.name,
      }),
      because: rest.length > 0 ? say('order.short.because', { rest }) : say('order.short.because.nobody'),
      source: say('source.confirmation', { reference: short.supplierReference }),
    },
  ];
}

/** Less came than was confirmed, or some of it cannot be used: claimed of who sent it, and what is missing ordered again. */
function lostOf(commission: Resolved, line: TakeOffLine, own: readonly ComingLine[], c: ComingLine): Finding[] {
  if (!c.received || usable(c) >= c.given) return [];
  const { broken = 0, dead = 0, came } = c.received;
  const supplier = nameOfSupplier(commission, c.supplier);
  const isMissing = stillMissing(commission, line, own) > 0;
  return [
    {
      id: 'order.lost',
      severity: isMissing ? 'warn' : 'note',
      at: { line: line.id, supplier: c.supplier },
      measured: usable(c),
      limit: c.given,
      unit: 'packs',
      says: say('order.lost.says', { name: line.name, supplier, given: c.given, short: c.given - came, broken, dead }),
      because: say(isMissing ? 'order.lost.because' : 'order.lost.because.enough', { reference: c.supplierReference }),
      source: say('source.confirmation', { reference: c.supplierReference }),
    },
  ];
} // prettier-ignore

/** It does not come before it is needed, or so long before that it does not keep. */
function whenOf(commission: Resolved, line: TakeOffLine, c: ComingLine): Finding[] {
  const neededOn = neededOnDay(commission, line);
  const supplier = nameOfSupplier(commission, c.supplier);
  const found = (
    rest: Pick<Finding, 'id' | 'severity' | 'measured' | 'limit' | 'says' | 'because'>,
  ): Finding[] => [
    {
      at: { line: line.id, supplier: c.supplier },
      unit: 'days',
      source: say('source.confirmation', { reference: c.supplierReference }),
      ...rest,
    },
  ];
  if (c.day === null)
    return found({
      id: 'order.noday',
      severity: 'warn',
      measured: 0,
      limit: 1,
      says: say('order.noday.says', { supplier, name: line.name }),
      because: say('order.noday.because', { day: { day: neededOn } }),
    });
  const early = daysFrom(c.day, neededOn);
  // The day's own clock tells whether that is in time.
  if (early === 0 && hourOnTheDay(commission, c)) return [];
  if (early <= 0)
    return found({
      id: 'order.after',
      severity: 'stop',
      measured: -early,
      limit: -1,
      says: say('order.after.says', { supplier, name: line.name, day: { day: c.day } }),
      because: say('order.after.because', { day: { day: neededOn } }),
    });
  const keeps = packOf(commission, line.id, c.pack)?.keepsDays;
  if (keeps === undefined || early <= keeps) return [];
  return found({
    id: 'order.keeps',
    severity: 'warn',
    measured: early,
    limit: keeps,
    says: say('order.keeps.says', { name: line.name, early, keeps }),
    because: say('order.keeps.because.confirmed'),
  });
}

/** A whole pack more comes than is needed: the scape has changed since. */
function tooMuch(commission: Resolved, line: TakeOffLine, own: readonly ComingLine[]): Finding[] {
  const over = comes(line, own) - line.held;
  const sizes = own.filter((c) => c.given > 0).map((c) => line.contents[c.pack] ?? Infinity);
  const least = Math.min(...sizes);
  if (!(over >= least)) return [];
  const from = own.find((c) => line.contents[c.pack] === least)!;
  const count = Math.min(from.given, Math.floor(over / least));
  return [overFinding(commission, from, count, packWordsOf(count, packOf(commission, line.id, from.pack)!))];
}

function overFinding(commission: Resolved, from: ComingLine, count: number, packs: Text): Finding {
  return {
    id: 'order.over',
    severity: 'note',
    at: { line: from.line, supplier: from.supplier },
    measured: count,
    limit: 0,
    unit: 'packs',
    says: say('order.over.says', { packs, name: from.name }),
    because: say('order.over.because', {
      supplier: nameOfSupplier(commission, from.supplier),
      reference: from.supplierReference,
    }),
    source: say('source.confirmation', { reference: from.supplierReference }),
  };
}
