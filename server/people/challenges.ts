/* Questions that a passkey answers, kept until they are. */

/** Under which name the page was served, and its whole origin: a key works for that name alone. */
export interface Place {
  origin: string;
  host: string;
}

/** How long somebody has to answer, ms, and how many questions wait for an answer. */
const ANSWER_MS = 5 * 60_000;
const MOST_WAITING = 5_000;

/** Questions that were asked, each good for one answer and for a while; for one person, or for whoever has a key. */
export function openChallenges(clock: () => number = Date.now) {
  const waiting = new Map<string, { until: number; who: string | undefined }>();
  return {
    asked(challenge: string, who?: string): void {
      waiting.set(challenge, { until: clock() + ANSWER_MS, who });
      if (waiting.size > MOST_WAITING) waiting.delete(waiting.keys().next().value!);
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
