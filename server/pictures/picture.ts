import { createHash } from 'node:crypto';
import sharp, { type Metadata } from 'sharp';

/** A picture ready to be kept. */
export interface Prepared {
  id: string;
  widthPx: number;
  heightPx: number;
  jpeg: Buffer;
}

/** Bytes above which an upload is refused; a telephone's picture has 3 to 12 MB. */
export const MAX_PICTURE_BYTES = 40 * 1024 * 1024;
/** Longer side of what is kept, and pixels above which a file is refused unread, whatever it takes: it may be a bomb. */
const KEPT_PX = 1_600;
const MOST_PIXELS = 120_000_000;
/** Memory that one picture may take while it is read. */
const MOST_BYTES = 220_000_000;
/**
 * Bytes a pixel takes while it is read, by format, as measured here (libvips 8.17): what is read line by line takes
 * next to nothing; what is read as a whole its pixels, and AVIF several copies of them. What is taken, too: a drawing
 * (SVG) is a program that draws, not a picture of a place.
 */
const BYTES_A_PIXEL: Record<string, { lines: number; whole: number }> = {
  jpeg: { lines: 0.5, whole: 3.2 },
  png: { lines: 1, whole: 4 },
  tiff: { lines: 4, whole: 4 },
  webp: { lines: 4, whole: 4 },
  gif: { lines: 5.5, whole: 5.5 },
  heif: { lines: 18, whole: 18 },
};

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

/**
 * Makes what is kept of a picture, its bytes or the file that has them: turned upright, at most 1600 px, JPEG, and
 * nothing else: sharp leaves out EXIF, GPS and every other metadata unless it is asked to keep them.
 *
 * @throws NoPictureError
 */
export async function preparePicture(from: Uint8Array | string): Promise<Prepared> {
  try {
    // Read from the head of the file alone.
    refuseTooLarge(await sharp(from, { limitInputPixels: false }).metadata());
    return await prepared(from);
  } catch (error) {
    if (error instanceof NoPictureError) throw error;
    throw new NoPictureError(error instanceof Error ? error.message : String(error));
  }
}

function refuseTooLarge({ format, width, height, isProgressive, depth }: Metadata): void {
  const bytes = BYTES_A_PIXEL[format];
  if (!bytes) throw new NoPictureError(`is ${format}`);
  const each = (isProgressive ? bytes.whole : bytes.lines) * (depth === 'ushort' ? 2 : 1);
  const most = Math.min(MOST_PIXELS, MOST_BYTES / each);
  if (width * height <= most) return;
  const kind = format === 'heif' ? 'AVIF' : format.toUpperCase();
  throw new NoPictureError('has too many pixels', `, of at most ${Math.floor(most / 1e6)} megapixels as ${isProgressive ? 'interlaced ' : ''}${kind}`); // prettier-ignore
}

async function prepared(from: Uint8Array | string): Promise<Prepared> {
  const { data, info } =
    await sharp(from, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true }) // prettier-ignore
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
  const id = createHash('sha256').update(data).digest('hex').slice(0, 32);
  return { id, widthPx: info.width, heightPx: info.height, jpeg: data };
}
