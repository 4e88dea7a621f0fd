import { once } from 'node:events';
import { setTimeout as wait } from 'node:timers/promises';
import { dayPlus, daysFrom } from '../../core/calendar/day';
import type { Mood } from '../../core/ordering/moods';
import type { Confirmation } from '../../core/ordering/confirmation';
import { delivers } from '../../core/ordering/delivery';
import {
  SupplierRefusal,
  SupplierUnreachable,
  type SupplierLink,
  type SupplierRequest,
} from '../supplierLink';

/** How the simulated suppliers behave. */
export interface Behaviour {
  /** Shortest and longest time to an answer, ms. */
  latencyMs: [number, number];
  /** Every so many requests, one is lost on the way; 0 for never. */
  lostEvery: number;
  /** What is in stock of each pack; others are made up from the pack's name. */
  stock: Record<string, number>;
  /** Suppliers that refuse everything, with their reason. */
  refusing: Record<string, string>;
}

export const USUAL_BEHAVIOUR: Behaviour = { latencyMs: [400, 1800], lostEvery: 7, stock: {}, refusing: {} };

/**
 * Simulated suppliers with their own stock, lead times, refusals and slowness. They remember references, so
 * that an order that is sent again gets the same answer and is not delivered twice.
 */
export class SimulatedSuppliers implements SupplierLink {
  private readonly answers = new Map<string, Confirmation>();
  private readonly stock = new Map<string, number>();
  private requests = 0;

  /** How each answers that does not do so as usual. */
  readonly moods = new Map<string, Mood>();

  constructor(private readonly behaviour: Behaviour = USUAL_BEHAVIOUR) {}

  async place(request: SupplierRequest, signal: AbortSignal): Promise<Confirmation> {
    this.requests++;
    const lost = this.behaviour.lostEvery > 0 && this.requests % this.behaviour.lostEvery === 0;
    await this.pause(request.reference, signal);
    const mood = this.moods.get(request.supplier.id) ?? 'usual';
    if (mood === 'silent') await never(request, signal);
    if (lost) throw new SupplierUnreachable(`${request.supplier.name} did not answer.`);
    const known = this.answers.get(request.reference);
    if (known) return known;
    const refusal = this.behaviour.refusing[request.supplier.id];
    if (refusal) throw new SupplierRefusal(refusal);
    if (mood === 'refuses') throw new SupplierRefusal(`${request.supplier.name} takes stock until the end of the month and sends nothing.`); // prettier-ignore
    const confirmation = this.confirm(request, mood);
    this.answers.set(request.reference, confirmation);
    return confirmation;
  }

  private async pause(reference: string, signal: AbortSignal): Promise<void> {
    const [shortest, longest] = this.behaviour.latencyMs;
    try {
      await wait(shortest + (longest - shortest) * fraction(reference), undefined, { signal });
    } catch {
      throw new SupplierUnreachable('The supplier took too long to answer.');
    }
  }

  private confirm(request: SupplierRequest, mood: Mood): Confirmation {
    const lines = request.lines.map(({ item, pack, name, count, priceMinor, instead }, i) => {
      const key = `${request.supplier.id}/${item}/${pack}`;
      const left = this.stock.get(key) ?? this.behaviour.stock[pack] ?? 14 + Math.floor(fraction(key) * 60);
      // What was offered is there.
      const given = instead ? count : Math.min(sentIn(mood, count, i), left);
      this.stock.set(key, left - given);
      const remark = given < count ? remarkOn(mood, given, name) : undefined;
      const offer = mood === 'instead' && given === 0 ? { instead: { name: otherMake(name), count, minor: priceMinor } } : {}; // prettier-ignore
      return { item, pack, name, asked: count, given, ...(remark ? { remark } : {}), ...offer };
    });
    if (lines.every((l) => l.given === 0 && !('instead' in l)))
      throw new SupplierRefusal(`${request.supplier.name} has nothing of this order in stock.`);
    const prices = request.lines.map((l) => l.priceMinor / l.count);
    return {
      supplierReference: `${request.supplier.id.slice(0, 2).toUpperCase()}-${Math.floor(fraction(request.reference) * 90_000 + 10_000)}`,
      deliveryDay: this.deliveryDay(request, mood === 'late' ? LATE_DAYS : 0),
      totalMinor: Math.round(
        lines.reduce((sum, l, i) => sum + l.given * prices[i], request.carriageMinor ?? 0),
      ),
      lines,
    };
  }

  /** The day it is wanted for when that can be had; otherwise the first delivery day after the lead time. */
  private deliveryDay(
    { supplier, today, wantedBy, lines }: SupplierRequest,
    lateDays: number,
  ): string | null {
    const isLiving = lines.some((l) => l.isLiving);
    const shortest = Math.max(...lines.map((l) => l.leadDays));
    const lead = lateDays + (wantedBy === null ? shortest : Math.max(shortest, daysFrom(today, wantedBy)));
    for (let ahead = lead; ahead < lead + 60; ahead++) {
      const day = dayPlus(today, ahead);
      if (delivers(supplier, day, isLiving)) return day;
    }
    return null;
  }
}

const LATE_DAYS = 7;

/** Half of each line, of single packs every other; of the first line none where something else is offered for it. */
function sentIn(mood: Mood, count: number, line: number): number {
  if (mood === 'half') return count > 1 ? Math.floor(count / 2) : line % 2;
  return mood === 'instead' && line === 0 ? 0 : count;
}

const otherMake = (name: string) => `${name}, another make`;

function remarkOn(mood: Mood, given: number, name: string): string {
  if (mood === 'instead' && given === 0)
    return `none left; would send another make of “${name}” at the same price`;
  return `${given === 0 ? 'none' : `only ${given}`} in stock`;
}

/** Nothing comes, however long one waits. */
async function never({ supplier }: SupplierRequest, signal: AbortSignal): Promise<never> {
  await once(signal, 'abort');
  throw new SupplierUnreachable(`${supplier.name} did not answer.`);
}

/** A number from 0 to 1 that is always the same for a text. */
function fraction(text: string): number {
  let h = 2166136261;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 16777619);
  return (h >>> 0) / 4294967296;
}
