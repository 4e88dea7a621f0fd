import type { Grey } from '../../../../core/yard/traced';

/** Longer side of what is traced, px: finer than a hand holds a camera still, and traced at once. */
const TRACED_PX = 640;

/** A photograph from a file as it is shown and traced: small, and as brightness. */
export interface Photograph {
  url: string;
  grey: Grey;
}

/**
 * Reads a picture from a file.
 *
 * @throws Error with what to do, where the browser cannot read it
 */
export async function photographOf(file: Blob): Promise<Photograph> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This is no picture that can be read: take a JPEG or PNG.');
  }
  const k = Math.min(1, TRACED_PX / Math.max(bitmap.width, bitmap.height));
  const [w, h] = [Math.round(bitmap.width * k), Math.round(bitmap.height * k)];
  const canvas = new OffscreenCanvas(w, h);
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0, w, h);
  bitmap.close();
  const { data } = context.getImageData(0, 0, w, h);
  const bright = new Uint8Array(w * h);
  // Luma of red, green and blue (ITU-R BT.601).
  for (let i = 0; i < bright.length; i++)
    bright[i] = Math.round(0.299 * data[i * 4] + 0.587 * data[i * 4 + 1] + 0.114 * data[i * 4 + 2]);
  return { url: URL.createObjectURL(file), grey: { widthPx: w, heightPx: h, bright } };
}
