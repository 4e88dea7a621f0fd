import { centred, type Mesh } from '../geometry/mesh';
import type { Solids } from '../geometry/solids';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';

type Spot = readonly [x: number, y: number, z: number];

/** A branch as it is measured with tape and calliper. The first is the trunk; a later one leaves one before it. */
export interface Branch {
  /** Number of the branch that it leaves, 0 for the trunk, and how far along that. */
  from?: number;
  alongMm?: number;
  longMm: number;
  /** Diameters at its beginning and at its end. */
  thickMm: readonly [number, number];
  /** Where it runs to seen from above, from the right over the back, and how steeply it rises. */
  bearingDeg: number;
  riseDeg: number;
}

/** A centre line with its diameters. */
export interface Limb {
  from: Spot;
  to: Spot;
  thickMm: readonly [number, number];
}

const RAD = Math.PI / 180;
/** Sides of a branch: as a prism of so many it has 97 % of the round one’s section. */
export const SIDES = 16;
/** Radius of the corners at which a prism has the section of the round one. */
const EVEN = Math.sqrt((2 * Math.PI) / (SIDES * Math.sin((2 * Math.PI) / SIDES)));

/** What a skeleton says that cannot be, by branch, or undefined. */
export function branchFault(branches: readonly Branch[]): Text | undefined {
  if (branches.length === 0) return say('branch.no.trunk');
  for (const [i, b] of branches.entries()) {
    if (i === 0 && b.from !== undefined) return say('branch.trunk.leaves');
    if (i === 0) continue;
    const parent = branches[b.from ?? 0];
    if ((b.from ?? 0) >= i) return say('branch.later', { branch: i, from: b.from ?? 0 });
    if ((b.alongMm ?? 0) > parent.longMm)
      return say('branch.beyond', { branch: i, at: inMm(b.alongMm ?? 0), long: inMm(parent.longMm) });
  }
  return undefined;
}

/**
 * Centre lines of a skeleton, each from where it leaves its branch, mm from the root.
 * Test: branches.test.ts, "a branch leaves where the tape says".
 * Valid for branches that run straight. Leaves out: bends within a branch: measure it as two.
 */
export function limbsOf(branches: readonly Branch[]): Limb[] {
  const limbs: Limb[] = [];
  for (const b of branches) {
    const parent = limbs[b.from ?? 0] as Limb | undefined;
    const from = parent
      ? along(parent, (b.alongMm ?? 0) / branches[b.from ?? 0].longMm)
      : ([0, 0, 0] as const);
    const flat = b.longMm * Math.cos(b.riseDeg * RAD);
    const to: Spot = [
      from[0] + flat * Math.cos(b.bearingDeg * RAD),
      from[1] + flat * Math.sin(b.bearingDeg * RAD),
      from[2] + b.longMm * Math.sin(b.riseDeg * RAD),
    ];
    limbs.push({ from, to, thickMm: b.thickMm });
  }
  return limbs;
}

function along({ from, to }: Limb, share: number): Spot {
  return [0, 1, 2].map((k) => from[k] + (to[k] - from[k]) * share) as unknown as Spot;
}

/**
 * Wood of a skeleton as one closed solid: each branch a tapered round with round ends, run into one where they meet.
 * Valid for branches that run straight. Leaves out: bark, knots, hollows.
 * Test: branches.test.ts, "has the litres of a tapered round".
 */
export function branchSolid(branches: readonly Branch[], solids: Solids): Mesh {
  const parts = limbsOf(branches).map(({ from, to, thickMm: [a, b] }) =>
    solids.hull([...ball(from, a / 2), ...ball(to, b / 2)]),
  );
  return centred(solids.union(parts));
}

/** Corners of a ball, even enough that a hull over two of them is a tapered round. */
function ball([x, y, z]: Spot, radiusMm: number): [number, number, number][] {
  const r = radiusMm * EVEN;
  const points: [number, number, number][] = [
    [x, y, z + r],
    [x, y, z - r],
  ];
  const rows = SIDES / 2;
  for (let row = 1; row < rows; row++) {
    const polar = (row / rows) * Math.PI;
    for (let i = 0; i < SIDES; i++) {
      const a = (i / SIDES) * 2 * Math.PI;
      points.push([
        x + r * Math.sin(polar) * Math.cos(a),
        y + r * Math.sin(polar) * Math.sin(a),
        z + r * Math.cos(polar),
      ]);
    }
  }
  return points;
}
