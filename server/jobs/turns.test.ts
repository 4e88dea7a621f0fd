import { getEventListeners } from 'node:events';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TooMuchWaiting, turns } from './turns';

/** Work that ends when it is told to. */
function held() {
  let end!: () => void;
  const until = new Promise<void>((resolve) => (end = resolve));
  return { until, end };
}
const settled = () => new Promise((resolve) => setImmediate(resolve));

describe('turns', () => {
  it('serves the first of each asker before the second of any', async () => {
    const take = turns({ atOnce: 1, waiting: 100, waitingEach: 100 });
    const begun: string[] = [];
    const ask = (who: string, n: number) => take(who, async () => void begun.push(`${who}${n}`));
    await Promise.all([ask('a', 1), ask('a', 2), ask('a', 3), ask('b', 1), ask('c', 1), ask('b', 2)]);
    expect(begun).toEqual(['a1', 'a2', 'b1', 'c1', 'a3', 'b2']);
  });

  it('serves whoever is signed in as one, whatever they ask for, and what they ask for in turns', async () => {
    const take = turns({ atOnce: 1, waiting: 100, waitingEach: 100 });
    const begun: string[] = [];
    const ask = (by: string, who: string) => take(who, async () => void begun.push(`${by} ${who}`), undefined, by); // prettier-ignore
    // Ines asks for a list of five glances and then for a plan; Tom, who asks last, is second.
    const glances = Array.from({ length: 5 }, () => ask('ines', 'glances'));
    await Promise.all([...glances, ask('ines', 'plan'), ask('tom', 'plan')]);
    expect(begun).toEqual(['ines glances', 'ines glances', 'tom plan', 'ines plan', 'ines glances', 'ines glances', 'ines glances']); // prettier-ignore
  });

  it('keeps nothing else waiting for what waits for another’s work on the same thing', async () => {
    const take = turns({ atOnce: 2, atOnceEach: 1, waiting: 9, waitingEach: 9 });
    const first = held();
    const order: string[] = [];
    const saves = [
      take('a', () => first.until, undefined, 'ines'),
      take('a', async () => void order.push('tom a'), undefined, 'tom'),
      take('b', async () => void order.push('tom b'), undefined, 'tom'),
    ];
    await saves[2];
    expect(order).toEqual(['tom b']);
    first.end();
    await Promise.all(saves);
    expect(order).toEqual(['tom b', 'tom a']);
  });

  it('gives nobody more than half of the room to wait in', async () => {
    const take = turns({ atOnce: 1, waiting: 6, waitingEach: 2 });
    const first = held();
    const work = [take('a', () => first.until, undefined, 'ines')];
    for (const who of ['a', 'b', 'c']) work.push(take(who, async () => {}, undefined, 'ines'));
    await expect(take('d', async () => {}, undefined, 'ines')).rejects.toBeInstanceOf(TooMuchWaiting);
    work.push(take('d', async () => {}, undefined, 'tom'));
    first.end();
    await Promise.all(work);
  });

  it('refuses what is more than may wait, of one and of all, and takes it once there is room', async () => {
    const take = turns({ atOnce: 1, waiting: 3, waitingEach: 2 });
    const first = held();
    const work = [take('a', () => first.until)];
    work.push(
      take('a', async () => {}),
      take('a', async () => {}),
    );
    await expect(take('a', async () => {})).rejects.toBeInstanceOf(TooMuchWaiting);
    work.push(take('b', async () => {}));
    await expect(take('c', async () => {})).rejects.toBeInstanceOf(TooMuchWaiting);
    first.end();
    await Promise.all(work);
    expect(await take('a', async () => 'taken')).toBe('taken');
  });

  it('never begins what nobody wants any more, and goes on after what failed', async () => {
    const take = turns({ atOnce: 1, waiting: 9, waitingEach: 9 });
    const first = held();
    const gone = new AbortController();
    const failing = take('a', async () => {
      await first.until;
      throw new Error('its own');
    });
    let begun = false;
    const left = take('a', async () => void (begun = true), gone.signal);
    const after = take('b', async () => 'still');
    gone.abort();
    await expect(left).rejects.toThrow(/abort/i);
    first.end();
    await expect(failing).rejects.toThrow('its own');
    expect(await after).toBe('still');
    expect(begun).toBe(false);
  });

  it('listens to an asker for as long as it waits, and no longer', async () => {
    const take = turns({ atOnce: 2, waiting: 100, waitingEach: 100 });
    const { signal } = new AbortController();
    const [first, second] = [held(), held()];
    const asked = [first.until, second.until, settled(), settled()].map((work) => take('a', () => work, signal)); // prettier-ignore
    expect(getEventListeners(signal, 'abort')).toHaveLength(2);
    [first, second].forEach((h) => h.end());
    await Promise.all(asked);
    expect(getEventListeners(signal, 'abort')).toEqual([]);
  });

  it('holds for any askers: never more at once than may be, of all and of each, and all are served', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 40 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        async (askers, atOnce, atOnceEach) => {
          const take = turns({ atOnce, atOnceEach, waiting: 99, waitingEach: 99 });
          const at = new Map<string, number>();
          const count = () => [...at.values()].reduce((n, k) => n + k, 0);
          let [most, mostEach] = [0, 0];
          const all = askers.map((who) =>
            take(who, async () => {
              at.set(who, (at.get(who) ?? 0) + 1);
              most = Math.max(most, count());
              mostEach = Math.max(mostEach, at.get(who)!);
              await settled();
              at.set(who, at.get(who)! - 1);
            }),
          );
          await Promise.all(all);
          expect(most).toBeLessThanOrEqual(atOnce);
          expect(mostEach).toBeLessThanOrEqual(atOnceEach);
        },
      ),
      { numRuns: 40 },
    ));
});
