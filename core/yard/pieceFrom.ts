import type { Material } from '../commission/schema';
import { densityOf } from '../hardscape/mass';
import type { Mesh } from '../geometry/mesh';
import { say, type Text } from '../words/text';
import { inKg, inLitres } from '../words/measure';
import { rounded } from '../units/quantity';
import { FILLS, roughStone } from './roughStone';

/** What is measured of a piece in the hand: three sizes, and its mass or the water it displaces. */
export interface InHand {
  sizeMm: readonly [number, number, number];
  massKg?: number;
  litres?: number;
}

/** A piece as it comes out of that, and what does not fit together. */
export interface FromHand {
  mesh: Mesh;
  litres: number;
  massKg: number;
  doubts: Text[];
}

/** How far a density may lie from that of its kind before it is asked about, share (common practice). */
const OFF = 0.3;
const MM3_PER_L = 1e6;

/**
 * The solid of a piece that was measured and weighed: its sizes, and as many litres as its mass gives at the density of
 * its kind, or as it displaces. What cannot be is asked about: a density far from its kind, more or fewer litres than
 * its sizes can hold.
 * Valid for stones and blocks of wood. Leaves out: hollows, branches.
 * Test: yard.test.ts, "asks about a slate of nine kilograms and two litres".
 */
export function pieceFrom(
  hand: InHand,
  material: Pick<Material, 'name' | 'densityKgPerL'>,
  seed: number,
): FromHand {
  const { sizeMm } = hand;
  const boxL = (sizeMm[0] * sizeMm[1] * sizeMm[2]) / MM3_PER_L;
  const density = densityOf(material);
  const litres = hand.litres ?? (hand.massKg === undefined ? boxL * FILLS.usual : hand.massKg / density);
  const massKg = hand.massKg ?? litres * density;
  const doubts = densityDoubts(hand, material);
  const share = litres / boxL;
  if (share > FILLS.most || share < FILLS.least)
    doubts.push(
      say(share > FILLS.most ? 'yard.too-heavy' : 'yard.too-light', {
        litres: inLitres(litres, 2),
        box: inLitres(boxL, 2),
      }),
    );
  return { mesh: roughStone(sizeMm, share, seed), litres, massKg, doubts };
}

/** Asks about a mass and litres whose density lies far from that of its kind. */
export function densityDoubts(
  { massKg, litres }: Pick<InHand, 'massKg' | 'litres'>,
  material: Pick<Material, 'name' | 'densityKgPerL'>,
): Text[] {
  if (massKg === undefined || litres === undefined) return [];
  const [own, density] = [massKg / litres, densityOf(material)];
  if (Math.abs(own / density - 1) <= OFF) return [];
  return [
    say('yard.density', {
      mass: inKg(massKg, 2),
      litres: inLitres(litres, 2),
      own: rounded(own, 2),
      material: material.name,
      density: rounded(density, 2),
    }),
  ];
}

/** Sizes by which stone and wood are bought unseen: the longest side, mm (common practice). */
export const SIZE_CLASSES = [
  { id: 'xs', mm: [30, 70] },
  { id: 's', mm: [70, 120] },
  { id: 'm', mm: [120, 180] },
  { id: 'l', mm: [180, 260] },
  { id: 'xl', mm: [260, 380] },
] as const;
export type SizeClass = (typeof SIZE_CLASSES)[number]['id'];
export const FORMS = { tall: [0.55, 0.5, 1], flat: [1, 0.75, 0.35], round: [0.9, 0.85, 0.8] } as const;
export type Form = keyof typeof FORMS;

/** A plausible stand-in for a piece that is bought by its size class: its sizes in the middle of the class. */
export function standIn(
  size: SizeClass,
  form: Form,
  seed: number,
): { sizeMm: [number, number, number]; mesh: Mesh } {
  const [least, most] = SIZE_CLASSES.find((c) => c.id === size)!.mm;
  const longest = (least + most) / 2;
  const sizeMm = FORMS[form].map((share) => Math.round(share * longest)) as [number, number, number];
  return { sizeMm, mesh: roughStone(sizeMm, FILLS.usual, seed) };
}
