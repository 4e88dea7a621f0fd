/** Where a commission stands, from the first line drawn to the end of its care. */
export const STANDINGS = ['begun', 'drawn', 'ordering', 'ordered', 'in-care', 'done'] as const;
export type Standing = (typeof STANDINGS)[number];

/** Which commissions a list shows: those at work, those of them that ask for something, those built long ago, removed ones. */
export const SHOWN = ['current', 'settle', 'order', 'unpriced', 'archive', 'removed'] as const;
export type Shown = (typeof SHOWN)[number];

/** By what a list is sorted: what is soonest, most or newest comes first. */
export const SORTS = ['build', 'due', 'findings', 'cost', 'worked', 'title', 'client'] as const;
export type Sort = (typeof SORTS)[number];

/** True of a list that is chosen or sorted by what is worked out of each commission. */
export function asksGlances(show: Shown, sort: Sort): boolean {
  return ['settle', 'order', 'unpriced'].includes(show) || ['due', 'findings', 'cost'].includes(sort);
}
