/*
 * Bytes of bodies that are on their way into files: in all, and of one person, so that nobody fills the disk for the others.
 */

export interface Room {
  all: number;
  /** Of one person; where nobody is signed in there is only the whole. */
  ofOne: number;
}

export function underWay({ all, ofOne }: Room) {
  let total = 0;
  const own = new Map<string, number>();
  return {
    /** Counts bytes that came, or with a minus those of a file that went. */
    count(bytes: number, who: string | undefined): void {
      total += bytes;
      if (who === undefined) return;
      const now = (own.get(who) ?? 0) + bytes;
      if (now > 0) own.set(who, now);
      else own.delete(who);
    },
    /** Whether it is more than there is room for. */
    isTooMuch: (who: string | undefined): boolean =>
      total > all || (who !== undefined && (own.get(who) ?? 0) > ofOne),
  };
}
