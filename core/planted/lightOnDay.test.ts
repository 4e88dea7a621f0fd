import { describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import type { Commission, Planting } from '../commission/schema';
import { survey } from '../survey/survey';
import { scape, soil } from '../testing/scape';
import { lightOnDay } from './lightOnDay';
import { plantedPlan } from './planted';
import { resolved } from '../testing/resolved';

/** A level bed under a lamp over its middle. */
function lit(plants: Partial<Planting>[]) {
  const c: Commission = scape({ inner: [600, 400, 400], option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: [] } }); // prettier-ignore
  c.catalogue.plants = [...new Set(plants.map((p) => p.plant!))].map((id) => KNOWN_PLANTS.find((p) => p.id === id)!); // prettier-ignore
  c.options[0].plants = plants.map((p, i) => ({ id: `P-${i + 1}`, plant: 'x', ...p }));
  c.site = { devices: [{ id: 'lamp', name: 'lamp', watts: 40, kind: 'lamp', light: { umolPerS: 60, at: [300, 200], aboveRimMm: 60 } }] }; // prettier-ignore
  c.brief.co2 = true;
  const s = survey(c);
  const { parts, living } = plantedPlan(resolved(c, s), s);
  const on = (day: number) => lightOnDay(parts, living, c.vessel, s.field, day);
  /** The mean around a spot, µmol/m²/s. */
  const around = (map: Float32Array, x: number, y: number) => {
    const near = [...map].filter((_, cell) => Math.hypot(((cell % living.light.columns) + 0.5) * s.field.dxMm - x, (Math.floor(cell / living.light.columns) + 0.5) * s.field.dyMm - y) < 25); // prettier-ignore
    return near.reduce((a, b) => a + b, 0) / near.length;
  };
  return { living, on, around };
}
const hedge = { plant: 'rotala-rotundifolia', spacingMm: 28, region: [[60, 150], [540, 150], [540, 250], [60, 250]] as [number, number][] }; // prettier-ignore

describe('light on the bed', () => {
  it('is less under stems from week to week, and the same beside them', () => {
    const { living, on, around } = lit([hedge]);
    const weeks = [0, 3, 6].map((w) => on(w * 7));
    // As planted stems are lower than a hand’s breadth and take nothing.
    weeks[0].forEach((v, i) => expect(v).toBeCloseTo(living.light.ppfd[i], 3));
    const under = weeks.map((map) => around(map, 300, 200));
    expect(under[1]).toBeLessThan(0.95 * under[0]);
    expect(under[2]).toBeLessThan(under[1]);
    // In front of them, where the lamp shines past, almost all is left.
    const before = weeks.map((map) => around(map, 300, 40));
    expect(before[2] / before[0]).toBeGreaterThan(0.8);
    expect(before[2] / before[0]).toBeGreaterThan(under[2] / under[0] + 0.2);
    // Nothing gains.
    for (const map of weeks) map.forEach((v, i) => expect(v).toBeLessThanOrEqual(living.light.ppfd[i] + 1e-4)); // prettier-ignore
  });

  it('is less by three quarters of what floats over it', () => {
    const { living, on } = lit([{ plant: 'salvinia-auriculata', count: 95, region: undefined }]);
    const late = on(400);
    // 95 portions of π · 20² mm² over 600 × 400 mm are 49.7 % of the surface.
    expect(late[5_000] / living.light.ppfd[5_000]).toBeCloseTo(1 - 0.75 * 0.4974, 2);
  });
});
