/** A task that gets another sitting. */
export interface Move {
  task: string;
  to: string;
  /** Only the things that were given the sitting that it leaves themselves: all others of that task stay where they are. */
  single?: boolean;
  /** The layers that it pours, where it pours any. */
  layers?: string[];
}
