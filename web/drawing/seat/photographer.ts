import { cameraFrom } from './camera';
import { drawnOut } from './drawnOut';
import { keeper } from './kept';
import { manyPasses } from './manyPasses';
import type { Seen, Spot } from './place';
import { rendererOn } from './rendererOn';
import { aim } from './lights';
import { PASSES } from './samples';
import { seatScene, type SeatLook } from './seatScene';

/** What is photographed, from where, and how it is lit. */
export interface Shot {
  seen: Seen;
  /** In the axes of the document, mm. */
  eye: Spot;
  look: SeatLook;
  fromAbove?: boolean;
}

/**
 * Takes photographs of a size, px, on a canvas of its own; undefined where the browser draws no perspectives. `passes` is an
 * even number: lamp and room have theirs in turn. Whoever asks for one lets go of it.
 */
export function photographer(width: number, height: number) {
  const canvas = document.createElement('canvas');
  const renderer = rendererOn(canvas);
  if (!renderer) return undefined;
  renderer.setPixelRatio(1);
  renderer.setSize(width, height, false);
  const [passes, kept] = [manyPasses(renderer), keeper()];
  return {
    async take({ seen, eye, look, fromAbove }: Shot, count: number = PASSES): Promise<HTMLCanvasElement> {
      const scene = seatScene(seen, eye, look, kept);
      const camera = cameraFrom(seen.vessel, eye, width / height, fromAbove);
      for (let i = 0; i < count; i++) {
        passes.add(i, scene, camera, (pass) => aim(scene.children, seen.vessel, look.light, pass));
        await drawnOut(renderer.getContext() as WebGL2RenderingContext);
      }
      passes.show();
      return canvas;
    },
    dispose(): void {
      passes.dispose();
      kept.dispose();
      renderer.dispose();
      renderer.forceContextLoss();
    },
  };
}

/** A canvas as a file. */
export const asFile = (canvas: HTMLCanvasElement) =>
  new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));

/** One photograph as a file, as fine as it becomes; null where the browser draws no perspectives. */
export async function photograph(shot: Shot, width: number, height: number): Promise<Blob | null> {
  const camera = photographer(width, height);
  if (!camera) return null;
  try {
    return await asFile(await camera.take(shot));
  } finally {
    camera.dispose();
  }
}
