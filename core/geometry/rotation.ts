/** A 3 × 3 matrix, row by row. */
export type Matrix = readonly [number, number, number, number, number, number, number, number, number];

/**
 * How a piece is turned: tilted about x, then about y, then turned about the upright (z), each anticlockwise
 * seen from the positive end of its axis, degrees. A `turnDeg` of 90 brings what points right to the back.
 */
export function rotation(turnDeg: number, tiltDeg: readonly [number, number] = [0, 0]): Matrix {
  const rad = Math.PI / 180;
  const [sx, cx] = [Math.sin(tiltDeg[0] * rad), Math.cos(tiltDeg[0] * rad)];
  const [sy, cy] = [Math.sin(tiltDeg[1] * rad), Math.cos(tiltDeg[1] * rad)];
  const [sz, cz] = [Math.sin(turnDeg * rad), Math.cos(turnDeg * rad)];
  // Rz · Ry · Rx, multiplied out.
  return [
    cz * cy,
    cz * sy * sx - sz * cx,
    cz * sy * cx + sz * sx,
    sz * cy,
    sz * sy * sx + cz * cx,
    sz * sy * cx - cz * sx,
    -sy,
    cy * sx,
    cy * cx,
  ];
}

/** An axis of the room: x to the right, y to the back, z up. */
export type Axis = 'x' | 'y' | 'z';

/** How something lies once it has been turned further about an axis of the room, anticlockwise from its positive end. */
export function turnedAbout(
  { turnDeg, tiltDeg = [0, 0] }: { turnDeg: number; tiltDeg?: readonly [number, number] },
  axis: Axis,
  byDeg: number,
): { turnDeg: number; tiltDeg: [number, number] } {
  const m = times(about(axis, byDeg), rotation(turnDeg, tiltDeg));
  const deg = 180 / Math.PI;
  const y = Math.asin(Math.min(1, Math.max(-1, -m[6]))) * deg;
  // Lying on its side by a right angle it turns about x as about z: all of it is then said as a turn.
  const upright = Math.abs(m[6]) < 1 - 1e-9;
  const x = upright ? Math.atan2(m[7], m[8]) * deg : 0;
  const z = (upright ? Math.atan2(m[3], m[0]) : Math.atan2(-m[1], m[4])) * deg;
  return { turnDeg: tenth((z + 360) % 360), tiltDeg: [tenth(x), tenth(y)] };
}

/** Tenths of a degree: finer than any hand turns a stone. */
const tenth = (deg: number) => Math.round(deg * 10) / 10 || 0;

function about(axis: Axis, deg: number): Matrix {
  return axis === 'x' ? rotation(0, [deg, 0]) : axis === 'y' ? rotation(0, [0, deg]) : rotation(deg);
}

function times(a: Matrix, b: Matrix): Matrix {
  const at = (i: number, j: number) => a[i * 3] * b[j] + a[i * 3 + 1] * b[3 + j] + a[i * 3 + 2] * b[6 + j];
  return [0, 1, 2].flatMap((i) => [0, 1, 2].map((j) => at(i, j))) as unknown as Matrix;
}

/** Every corner of a list (x, y, z in a row) turned by a matrix; a new list. */
export function turned(vertices: Float64Array, m: Matrix): Float64Array {
  const out = new Float64Array(vertices.length);
  for (let i = 0; i < vertices.length; i += 3) {
    const [x, y, z] = [vertices[i], vertices[i + 1], vertices[i + 2]];
    out[i] = m[0] * x + m[1] * y + m[2] * z;
    out[i + 1] = m[3] * x + m[4] * y + m[5] * z;
    out[i + 2] = m[6] * x + m[7] * y + m[8] * z;
  }
  return out;
}
