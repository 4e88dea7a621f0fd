/**
 * Runs work in the order in which it comes, as much of it at once as goes into a budget. A piece of work that
 * is as large as the budget runs alone.
 */
export function pixelQueue(budget: number): <T>(size: number, work: () => Promise<T>) => Promise<T> {
  let used = 0;
  const waiting: { size: number; start: () => void }[] = [];

  function next(): void {
    while (waiting.length > 0 && used + waiting[0].size <= budget) {
      const { size, start } = waiting.shift()!;
      used += size;
      start();
    }
  }

  return async (asked, work) => {
    const size = Math.min(asked, budget);
    await new Promise<void>((start) => {
      waiting.push({ size, start });
      next();
    });
    try {
      return await work();
    } finally {
      used -= size;
      next();
    }
  };
}
