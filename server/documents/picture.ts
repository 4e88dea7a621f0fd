import { createHash } from 'node:crypto';
import sharp from 'sharp';

/** A picture ready to be kept. */
export interface Prepared {
  id: string;
  widthPx: number;
  heightPx: number;
  jpeg: Buffer;
}

/** Bytes above which an upload is refused; a telephone's picture has 3 to 12 MB. */
export const MAX_PICTURE_BYTES = 40 * 1024 * 1024;
/** Longer side of what is kept, and pixels above which a file is refused unread: it may be a bomb. */
const KEPT_PX = 1_600;
const MOST_PIXELS = 120_000_000;

/** A file that is no picture, or none that can be read. */
export class NoPictureError extends Error {}

/**
 * Makes what is kept of a picture: turned upright, at most 1600 px, JPEG, and nothing else: sharp leaves out
 * EXIF, GPS and every other metadata unless it is asked to keep them.
 *
 * @throws NoPictureError
 */
export async function preparePicture(file: Buffer): Promise<Prepared> {
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const id = createHash('sha256').update(data).digest('hex').slice(0, 32);
    return { id, widthPx: info.width, heightPx: info.height, jpeg: data };
  } catch (error) {
    throw new NoPictureError(error instanceof Error ? error.message : String(error));
  }
}
