/* Questions that a passkey answers, kept until they are. */

/** Under which name the page was served, and its whole origin: a key works for that name alone. */
export interface Place {
  origin: string;
  host: string;
}

/** How long somebody has to answer, ms; how many questions wait for an answer, and of those how many of one caller. */
const ANSWER_MS = 5 * 60_000;
const [MOST_WAITING, MOST_OF_ONE] = [5_000, 40];

interface Question {
  until: number;
  /** Whom it was asked; whoever has a key where that is left out. */
  who?: string;
  /** From where. */
  from: string;
}

/** Questions that were asked, each good for one answer and for a while; whoever asks for many loses their own oldest. */
export function openChallenges(clock: () => number = Date.now) {
  const waiting = new Map<string, Question>();
  const oldest = (is: (q: Question) => boolean) => [...waiting].find(([, q]) => is(q))?.[0];
  return {
    asked(challenge: string, from: string, who?: string): void {
      const own = [...waiting.values()].filter((q) => q.from === from).length;
      const gone = own >= MOST_OF_ONE ? oldest((q) => q.from === from) : waiting.size >= MOST_WAITING ? oldest(() => true) : undefined; // prettier-ignore
      if (gone !== undefined) waiting.delete(gone);
      waiting.set(challenge, { until: clock() + ANSWER_MS, from, who });
    },
    /** Whether it was asked of them, once. */
    taken(challenge: string, who?: string): boolean {
      const known = waiting.get(challenge);
      waiting.delete(challenge);
      return known !== undefined && known.until > clock() && known.who === who;
    },
  };
}
export type Challenges = ReturnType<typeof openChallenges>;
