/**
 * The revised NIOSH lifting equation for one person and two hands: Waters, Putz-Anderson, Garg, Fine,
 * Ergonomics 36 (1993), metric form, from memory. It says what most healthy workers can lift over a day, not
 * what a team can; it is shown as advice, and local rules decide.
 */
export interface Lift {
  /** Hands in front of the ankles, and above the floor at the start, cm. */
  horizontalCm: number;
  verticalCm: number;
  /** How far it is moved up or down, cm. */
  travelCm: number;
  /** Turn of the trunk, degrees. */
  asymmetryDeg: number;
  grip: 'good' | 'fair' | 'poor';
  /** From the equation's table for lifts a minute and hours; 1 for a single lift now and then. */
  frequency?: number;
}

export interface Multiplier {
  name: 'distance' | 'height' | 'travel' | 'turn' | 'grip' | 'often';
  value: number;
}

/** Load constant, kg. */
export const LOAD_CONSTANT_KG = 23;

/** Coupling by grip, below and from 75 cm. */
const COUPLING = { good: [1, 1], fair: [0.95, 1], poor: [0.9, 0.9] } as const;

/** The equation's multipliers, each 1 at its best and less where the lift is worse. */
export function liftMultipliers(lift: Lift): Multiplier[] {
  const { horizontalCm: h, verticalCm: v, travelCm: d } = lift;
  return [
    { name: 'distance', value: h > 63 ? 0 : 25 / Math.max(25, h) },
    { name: 'height', value: v > 175 ? 0 : 1 - 0.003 * Math.abs(v - 75) },
    { name: 'travel', value: d > 175 ? 0 : 0.82 + 4.5 / Math.max(25, d) },
    { name: 'turn', value: lift.asymmetryDeg > 135 ? 0 : 1 - 0.0032 * lift.asymmetryDeg },
    { name: 'grip', value: COUPLING[lift.grip][v < 75 ? 0 : 1] },
    { name: 'often', value: lift.frequency ?? 1 },
  ];
}

/**
 * Recommended weight limit, kg: the load constant times every multiplier; 23 kg when all are 1.
 * Valid for a single lift with two hands, at most 63 cm from the ankles. Leaves out: gloves, wet glass, who lifts.
 * Test: site.test.ts, "has each multiplier by hand".
 */
export function recommendedKg(lift: Lift): number {
  return liftMultipliers(lift).reduce((kg, m) => kg * m.value, LOAD_CONSTANT_KG);
}

/**
 * A glass edge held at arm's length and lifted from knee height to a stand, without a turn: hands 40 cm ahead,
 * poor grip (common practice).
 */
export const GLASS_LIFT: Lift = {
  horizontalCm: 40,
  verticalCm: 50,
  travelCm: 40,
  asymmetryDeg: 0,
  grip: 'poor',
};

/** On stairs one hand holds, the trunk turns and the load travels: worse in three ways. */
export const STAIR_LIFT: Lift = { ...GLASS_LIFT, travelCm: 70, asymmetryDeg: 30, horizontalCm: 45 };

/** People among whom a mass is shared so that none has more than the limit; advice, not a permission. */
export function peopleFor(massKg: number, limitKg: number): number {
  return Math.max(1, Math.ceil(massKg / limitKg - 1e-9));
}
