/** A task that gets another sitting. */
export interface Move {
  task: string;
  to: string;
  /** The layers that it pours, where it pours any. */
  layers?: string[];
}
