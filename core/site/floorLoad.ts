import { say, type Text } from '../words/text';
import { kilonewtonsFromKg } from '../units/mass';

/** What a full tank puts on the floor. */
export interface FloorLoad {
  totalKg: number;
  /** Over the base of the stand, kN/m². */
  baseKnPerM2: number;
  /** On one foot when they share evenly, kN; left out for a stand on its whole base. */
  footKn?: number;
}

/**
 * Valid for masses at rest, shared evenly. Leaves out: people in front of it, the floor’s own span and where on
 * it the load stands.
 * Test: site.test.ts, "bears 268 kg on 0.47 m² with 5.6 kN/m², and on four feet with 0.66 kN each".
 */
export function floorLoad(totalKg: number, footprintM2: number, feet?: number): FloorLoad {
  const kn = kilonewtonsFromKg(totalKg);
  return { totalKg, baseKnPerM2: kn / footprintM2, ...(feet ? { footKn: kn / feet } : {}) };
}

export type RoomUse = 'home' | 'office' | 'shop' | 'assembly';

/**
 * Characteristic imposed loads that rooms are usually designed for, kN/m²: EN 1991-1-1 table 6.2, categories
 * A, B, D and C, and for homes the 40 psf of IRC table R301.5; all from memory. They are averages over a
 * floor, shown beside the tank's own load. They do not say that any floor carries it: an engineer does.
 */
export const USUAL_LOADS: Readonly<
  Record<RoomUse, { name: Text; knPerM2: [number, number]; source: string }>
> = {
  home: { name: say('use.home'), knPerM2: [1.5, 2], source: 'EN 1991-1-1 category A; IRC R301.5: 1.92' },
  office: { name: say('use.office'), knPerM2: [2, 3], source: 'EN 1991-1-1 category B' },
  shop: { name: say('use.shop'), knPerM2: [4, 5], source: 'EN 1991-1-1 category D' },
  assembly: { name: say('use.assembly'), knPerM2: [2, 5], source: 'EN 1991-1-1 category C' },
};

/** The sentence that stands wherever a floor is spoken of. */
export const ENGINEER_DECIDES = say('floor.decides');

/**
 * Characteristic single load beside the spread one, kN: 2.0 for homes (EN 1991-1-1 table 6.2, category A, from
 * memory), the least of all uses.
 */
const POINT_LOAD_KN = 2;

/**
 * True when a load as a whole is of the kind that a room is designed to bear in any one place, as furniture and
 * people bring it: 37 kg on 0.09 m² are 4 kN/m² and still only 0.36 kN. It does not say that a floor bears it.
 */
export function isUsualPointLoad(totalKg: number): boolean {
  return kilonewtonsFromKg(totalKg) <= POINT_LOAD_KN;
}
