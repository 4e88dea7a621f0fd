import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { floorLoad, USUAL_LOADS } from './floorLoad';
import {
  evaporationKgPerH,
  GLASS_U,
  heatersFor,
  heatLoss,
  HUMIDITY,
  restingCelsius,
  ruleOfThumbW,
  saturationKPa,
} from './heat';
import {
  GLASS_LIFT,
  LOAD_CONSTANT_KG,
  liftMultipliers,
  peopleFor,
  recommendedKg,
  STAIR_LIFT,
} from './lifting';
import { powerLoad } from './power';
import { intoWaterW, type Warms } from './warmth';
import { longestRound, standsIn, troubleAt, type Load } from './route';

describe('the NIOSH lifting equation (Waters et al., Ergonomics 36, 1993, from memory)', () => {
  const best = { horizontalCm: 25, verticalCm: 75, travelCm: 25, asymmetryDeg: 0, grip: 'good' } as const;

  it('allows 23 kg when every multiplier is 1', () => {
    expect(recommendedKg(best)).toBeCloseTo(LOAD_CONSTANT_KG, 9);
    expect(LOAD_CONSTANT_KG).toBe(23);
  });

  it('has each multiplier by hand', () => {
    const worse = liftMultipliers({ ...best, horizontalCm: 50, verticalCm: 25, travelCm: 90, asymmetryDeg: 45, grip: 'poor' }); // prettier-ignore
    const by = Object.fromEntries(worse.map((m) => [m.name, m.value]));
    expect(by.distance).toBe(0.5);
    expect(by.height).toBeCloseTo(0.85, 9);
    expect(by.travel).toBeCloseTo(0.87, 9);
    expect(by.turn).toBeCloseTo(0.856, 9);
    expect(by.grip).toBe(0.9);
  });

  it('allows nothing beyond its range', () => {
    expect(recommendedKg({ ...best, horizontalCm: 64 })).toBe(0);
    expect(recommendedKg({ ...best, verticalCm: 176 })).toBe(0);
  });

  it('shares 38 kg of glass among people', () => {
    expect(peopleFor(38, recommendedKg(GLASS_LIFT))).toBe(4);
    expect(recommendedKg(STAIR_LIFT)).toBeLessThan(recommendedKg(GLASS_LIFT));
    expect(peopleFor(23, 23)).toBe(1);
  });
});

describe('the floor', () => {
  it('bears 268 kg on 0.47 m² with 5.6 kN/m², and on four feet with 0.66 kN each', () => {
    const load = floorLoad(268, 0.47, 4);
    expect(load.baseKnPerM2).toBeCloseTo(5.59, 2);
    expect(load.footKn).toBeCloseTo(0.657, 3);
    expect(floorLoad(268, 0.47).footKn).toBeUndefined();
  });

  it('is shown beside 1.5 to 2.0 kN/m² for homes (EN 1991-1-1), 40 psf being 1.92 (IRC R301.5)', () => {
    expect(USUAL_LOADS.home.knPerM2).toEqual([1.5, 2]);
    expect((40 * 0.45359237 * 9.80665) / 0.3048 ** 2 / 1000).toBeCloseTo(1.92, 2);
  });
});

describe('the way in', () => {
  const tank: Load = { what: 'tank', sizeMm: [924, 474, 460], massKg: 38, upright: true };
  const lift = { id: 'l', kind: 'lift', name: 'Lift', widthMm: 1100, depthMm: 880, heightMm: 2100, loadKg: 450 } as const; // prettier-ignore

  it('takes a tank along the longer side of a lift, or not at all', () => {
    expect(troubleAt(lift, tank)).toEqual([]);
    const narrow = troubleAt({ ...lift, widthMm: 700 }, tank);
    expect(narrow).toMatchObject([{ kind: 'depth', measured: 924, limit: 880 }]);
  });

  it('counts who rides along against the load of the lift', () => {
    const light = troubleAt({ ...lift, loadKg: 180 }, tank, 2);
    expect(light).toMatchObject([{ kind: 'mass', measured: 188, limit: 180 }]);
  });

  it('wants a hand at each side of a door', () => {
    const door = { id: 'd', kind: 'door', name: 'Door', widthMm: 530, heightMm: 2000 } as const;
    expect(troubleAt(door, tank)).toMatchObject([{ kind: 'width', measured: 534, limit: 530 }]);
    expect(troubleAt({ ...door, widthMm: 820 }, tank)).toEqual([]);
    expect(troubleAt({ ...door, widthMm: undefined }, tank)).toEqual([]);
  });

  it('lets a stone be turned, a tank not', () => {
    const low = { id: 'd', kind: 'door', name: 'Hatch', widthMm: 500, heightMm: 300 } as const;
    const stone: Load = { what: 'stone', name: 'S-1', sizeMm: [200, 150, 420], massKg: 20, upright: false };
    expect(troubleAt(low, stone)).toEqual([]);
    expect(troubleAt(low, { ...stone, upright: true }).map((t) => t.kind)).toEqual(['height']);
  });

  it('takes a pole of 2√2 m round the corner of two passages of 1 m', () => {
    expect(longestRound(0, 1000, 1000)).toBeCloseTo(2000 * Math.SQRT2, 3);
    expect(longestRound(500, 1000, 1000)).toBeCloseTo(2000 * Math.SQRT2 - 1000, 3);
    const turn = { id: 't', kind: 'turn', name: 'Landing', widthMm: 900, depthMm: 900 } as const;
    const long: Load = { what: 'tank', sizeMm: [2024, 624, 600], massKg: 150, upright: true };
    expect(troubleAt(turn, long).map((t) => t.kind)).toEqual(['turn']);
    expect(troubleAt({ ...turn, widthMm: 2200, depthMm: 2200 }, long)).toEqual([]);
  });

  it('stands a rectangle in another askew (Carver 1957): a diagonal that fits, and one that does not', () => {
    // A thin rod of 1400 in a square of 1000: its diagonal is 1414.
    expect(standsIn(1400, 5, 1000, 1000)).toBe(true);
    expect(standsIn(1420, 5, 1000, 1000)).toBe(false);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), fc.integer({ min: 1, max: 999 }), (p, q) => {
        expect(standsIn(Math.max(p, q), Math.min(p, q), 1000, 1000)).toBe(true);
      }),
    );
  });
});

