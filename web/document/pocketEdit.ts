import type { Option, Pocket } from '../../core/commission/schema';
import { useCommission } from './commissionStore';
import { freshId } from './docEdit';
import { optionWith, useMaterials } from './materials';

/** A heap is first so wide and so high, mm: its sides are at 27°, which soil holds (common practice). */
const FIRST = { radiusMm: 40, heightMm: 20 };

/** Everything that can be done to the heaps on top of pieces, each an edit that can be undone. */
export function usePocketEdit() {
  const commission = useCommission();
  const atHand = useMaterials();

  /** A heap on top of a piece, of the soil that the bed has, or else of the first soil at hand. */
  function addOn(piece: string): void {
    const o = commission.option!;
    const soils = atHand.value.filter((m) => m.kind === 'soil');
    const material = soils.find((m) => o.bed.some((l) => l.material === m.id)) ?? soils[0];
    if (!material) return;
    const fresh: Pocket = { id: freshId('pocket', o.pockets ?? []), on: piece, material: material.id, offsetMm: [0, 0], ...FIRST }; // prettier-ignore
    commission.endStep();
    commission.edit(`pocket ${fresh.id}`, (d) =>
      optionWith(d, o.id, [material], (x) => ({ ...x, pockets: [...(x.pockets ?? []), fresh] })),
    );
  }

  /** Changes one heap; answers with what is wrong, if anything. */
  function change(id: string, key: string, part: Partial<Pocket>): string | undefined {
    return commission.tryEditOption(`pocket ${id} ${key}`, (o) => ({
      ...o,
      pockets: o.pockets?.map((p) => (p.id === id ? { ...p, ...part } : p)),
    }));
  }

  function drop(id: string): void {
    commission.endStep();
    commission.editOption(`drop pocket ${id}`, (o) => withPockets(o, (o.pockets ?? []).filter((p) => p.id !== id))); // prettier-ignore
  }

  return { addOn, change, drop };
}

/** An option with these heaps; without the list where there is none. */
export function withPockets(o: Option, pockets: Pocket[]): Option {
  const { pockets: _was, ...rest } = o;
  return pockets.length > 0 ? { ...rest, pockets } : rest;
}
