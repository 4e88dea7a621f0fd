import { Color, DataTexture, LinearFilter, SRGBColorSpace, type Texture } from 'three';
import type { SeatLook } from './seatScene';

const ROOM: Record<SeatLook['light'], string> = { day: '#e9ebe7', night: '#1a1e20', backlit: '#2c3134' };
/** How much darker the corners are, by day and where the tank is what shines. */
const [FADES, FADES_DARK] = [0.16, 0.5];
const walls: Partial<Record<SeatLook['light'], Texture>> = {};

/** The wall behind: lit in its middle, darker to its corners; drawn quickly of one colour. */
export function wall({ light, quick = false }: SeatLook): Color | Texture {
  return quick ? new Color(ROOM[light]) : (walls[light] ??= fadingFrom(ROOM[light], light === 'day' ? FADES : FADES_DARK)); // prettier-ignore
}
/** A colour that fades so far to the corners, as a texture over the whole picture. */
function fadingFrom(of: string, fades: number): Texture {
  const side = 64;
  const c = new Color(of).convertLinearToSRGB();
  const data = new Uint8Array(side * side * 4);
  for (let i = 0; i < side * side; i++) {
    const [x, y] = [(i % side) / side - 0.5, Math.floor(i / side) / side - 0.55];
    const by = Math.min(1.06, 1.06 - fades * 2 * (x * x + y * y));
    data.set(
      [c.r, c.g, c.b].map((v) => Math.min(255, 255 * v * by)),
      i * 4,
    );
    data[i * 4 + 3] = 255;
  }
  const map = new DataTexture(data, side, side);
  map.colorSpace = SRGBColorSpace;
  map.magFilter = LinearFilter;
  map.needsUpdate = true;
  return map;
}
