import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { pixelQueue } from './pixelQueue';

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
export const MOST_PIXELS = 120_000_000;
/** What is taken. A drawing (SVG) is a program that draws, not a picture of a place. */
const TAKEN = ['jpeg', 'png', 'webp', 'heif', 'tiff', 'gif'];

/** A file that is no picture, or none that can be read; `limit` says which limit it is over, if that is why. */
export class NoPictureError extends Error {
  constructor(
    message: string,
    readonly limit = '',
  ) {
    super(message);
  }
}

// Pictures are many and each is seen once: keeping decoded ones at hand only takes memory.
sharp.cache(false);
sharp.concurrency(1);
/** As many pixels as the largest picture has may be in work at once: about half a gigabyte. */
const inWork = pixelQueue(MOST_PIXELS);

/**
 * Makes what is kept of a picture: turned upright, at most 1600 px, JPEG, and nothing else: sharp leaves out
 * EXIF, GPS and every other metadata unless it is asked to keep them.
 *
 * @throws NoPictureError
 */
export async function preparePicture(file: Buffer): Promise<Prepared> {
  try {
    return await inWork(await pixelsOf(file), () => prepared(file));
  } catch (error) {
    if (error instanceof NoPictureError) throw error;
    throw new NoPictureError(error instanceof Error ? error.message : String(error));
  }
}

/** Read from the head of the file alone. */
async function pixelsOf(file: Buffer): Promise<number> {
  const { format, width, height } = await sharp(file, { limitInputPixels: false }).metadata();
  if (!TAKEN.includes(format)) throw new NoPictureError(`is ${format}`);
  const pixels = width * height;
  if (pixels > MOST_PIXELS)
    throw new NoPictureError('has too many pixels', `, of at most ${MOST_PIXELS / 1e6} megapixels`);
  return pixels;
}

async function prepared(file: Buffer): Promise<Prepared> {
  const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .rotate()
    .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
  const id = createHash('sha256').update(data).digest('hex').slice(0, 32);
  return { id, widthPx: info.width, heightPx: info.height, jpeg: data };
}
