import { computed, onScopeDispose, ref, shallowReactive } from 'vue';

/** Something that can be done by name or by key. */
export interface Command {
  id: string;
  /** Whether whoever is here may; where it is left out everybody may. */
  isFor?: () => boolean;
  title: string;
  /** Other words by which people look for it. */
  also?: string;
  /** Keys as shown, e.g. `Ctrl Z`. */
  keys?: string;
  run: () => void;
}

const known = shallowReactive(new Map<string, Command>());

/** Makes commands known for as long as the calling component lives. */
export function useCommands(list: readonly Command[]): void {
  for (const command of list) known.set(command.id, command);
  onScopeDispose(() => {
    for (const command of list) if (known.get(command.id) === command) known.delete(command.id);
  });
}

/** Those of some commands that are for whoever is here. */
export const allowed = (list: readonly Command[]) => list.filter((c) => c.isFor?.() ?? true);

export function allCommands(): Command[] {
  return allowed([...known.values()]);
}

/** Things of which there are too many to list: looked for with the words that were typed. */
type Finder = (words: string) => Command[];
const finders = shallowReactive(new Set<Finder>());

/** Makes things findable for as long as the calling component lives. */
export function useFinder(find: Finder): void {
  finders.add(find);
  onScopeDispose(() => finders.delete(find));
}

/** What the finders have for some words. */
export function allFound(words: string): Command[] {
  return [...finders].flatMap((find) => find(words));
}

/** Whether all words are in the title of a command, or in the other words for it. */
export function answersTo({ title, also = '' }: Command, words: string): boolean {
  const known = `${title} ${also}`.toLowerCase();
  return words.toLowerCase().split(/\s+/).filter(Boolean).every((word) => known.includes(word)); // prettier-ignore
}

/** Whether the palette and the list of keys are open. */
export const paletteOpen = ref(false);
export const shortcutsOpen = ref(false);
export const overlaysWanted = computed(() => paletteOpen.value || shortcutsOpen.value);

/** Ctrl K finds or does, `?` lists the keys. */
export function onOpeningKey(event: KeyboardEvent): void {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
    event.preventDefault();
    paletteOpen.value = !paletteOpen.value;
  } else if (event.key === '?' && !typing(event)) shortcutsOpen.value = true;
}

/** Keeps what is typed in a field from being taken for a command; chords with Ctrl are commands there too. */
export function keepKeys(event: KeyboardEvent): void {
  if (!event.ctrlKey && !event.metaKey) event.stopPropagation();
}

/** True while somebody types: single-letter keys are then text. */
export function typing(event: KeyboardEvent): boolean {
  const el = event.target as HTMLElement | null;
  return !!el && (el.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(el.tagName));
}
