/** Pixels that a picture of a proposal has at most across: a screen shows no more of it. */
const MOST_PX = 1_400;

/** The pictures of a part of a sheet as they stand there, with their captions; none where it is not drawn yet. */
export async function sheetPictures(sheet: Element | null): Promise<{ caption: string; blob: Blob }[]> {
  const figures = [...(sheet?.querySelectorAll('figure') ?? [])];
  const all = await Promise.all(
    figures.map(async (figure) => {
      const drawn = figure.querySelector<HTMLCanvasElement | HTMLImageElement>('canvas, img');
      const caption = figure.querySelector('figcaption')?.textContent?.trim().slice(0, 200) ?? '';
      const blob = drawn && (await asJpeg(drawn));
      return blob ? { caption, blob } : undefined;
    }),
  );
  return all.filter((p) => p !== undefined);
}

/** What is drawn as a file, no larger than a proposal shows it; null where nothing is drawn. */
export function asJpeg(drawn: HTMLCanvasElement | HTMLImageElement): Promise<Blob | null> {
  const [wide, high] = drawn instanceof HTMLCanvasElement ? [drawn.width, drawn.height] : [drawn.naturalWidth, drawn.naturalHeight]; // prettier-ignore
  if (wide === 0) return Promise.resolve(null);
  const k = Math.min(1, MOST_PX / wide);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(wide * k), Math.round(high * k)];
  canvas.getContext('2d')!.drawImage(drawn, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.88));
}
