import { brightness } from './scale';
import type { Lit } from '../../drawing/seat/seatScene';
import type { ShownPlanted } from '../../workers/planWorker';
import { dliOfPpfd } from '../../../core/light/ppfd';

/** What is laid over the plan. */
export const OVERLAYS = ['plants', 'cover', 'light', 'flow', 'depth'] as const;
export type Overlay = (typeof OVERLAYS)[number];
export const OVERLAY_NAMES: Record<Overlay, string> = {
  plants: 'Plants',
  cover: 'Cover',
  light: 'Light',
  flow: 'Flow',
  depth: 'Depth',
};

/** The most that the legend has, mol/m²/d: more is drawn as bright. */
export const MOST_DLI = 5;

/** The colour of the light of a day, red, green and blue from 0 to 255. */
const colourOfPpfd = ({ hours, windowDli }: ShownPlanted['living'], ppfd: number) =>
  brightness(Math.min(1, (dliOfPpfd(ppfd, hours) + windowDli) / MOST_DLI));

/** The light on the bed as a view from a seat takes it. */
export const litOf = (living: ShownPlanted['living']): Lit => ({
  light: living.light,
  colour: (ppfd) => {
    const [r, g, b] = colourOfPpfd(living, ppfd);
    return [r / 255, g / 255, b / 255];
  },
});

/** A map of light as a picture, one pixel a cell, the back on top. */
export function lightPicture(living: ShownPlanted['living']): string {
  const { columns, rows, ppfd } = living.light;
  const canvas = document.createElement('canvas');
  canvas.width = columns;
  canvas.height = rows;
  const context = canvas.getContext('2d');
  if (!context) return '';
  const image = context.createImageData(columns, rows);
  for (let cell = 0; cell < ppfd.length; cell++) {
    const row = rows - 1 - Math.floor(cell / columns);
    const at = (row * columns + (cell % columns)) * 4;
    image.data.set([...colourOfPpfd(living, ppfd[cell]), 255], at);
  }
  context.putImageData(image, 0, 0);
  return canvas.toDataURL();
}

/** Arrows of a flow: where each stands, which way it goes, and whether the water hardly moves there. */
export interface Arrow {
  x: number;
  y: number;
  dx: number;
  dy: number;
  speed: number;
  dead: boolean;
}

/** One arrow for so many cells. */
const EVERY = 4;
export function arrowsOf(layer: ShownPlanted['living']['flow'][number], deadMmS: number): Arrow[] {
  const { columns, rows, dxMm, dyMm, vx, vy, speed } = layer;
  const arrows: Arrow[] = [];
  for (let j = EVERY >> 1; j < rows; j += EVERY)
    for (let i = EVERY >> 1; i < columns; i += EVERY) {
      const c = j * columns + i;
      if (speed[c] < 0) continue;
      const v = Math.max(speed[c], 1e-6);
      arrows.push({
        x: (i + 0.5) * dxMm,
        y: (j + 0.5) * dyMm,
        dx: vx[c] / v,
        dy: vy[c] / v,
        speed: speed[c],
        dead: speed[c] < deadMmS,
      });
    }
  return arrows;
}
