import { BasicShadowMap, NeutralToneMapping, WebGLRenderer } from 'three';

/** Light that a picture is taken with, against what a screen can show. */
const EXPOSURE = 0.82;

/** What draws on a canvas; undefined where the browser draws no perspectives. */
export function rendererOn(canvas: HTMLCanvasElement): WebGLRenderer | undefined {
  const asked = { antialias: true, preserveDrawingBuffer: true };
  // Asked for first: without a card the library complains, and nothing is wrong.
  const context = canvas.getContext('webgl2', asked) as WebGL2RenderingContext | null;
  if (!context) return undefined;
  try {
    const renderer = new WebGLRenderer({ canvas, context, ...asked });
    renderer.toneMapping = NeutralToneMapping;
    renderer.toneMappingExposure = EXPOSURE;
    renderer.shadowMap.enabled = true;
    // Hard by themselves: what is soft comes from many pictures.
    renderer.shadowMap.type = BasicShadowMap;
    return renderer;
  } catch {
    return undefined;
  }
}
