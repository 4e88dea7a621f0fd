import type { Hand } from './hand';

/** One first visit: what is answered on which stage, and which findings have to follow from it. */
export interface Visit {
  title: string;
  brief: (hand: Hand, picture: string) => Promise<void>;
  vessel: (hand: Hand, picture: string) => Promise<void>;
  /** What is done after the visit to see that an answer works. */
  afterwards?: (hand: Hand) => Promise<void>;
  findings: string[];
}
