import type { Resolved } from '../resolved/resolved';
import type { Finding, FindingPlace } from '../words/finding';
import { rounded, unitFor } from '../units/quantity';
import { say } from '../words/text';
import { onShelf } from './onShelf';
import type { Shelf, ShelfEntry, Take } from './shelf';

/**
 * What a scape takes off the shelf held against what stands there: too little of it beside what others have reserved, kept
 * too long by the day on which it goes in, or lived on. Nothing is said as long as nobody has entered anything.
 * Valid for things in one unit, or in litres and kilograms of a material whose litre has a weight. Leaves out: what was taken and
 * not written off.
 * Test: stock.test.ts, "is short where two want the same, whoever asks".
 */
export function shelfFindings(job: Resolved, takes: readonly Take[], shelf: Shelf | undefined): Finding[] {
  if (!shelf || shelf.entries.length === 0) return [];
  return takes.flatMap((take) => {
    const own = shelf.entries.filter((e) => e.of === take.of);
    return [
      ...amountFindings(job, take, shelf),
      ...keepFindings(job, take, own),
      ...livingFindings(job, take, own),
    ];
  });
} // prettier-ignore

function amountFindings(job: Resolved, take: Take, shelf: Shelf): Finding[] {
  const { has, reserved: others } = onShelf(shelf, take);
  const free = Math.max(0, has - others);
  if (take.amount <= free + 0.05) return [];
  const { unit, name } = take;
  const of = (value: number) => ({ value: rounded(value, 1), unit: unitFor(value, unit), places: unit === 'plug' ? 0 : 1 });
  return [
    {
      id: 'stock.short',
      severity: 'warn',
      at: placeOf(job, take),
      measured: rounded(take.amount, 2),
      limit: rounded(free, 2),
      unit,
      says: others > 0
        ? say('stock.short.says.reserved', { name, wanted: of(take.amount), has: of(has), reserved: of(others), who: [...new Set(shelf.reserved.filter((r) => r.of === take.of).map((r) => r.title))] })
        : say('stock.short.says', { name, wanted: of(take.amount), has: of(has) }),
      because: say('stock.short.because', { missing: of(take.amount - free) }),
      source: say('source.shelf'),
    },
  ];
} // prettier-ignore

function keepFindings(job: Resolved, take: Take, own: ShelfEntry[]): Finding[] {
  return own
    .filter((e) => e.keepsUntil !== undefined && e.keepsUntil < take.on)
    .map((e): Finding => ({
      id: 'stock.keeps',
      severity: 'warn',
      at: placeOf(job, take),
      measured: take.amount,
      limit: 0,
      unit: take.unit,
      says: say('stock.keeps.says', { name: e.name, day: { day: e.keepsUntil! }, on: { day: take.on } }),
      because: say('stock.keeps.because'),
      source: say('source.shelf'),
    }));
}

function livingFindings(job: Resolved, take: Take, own: ShelfEntry[]): Finding[] {
  return own
    .filter((e) => e.livesOn?.length && e.amount > 0)
    .map((e): Finding => ({
      id: 'stock.lives',
      severity: 'note',
      at: placeOf(job, take),
      measured: e.livesOn!.length,
      limit: 0,
      unit: 'kinds',
      says: say(`stock.lives.says.${e.livesOn!.length === 2 ? 'both' : e.livesOn![0]}`, { name: e.name }),
      because: say('stock.lives.because'),
      source: say('source.shelf'),
    }));
}

function placeOf(job: Resolved, { of, unit }: Take): FindingPlace {
  if (unit === 'plug') return { plant: of };
  const layer = [...job.layers.values()].find((l) => l.material.id === of);
  return layer ? { layer: layer.layer.id } : { line: of };
}
