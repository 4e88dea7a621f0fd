import { materialOf } from './lookup';
import { comesGrown } from './usual';
import { say, type Said } from '../words/text';
import type { Brief, Commission, Layer, Material, Origin, Piece, Planting } from './schema';

/*
 * Where the things of a scape come from, and what follows from it. Stated once: what is bought, washed, soaked,
 * poured and planted asks here.
 */

type Stays = NonNullable<Brief['rescape']>['stays'][number];
type Having = Pick<Brief, 'rescape'>;

/**
 * Said to come from somewhere else, a thing is none of those that stand there any more; `from` names the scape out of which
 * it is taken.
 */
export function comesFrom(origin: Origin, from?: string): { origin: Origin; from: string | undefined; now: undefined } {
  return { origin, from, now: undefined };
} // prettier-ignore

/** What nobody said anything of comes by its kind; where the tank as it is now is drawn, what is not of it is new. */
export function newUnlessSaid<T extends { origin?: Origin; owned?: boolean; from?: string }>(thing: T): T {
  return thing.origin !== undefined || thing.owned !== undefined || thing.from !== undefined
    ? thing
    : { ...thing, origin: 'bought' };
}

/** What nobody has said of a thing: in a rescape it is there when things of its kind stay, otherwise it is bought. */
function usual(brief: Having, kind: Stays): Origin {
  return brief.rescape?.stays.includes(kind) ? 'here' : 'bought';
}

/** What is laid or painted anew in a tank that runs is new, whatever stays there of its kind. */
export function newOrigin({ rescape }: Having): { origin?: Origin } {
  return rescape ? { origin: 'bought' } : {};
}

/** A piece of the yard or of the client's was marked as owned before there were origins. */
export function pieceOrigin(commission: Pick<Commission, 'brief' | 'catalogue'>, piece: Piece): Origin {
  if (piece.fixed || piece.now !== undefined) return 'here';
  if (piece.from !== undefined) return 'stock';
  if (piece.origin) return piece.origin;
  if (piece.owned !== undefined) return piece.owned ? 'stock' : 'bought';
  const isWood = materialOf(commission, piece.material).kind === 'wood';
  return usual(commission.brief, isWood ? 'wood' : 'stone');
}

/** True for a piece that is taken off the studio's shelf: what comes out of another scape stands there until that is broken down. */
export function isOffShelf(commission: Pick<Commission, 'brief' | 'catalogue'>, piece: Piece): boolean {
  return piece.from === undefined && pieceOrigin(commission, piece) === 'stock';
}

export function layerOrigin(brief: Having, layer: Layer): Origin {
  if (layer.now !== undefined) return 'here';
  return layer.from !== undefined ? 'stock' : (layer.origin ?? usual(brief, 'substrate'));
}

export function plantingOrigin(brief: Having, planting: Planting): Origin {
  if (planting.now !== undefined) return 'here';
  if (planting.from !== undefined) return 'stock';
  // It comes with its piece: nobody sells it by itself.
  if (comesGrown(planting) && (planting.origin ?? 'bought') === 'bought') return 'stock';
  return planting.origin ?? usual(brief, 'plants');
}

/** How wet a piece is: what is in a tank now, this one or one that is broken down, has long sunk and is lived on; other wood is dry. */
export function pieceState(piece: Piece, origin: Origin): NonNullable<Piece['state']> {
  return piece.state ?? (origin === 'here' || piece.from !== undefined ? 'living' : 'dry');
}

/** True for soil that has run before, as any has that comes out of another scape. */
export function hasRun({ used, from }: Pick<Layer, 'used' | 'from'>): boolean {
  return used ?? from !== undefined;
}

/** True for wood that no longer floats by itself, whatever its kind does when dry. */
export function isSunk(state: NonNullable<Piece['state']>): boolean {
  return state === 'sunk' || state === 'living';
}

/** Materials of a layer with their shares: 1 of its own, or those of its mixture, made to add up to 1. */
export function partsOf({ material, mix }: Layer): { material: string; share: number }[] {
  if (!mix) return [{ material, share: 1 }];
  const whole = mix.reduce((sum, part) => sum + part.share, 0);
  return mix.map((part) => ({ material: part.material, share: part.share / whole }));
}

/** What a layer is called: its material, or all that is in its mixture, the most first. */
export function namesOf(commission: Pick<Commission, 'catalogue'>, layer: Layer): string[] {
  const parts = [...partsOf(layer)].sort((a, b) => b.share - a.share);
  return parts.map((part) => materialOf(commission, part.material).name);
}

/** The same in a sentence: all of a mixture as one, “sand with gravel”. */
export function layerName(commission: Pick<Commission, 'catalogue'>, layer: Layer): Said {
  return namesOf(commission, layer).reduce<Said | undefined>(
    (one, other) => (one ? say('layer.mixed', { one, other }) : other),
    undefined,
  )!;
}

/** True for filler in mesh bags, as it is laid unless it is poured loose. */
export function liesInBags({ bagged }: Layer, material: Pick<Material, 'kind'> | undefined): boolean {
  return bagged !== false && material?.kind === 'filler';
}

/** Pieces nearer to where they were than this have not been moved, mm. */
export const UNMOVED_MM = 5;

/** True for a piece that is in the tank now and is to stand elsewhere in it. */
export function isMoved({ at, wasAt, fixed }: Piece): boolean {
  return wasAt !== undefined && !fixed && Math.hypot(at[0] - wasAt[0], at[1] - wasAt[1]) > UNMOVED_MM;
}
