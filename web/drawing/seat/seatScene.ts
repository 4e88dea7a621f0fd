import { Fog, Scene } from 'three';
import type { Grown } from '../../../core/planted/grown';
import { bedSurface } from './bedSurface';
import { fixtures } from './fixtures';
import type { Keeper } from './kept';
import { plantLeaves } from './leaves';
import { bends, straight, throughPane, type Seen, type Spot } from './place';
import { behind, furniture, glass, panes } from './room';
import { waterSurface } from './surface';
import { lights } from './lights';
import { wall } from './wall';
import { heaps, solids } from './solids';

/** How the tank is lit and looked at. */
export interface SeatLook {
  /** Bent at the front pane, as an eye sees it. */
  refraction: boolean;
  light: 'day' | 'night' | 'backlit';
  /** What is planted, as it has grown. */
  plants: readonly Grown[];
  /** The planting that is looked at: all others are drawn pale. */
  chosen?: string;
  /** Light on the bed instead of its materials: PPFD in cells from front left, and what makes a colour of it. */
  lit?: Lit;
  /** Without shadow, surfaces as coarse as they are, fewer plants: for a browser that draws slowly. */
  quick?: boolean;
}

/** Light in the cells of the bed, and its colour, red, green and blue from 0 to 1. */
export interface Lit {
  light: { columns: number; rows: number; ppfd: ArrayLike<number> };
  colour: (ppfd: number) => readonly [number, number, number];
}

const FOG: Record<SeatLook['light'], string> = { day: '#cfe0df', night: '#1d2c2e', backlit: '#cfe0df' };

/**
 * The scape as a scene, mm, from where an eye is (in the axes of the document). What has not changed since the last look
 * is taken over: a stone that moves moves, and nothing else is made anew.
 */
export function seatScene(seen: Seen, eye: Spot, look: SeatLook, keep: Keeper): Scene {
  const { option, field, materials, vessel } = seen;
  const quick = look.quick ?? false;
  const bent = look.refraction && bends(vessel, eye) ? throughPane(vessel, eye) : undefined;
  const place = bent ?? straight;
  // What a pane bends is placed anew for each eye.
  const from = bent ? eye.join(' ') : '';
  const scene = new Scene();
  scene.background = wall(look);
  const fromBelow = eye[2] < vessel.waterLineMm;
  scene.add(
    ...keep.objects('water', [vessel, look.light, quick, fromBelow], () =>
      waterSurface(seen, look, fromBelow),
    ),
    ...keep.objects('room', [vessel, look.light, quick], () => [
      ...lights(seen, look),
      ...behind(seen, look),
      ...(quick ? [glass(seen)] : panes(seen)),
      ...furniture(seen, look),
    ]),
    ...keep.objects('bed', [field, option.bed, materials, look.lit, from], () =>
      bedSurface(seen, place, quick, look.lit),
    ),
    ...keep.objects('plants', [look.plants, look.chosen, vessel, quick, from], () =>
      plantLeaves(seen, place, look, quick),
    ),
    ...keep.objects('pieces', [option.pieces, seen.survey, materials, quick, from], () =>
      solids(seen, quick, keep, bent),
    ),
    ...keep.objects('fixtures', [vessel, seen.gear, quick, from], () => fixtures(seen, quick, place)),
    ...keep.objects('heaps', [seen.survey.pockets, materials, quick, from], () => heaps(seen, quick, place)),
  );
  const deep = vessel.innerMm.width;
  const near = awayFrom(vessel, eye);
  // Water takes a little of what lies far behind.
  scene.fog = new Fog(FOG[look.light], near + deep * 0.2, near + deep * 5);
  return scene;
}

/** How far an eye is from the nearest spot of the tank, mm: in front of it, beside it or above. */
export function awayFrom({ innerMm: { length, width, height } }: Seen['vessel'], eye: Spot): number {
  const beyond = (at: number, to: number) => Math.max(0, -at, at - to);
  return Math.hypot(beyond(eye[0], length), beyond(eye[1], width), beyond(eye[2], height));
}