describe('power', () => {
  const devices = [
    { name: 'heater', watts: 150 },
    { name: 'light', watts: 84 },
    { name: 'filter', watts: 26 },
  ];

  it('adds up: 260 W are 1.13 A at 230 V', () => {
    const load = powerLoad(devices, { sockets: 2, circuitA: 16 });
    expect(load.watts).toBe(260);
    expect(load.amps).toBeCloseTo(1.13, 2);
    expect(load.circuitShare).toBeCloseTo(0.0707, 4);
    expect(load.socketsShort).toBe(1);
    // Four fifths of 16 A at 230 V, and of 15 A at 120 V.
    expect(load.stayW).toBeCloseTo(2_944, 6);
    expect(powerLoad(devices, { circuitA: 15, volts: 120 }).stayW).toBeCloseTo(1_440, 6);
  });

  it('judges nothing that was not noted', () => {
    const load = powerLoad(devices, {});
    expect(load.socketsShort).toBe(0);
    expect([load.circuitShare, load.stayW]).toEqual([undefined, undefined]);
  });
});

describe('figures of warmth that are taken, against what is published', () => {
  it('a pane lets through what a single pane does: 5.8 W/m²K of 4 mm float, less of thicker (EN 673, from memory)', () => {
    // 1 / (0.13 + 0.04 + t / 1.0): conductivity of soda-lime glass 1.0 W/mK.
    const pane = (mm: number) => 1 / (0.17 + mm / 1000);
    expect(pane(4)).toBeCloseTo(5.75, 2);
    expect(GLASS_U).toBeGreaterThan(pane(15));
    expect(GLASS_U).toBeLessThan(pane(4));
  });

  it('a room of which nothing is known is as moist as the middle of what is comfortable: 30 to 70 % (ISO 7730, from memory)', () => {
    expect(HUMIDITY).toBeCloseTo((0.3 + 0.7) / 2, 9);
  });
});

describe('warmth', () => {
  const tank = { glassM2: 1.5, surfaceM2: 0.4, lid: true };

  it('leaves through single glass at U·A·ΔT: 5.6 · 1.5 · 6 = 50.4 W', () => {
    expect(heatLoss(tank, 24, 18).glassW).toBeCloseTo(50.4, 9);
    // ISO 6946: 0.13 + 0.04 m²K/W and 10 mm of glass at 1 W/mK.
    expect(1 / (0.13 + 0.04 + 0.01)).toBeCloseTo(GLASS_U, 1);
  });

  it('has vapour pressures of 2.34 kPa at 20 °C and 2.98 at 24 °C (steam tables, from memory)', () => {
    expect(saturationKPa(20) / 2.339).toBeCloseTo(1, 2);
    expect(saturationKPa(24) / 2.985).toBeCloseTo(1, 2);
  });

  it('evaporates more from an open top, and more in a cool room', () => {
    const open = { ...tank, lid: false };
    expect(evaporationKgPerH(open, 24, 18)).toBeGreaterThan(evaporationKgPerH(tank, 24, 18));
    expect(heatLoss(open, 24, 17).totalW).toBeGreaterThan(heatLoss(open, 24, 20).totalW);
    // About 3 L a day from 0.4 m²: between one and five (common practice).
    expect(evaporationKgPerH(open, 24, 20) * 24).toBeGreaterThan(1);
    expect(evaporationKgPerH(open, 24, 20) * 24).toBeLessThan(5);
  });

  it('rests where gain and loss are equal', () => {
    const t = restingCelsius(tank, 28, 60);
    expect(heatLoss(tank, t, 28).totalW).toBeCloseTo(60, 6);
    expect(restingCelsius({ ...tank, lid: false }, 28, 60)).toBeLessThan(t);
  });

  it('gets all of a pump, a seventh of a light over a day, and nothing of a kettle on the same circuit', () => {
    const watts = (warms: Warms, hours = 8) => intoWaterW([{ watts: 60, warms }], hours);
    expect([watts('water'), watts('elsewhere')]).toEqual([60, 0]);
    // 60 W · 0.4 · 8 h of 24 h, and half of it with half the hours.
    expect([watts('above'), watts('above', 4)].map((w) => Math.round(w * 1e9) / 1e9)).toEqual([8, 4]);
  });

  it('takes one small heater or two alike, and has the rule of thumb beside it', () => {
    expect(heatersFor(112)).toEqual([150]);
    expect(heatersFor(260)).toEqual([150, 150]);
    expect(heatersFor(0)).toEqual([]);
    expect(heatersFor(1800).reduce((a, b) => a + b)).toBeGreaterThanOrEqual(1800);
    expect(ruleOfThumbW(183)).toEqual([91.5, 183]);
  });
});
