import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { House } from '../../core/catalogue/house';
import type { Recorded } from '../../core/catalogue/recorded';
import type { Studio } from '../../core/catalogue/studio';
import type { Elsewhere } from '../../core/yard/reserved';
import { api, type ListName, type PartAsk, type UsedPieces, type YardAsk, type YardFacts } from './api';

/** Lists of which more can be looked up by name than came with the studio. */
type Searched = 'materials' | 'plants';

/** The studio's catalogue and yard, fetched once; and where each piece of the yard stands. */
export const useStudio = defineStore('studio', () => {
  const studio = shallowRef<Studio>();
  const used = shallowRef<UsedPieces>({});
  /** What packs of a plant gave on the studio’s own build days, by the plant. */
  const recorded = shallowRef<Record<string, Recorded>>({});
  const counts = shallowRef<Record<ListName, number>>({
    materials: 0,
    plants: 0,
    suppliers: 0,
    animals: 0,
    shelf: 0,
  });
  /** How days and figures are written where the studio works: as in Britain when nobody said. */
  const locale = computed(() => studio.value?.locale ?? 'en-GB');
  let asked: Promise<void> | undefined;
  const fetched = () =>
    api.studio().then(
      ({ used: where, recorded: gave, counts: many, ...s }) => {
        studio.value = s;
        counts.value = many ?? counts.value;
        used.value = where ?? {};
        recorded.value = gave ?? {};
      },
      () => void (asked = undefined),
    );
  const load = () => (asked ??= fetched());

  /** The house with some of it changed, kept and fetched anew. Throws an ApiProblem where it is refused. */
  async function keepHouse(part: Partial<House>): Promise<void> {
    const { catalogue: _catalogue, yard: _yard, ...house } = studio.value!;
    await api.keepHouse({ ...house, ...part });
    await fetched();
  }

  /** Whether a list has entries that are not at hand. */
  const hasMore = (list: Searched) => counts.value[list] > (studio.value?.catalogue[list].length ?? Infinity);

  /** Entries by words of their names, taken to those that are at hand; nothing where all of them are. */
  async function lookUp(list: Searched, q: string): Promise<void> {
    if (q.trim() === '' || !hasMore(list)) return;
    // Without an answer there is what there was.
    const { entries } = await api.entries(list, { q }).catch(() => ({ entries: [] }));
    const s = studio.value;
    if (!s) return;
    const has = new Set(s.catalogue[list].map((e) => e.id));
    const fresh = entries.filter((e) => !has.has(e.id));
    studio.value = { ...s, catalogue: { ...s.catalogue, [list]: [...s.catalogue[list], ...fresh] } };
  }

  /** Other commissions than one, by the number of the piece that they have. */
  const elsewhere = (id: string): Elsewhere => {
    const others = Object.entries(used.value).map(
      ([piece, list]) => [piece, list.filter((c) => c.id !== id).map((c) => c.title)] as const,
    );
    return Object.fromEntries(others.filter(([, titles]) => titles.length > 0));
  };

  /** Heard with a save: other commissions that have pieces of the yard, too. */
  function heard(also: UsedPieces): void {
    const all = { ...used.value };
    for (const [piece, list] of Object.entries(also)) {
      const known = all[piece] ?? [];
      all[piece] = [...known, ...list.filter((c) => !known.some((k) => k.id === c.id))];
    }
    used.value = all;
  }

  /** A piece into the yard, with its photograph where there is one; answers with what is doubtful about it. */
  async function add(piece: YardAsk, photo?: Blob): Promise<string[]> {
    const { doubts } = await api.addToYard(piece);
    if (photo) await api.keepYardPhoto(piece.id, photo);
    await fetched();
    return doubts;
  }
  /** Two pieces out of one; answers with them, the larger first, and what is doubtful. */
  async function part(id: string, ask: PartAsk) {
    const found = await api.partInYard(id, ask);
    await fetched();
    return found;
  }
  /** What was found out about a piece of the yard; one that is not in it is left alone. */
  async function note(id: string, facts: YardFacts): Promise<void> {
    if (!studio.value?.yard.some((p) => p.id === id)) return;
    await api.changeInYard(id, facts);
    await fetched();
  }
  async function drop(id: string): Promise<void> {
    await api.dropFromYard(id);
    await fetched();
  }
  return {
    studio,
    used,
    recorded,
    counts,
    locale,
    elsewhere,
    load,
    hasMore,
    lookUp,
    again: fetched,
    keepHouse,
    heard,
    add,
    part,
    note,
    drop,
  };
});
