import { BufferTarget, CanvasSource, getFirstEncodableVideoCodec, Output, QUALITY_HIGH, WebMOutputFormat } from 'mediabunny'; // prettier-ignore
import { FILM_WEEKS } from './weeks';

/** Pictures of a second, from one step to the next, and while the first and the last are looked at. */
export const [A_SECOND, A_STEP, AT_ENDS] = [20, 6, 20];
/** Margin and height of what is written into the picture, px for a picture 960 wide. */
const [WRITTEN_PX, MARGIN_PX] = [22, 24];

export interface Filmed {
  width: number;
  height: number;
  /** The scape in a week, to be drawn. */
  inWeek: (week: number) => Promise<CanvasImageSource>;
  /** What is written into the picture of a week. */
  written: (week: number) => string;
  /** Told after each step, from 0 to 1. */
  onDone: (share: number) => void;
  signal: AbortSignal;
}

/** Whether this browser can make a film: it encodes only for pages from this machine or over a safe connection. */
export const canFilm = (): boolean => typeof globalThis.VideoEncoder === 'function';

/**
 * The scape growing, as a WebM: what stands between two steps is their mixture.
 *
 * @returns undefined when it was called off
 * @throws Error where no codec of the format is there
 */
export async function film({ width, height, inWeek, written, onDone, signal }: Filmed): Promise<Blob | undefined> {
  const codec = await getFirstEncodableVideoCodec(['vp9', 'vp8'], { width, height });
  if (!codec) throw new Error('no codec for WebM');
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  const paint = canvas.getContext('2d')!;
  const output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
  const source = new CanvasSource(canvas, { codec, bitrate: QUALITY_HIGH });
  output.addVideoTrack(source, { frameRate: A_SECOND });
  await output.start();
  let shown = 0;
  const add = () => source.add(shown++ / A_SECOND, 1 / A_SECOND);
  const draw = (before: CanvasImageSource, after: CanvasImageSource, share: number, week: number) => {
    paint.globalAlpha = 1;
    paint.drawImage(before, 0, 0, width, height);
    paint.globalAlpha = share;
    paint.drawImage(after, 0, 0, width, height);
    paint.globalAlpha = 1;
    write(paint, written(week), width, height);
  };
  let before: ImageBitmap | undefined;
  for (const [step, week] of FILM_WEEKS.entries()) {
    const after = await createImageBitmap(await inWeek(week));
    if (signal.aborted) return void (await output.cancel());
    const last = step + 1 === FILM_WEEKS.length;
    for (let i = 1; before && i <= A_STEP; i++) {
      draw(before, after, i / A_STEP, week);
      await add();
    }
    if (step === 0) draw(after, after, 1, week);
    for (let i = 0; (step === 0 || last) && i < AT_ENDS; i++) await add();
    before?.close();
    before = after;
    onDone((step + 1) / FILM_WEEKS.length);
  }
  before?.close();
  await output.finalize();
  return new Blob([output.target.buffer!], { type: 'video/webm' });
} // prettier-ignore

function write(paint: CanvasRenderingContext2D, words: string, width: number, height: number): void {
  const k = width / 960;
  paint.font = `500 ${WRITTEN_PX * k}px "IBM Plex Sans Variable", sans-serif`;
  paint.fillStyle = 'rgb(255 255 255 / 92%)';
  paint.shadowColor = 'rgb(0 0 0 / 65%)';
  paint.shadowBlur = 6 * k;
  paint.fillText(words, MARGIN_PX * k, height - MARGIN_PX * k);
  paint.shadowBlur = 0;
}
