import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cooledCelsius, hoursToLose } from './cooling';

describe('water that waits', () => {
  it('cools as Newton has it', () => {
    // UA·t / mc = 5 W/K · 18,000 s / (60 kg · 4,180 J/kgK) = 0.359; e^−0.359 = 0.698; 17 + 7 · 0.698 = 21.89.
    expect(cooledCelsius({ litres: 60, wattsPerK: 5 }, 24, 17, 5)).toBeCloseTo(21.89, 2);
    expect(cooledCelsius({ litres: 60, wattsPerK: 5 }, 17, 17, 5)).toBe(17);
  });

  it('never passes the room, and is as much colder after the hours that it is said to take', () => {
    const tub = fc.record({
      litres: fc.integer({ min: 5, max: 300 }),
      wattsPerK: fc.integer({ min: 1, max: 40 }),
    });
    fc.assert(
      fc.property(
        tub,
        fc.integer({ min: 18, max: 30 }),
        fc.integer({ min: 5, max: 17 }),
        (standing, water, room) => {
          const hours = hoursToLose(standing, water, room, 2);
          if (water - room > 2) expect(cooledCelsius(standing, water, room, hours)).toBeCloseTo(water - 2, 9);
          else expect(hours).toBe(Infinity);
          expect(cooledCelsius(standing, water, room, 1_000)).toBeGreaterThanOrEqual(room);
        },
      ),
    );
  });
});
