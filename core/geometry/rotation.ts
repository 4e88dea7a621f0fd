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
