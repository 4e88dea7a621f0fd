import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import type { Option, Underlay } from '../../../core/commission/schema';
import { squaredUp } from '../../../core/view/squaredUp';
import { api } from '../../document/api';

/** A photograph squared up, as a picture that lies under a view. */
export interface Underlaid {
  url: string;
  opacity: number;
}

/** Longer side of what is squared up, px: sharper than the sheet shows it. */
const DRAWN_PX = 1_200;
/** How strongly a photograph is drawn where nobody said. */
export const USUAL_OPACITY = 0.7;

/** The photographs under the views of an option, squared up again when their corners move. */
export function useUnderlays(
  commissionId: () => string,
  option: Ref<Option>,
  sizeMm: (view: Underlay['view']) => readonly [number, number],
): Record<Underlay['view'], Ref<Underlaid | undefined>> {
  return { above: one('above'), front: one('front') };

  function one(view: Underlay['view']): Ref<Underlaid | undefined> {
    const shown = shallowRef<Underlaid>();
    const of = () => option.value.underlays?.find((u) => u.view === view);
    const letGo = () => shown.value && URL.revokeObjectURL(shown.value.url);
    watch(
      () => JSON.stringify([of()?.picture, of()?.corners, sizeMm(view)]),
      async (asked) => {
        const underlay = of();
        const url = underlay && (await drawn(commissionId(), underlay, sizeMm(view)).catch(() => undefined));
        // Moved on meanwhile: a later one is on its way.
        if (asked !== JSON.stringify([of()?.picture, of()?.corners, sizeMm(view)])) return;
        letGo();
        shown.value = url ? { url, opacity: underlay.opacity ?? USUAL_OPACITY } : undefined;
      },
      { immediate: true },
    );
    watch(
      () => of()?.opacity,
      (opacity = USUAL_OPACITY) => shown.value && (shown.value = { ...shown.value, opacity }),
    );
    onScopeDispose(letGo);
    return shown;
  }
}

async function drawn(
  commissionId: string,
  { picture, corners }: Underlay,
  [wide, high]: readonly [number, number],
): Promise<string> {
  const answer = await fetch(api.pictureUrl(commissionId, picture));
  if (!answer.ok) throw new Error('gone');
  const bitmap = await createImageBitmap(await answer.blob());
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d')!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const k = DRAWN_PX / Math.max(wide, high);
  const px = corners.map(([x, y]) => [x * width, y * height]) as unknown as Parameters<typeof squaredUp>[1];
  const flat = squaredUp(
    context.getImageData(0, 0, width, height),
    px,
    Math.round(wide * k),
    Math.round(high * k),
  );
  const out = new OffscreenCanvas(flat.width, flat.height);
  out
    .getContext('2d')!
    .putImageData(new ImageData(Uint8ClampedArray.from(flat.data), flat.width, flat.height), 0, 0);
  return URL.createObjectURL(await out.convertToBlob());
}
