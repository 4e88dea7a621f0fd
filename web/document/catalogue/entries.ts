import { useDebounceFn } from '@vueuse/core';
import { ref, shallowRef, watch } from 'vue';
import { wording } from '../../words/wording';
import { api, ApiProblem, type EntryOf, type ListName } from '../api';
import { useStudio } from '../studioStore';

/** Long enough that a word is not asked for letter by letter, ms. */
const TYPED_MS = 120;

/** A list of the studio, searched by name on the server, of which one entry at a time is changed. */
export function useEntries<L extends ListName>(list: L) {
  const studio = useStudio();
  const q = ref('');
  const rows = shallowRef<EntryOf[L][]>();
  const total = ref(0);
  /** What was kept or refused last, in words. */
  const said = ref('');
  let turn = 0;
  /** Saves go one after the other, as they were made. */
  let saving: Promise<unknown> = Promise.resolve();
  let saves = 0;

  async function load(): Promise<void> {
    const own = ++turn;
    await saving;
    const before = saves;
    await attempt(async () => {
      const page = await api.entries(list, { q: q.value });
      if (own !== turn) return;
      // What was kept while it was asked for is not in it yet.
      if (before !== saves) return load();
      [rows.value, total.value] = [page.entries, page.total];
    });
  }
  async function more(): Promise<void> {
    const have = rows.value ?? [];
    await attempt(async () => {
      const page = await api.entries(list, { q: q.value, from: have.length });
      if (rows.value === have) rows.value = [...have, ...page.entries];
    });
  }
  /** What the server does not take is said; true where it was taken. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work();
      return true;
    } catch (error) {
      said.value = error instanceof ApiProblem ? error.message : wording('entries.notKept');
      return false;
    }
  }
  /** Rows that were looked at stay where they are: only the one that was changed is another. */
  const settle = (change: (have: EntryOf[L][]) => EntryOf[L][], words: string) => {
    rows.value = rows.value && change(rows.value);
    said.value = words;
    return studio.again();
  };
  const put = (was: EntryOf[L], now: EntryOf[L]) => {
    rows.value = rows.value?.map((e) => (e === was ? now : e));
  };
  /**
   * It stands in the list at once: a field that is left while the one before it is still on its way changes what was just
   * typed, and not what stood there before. What is refused is taken back.
   */
  async function keep(entry: EntryOf[L]): Promise<void> {
    const before = rows.value?.find((e) => e.id === entry.id);
    if (before) put(before, entry);
    saves++;
    const taken = saving.then(() => attempt(() => api.keepEntry(list, entry)));
    saving = taken;
    if (await taken) await settle((have) => have, wording('entries.kept', { name: entry.name }));
    else if (before) put(entry, before);
  }
  /** A new entry, which then stands alone in the list; undefined where it was refused. */
  async function add(entry: Omit<EntryOf[L], 'id'> & { name: string }): Promise<string | undefined> {
    let id: string | undefined;
    if (!(await attempt(async () => void ({ id } = await api.addEntry(list, entry))))) return undefined;
    said.value = wording('entries.kept', { name: entry.name });
    await Promise.all([load(), studio.again()]);
    return id;
  }
  async function drop(entry: EntryOf[L]): Promise<void> {
    if (!(await attempt(() => api.dropEntry(list, entry.id)))) return;
    total.value--;
    await settle(
      (have) => have.filter((e) => e.id !== entry.id),
      wording('entries.dropped', { name: entry.name }),
    );
  }

  watch(q, useDebounceFn(load, TYPED_MS));
  void load();
  return { q, rows, total, said, load, more, attempt, add, keep, drop };
}
