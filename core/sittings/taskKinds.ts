/*
 * What every task is to the sittings, in one table: how far the scape is when it is done, whether somebody may give it another
 * day, whether it goes with the things it is made for, and whether it may come after the water. Tasks themselves know nothing of it.
 */

/** How far the scape is: each sitting takes the work of its own sort and of those before it. */
export const SORTS = ['yard', 'tank', 'hardscape', 'planting', 'water'] as const;
export type Sort = (typeof SORTS)[number];

export interface TaskKind {
  sort: Sort;
  /** Somebody may give it another sitting. */
  isFree: boolean;
  /** Where nobody did, it is done in that of the things it is made for. */
  follows: boolean;
  /** It may come when the water is in. */
  mayBeLater: boolean;
  /** It stands at the beginning or the end of each sitting, and is no work of its own. */
  isFrame: boolean;
  /** It sets, pours or plants things, of which each may have a sitting of its own. */
  ofThings: boolean;
}

const kind = (sort: Sort, rest: Partial<TaskKind> = {}): TaskKind => ({ sort, isFree: false, follows: false, mayBeLater: false, isFrame: false, ofThings: false, ...rest }); // prettier-ignore
const things = (sort: Sort, mayBeLater = false) => kind(sort, { isFree: true, ofThings: true, mayBeLater });
const free = (sort: Sort) => kind(sort, { isFree: true });
const along = (sort: Sort) => kind(sort, { follows: true });

const KINDS: Readonly<Record<string, TaskKind>> = {
  // At the beginning and the end of each sitting.
  arrive: kind('yard', { isFrame: true }),
  carry: kind('tank', { isFrame: true }),
  break: kind('hardscape', { isFrame: true }),
  leave: kind('yard', { isFrame: true }),
  // Beside the tank, and what makes it free for the scape.
  wash: along('yard'),
  table: kind('yard'),
  protect: free('tank'),
  leaving: free('tank'),
  holding: free('tank'),
  'old-gear': free('tank'),
  drain: free('tank'),
  lift: free('tank'),
  strip: free('tank'),
  trial: free('tank'),
  // Bed, stone and wood.
  move: free('hardscape'),
  compose: kind('hardscape'),
  rinse: along('hardscape'),
  filler: things('hardscape'),
  soil: things('hardscape'),
  sand: things('hardscape', true),
  'floor-stones': things('hardscape'),
  stones: things('hardscape'),
  ware: things('hardscape'),
  wood: things('hardscape'),
  joints: kind('hardscape', { isFree: true, follows: true }),
  pockets: kind('hardscape', { isFree: true, follows: true }),
  wiggle: along('hardscape'),
  dam: along('hardscape'),
  close: along('hardscape'),
  gaps: along('hardscape'),
  rubble: things('hardscape', true),
  // Plants.
  'wet-bed': free('planting'),
  tabs: along('planting'),
  epiphytes: things('planting', true),
  sprinkle: things('planting', true),
  floaters: things('water', true),
  // Water, and everything on.
  unpack: free('water'),
  equipment: free('water'),
  'fill-part': kind('water'),
  fill: kind('water'),
  refloat: kind('water'),
  start: kind('water'),
  return: kind('water'),
  photograph: kind('water', { isFree: true, mayBeLater: true }),
  'clear-up': kind('water'),
};

/** Tasks that are named after a plant, a layer or how plants come. */
const NAMED: readonly (readonly [beginning: string, kind: TaskKind])[] = [
  ['plant-', things('planting', true)],
  ['prepare-', along('planting')],
  ['layer-', things('hardscape', true)],
  ['partly-', kind('water')],
  ['submerged-', kind('water')],
];

/** What a task is; one that the table does not have is hardscape that stays where it is. */
export function taskKind(task: string): TaskKind {
  const own = Object.hasOwn(KINDS, task) ? KINDS[task] : undefined;
  return own ?? NAMED.find(([beginning]) => task.startsWith(beginning))?.[1] ?? kind('hardscape');
}
