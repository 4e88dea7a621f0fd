/*
 * Files that call themselves scans and ask for far more than they are: each is refused with what to do, and none keeps
 * a thread for long. `scale` 1 is as large as an upload may be.
 */

export interface HostileScan {
  name: string;
  bytes: () => Uint8Array<ArrayBuffer>;
}

/** A GLB of this description and so many bytes beside it (Khronos Group, "glTF 2.0 Specification", section 4). */
function glb(json: object, bin = new Uint8Array(0)): Uint8Array<ArrayBuffer> {
  const text = new TextEncoder().encode(JSON.stringify({ asset: { version: '2.0' }, ...json }));
  const padded = (n: number) => Math.ceil(n / 4) * 4;
  const bytes = new Uint8Array(20 + padded(text.length) + (bin.length > 0 ? 8 + padded(bin.length) : 0));
  const view = new DataView(bytes.buffer);
  [0x46546c67, 2, bytes.length, padded(text.length), 0x4e4f534a].forEach((n, i) => view.setUint32(i * 4, n, true)); // prettier-ignore
  bytes.fill(0x20, 20, 20 + padded(text.length));
  bytes.set(text, 20);
  if (bin.length > 0) {
    const at = 20 + padded(text.length);
    view.setUint32(at, padded(bin.length), true);
    view.setUint32(at + 4, 0x004e4942, true);
    bytes.set(bin, at + 8);
  }
  return bytes;
}

/** One surface of so many corners, as it is declared. */
const surface = (count: number, more: object = {}) => ({
  accessors: [{ componentType: 5126, type: 'VEC3', count, ...more }],
  meshes: [{ primitives: [{ attributes: { POSITION: 0 } }] }],
  scenes: [{ nodes: [0] }],
});
/** Four corners and their triangles, with the bytes for them. */
const TETRAHEDRON = new Uint8Array(new Float32Array([0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1]).buffer);
const small = {
  ...surface(4, { bufferView: 0 }),
  buffers: [{ byteLength: 48 }],
  bufferViews: [{ buffer: 0, byteLength: 48 }],
};

const text = (s: string) => new TextEncoder().encode(s);

export function hostileScans(scale = 1): HostileScan[] {
  const times = (n: number) => Math.round(n * scale);
  return [
    { name: 'ten million corners in 240 bytes.glb', bytes: () => glb({ ...surface(1e7), nodes: [{ mesh: 0 }] }) },
    { name: 'more corners than bytes.glb', bytes: () => glb({ ...small, ...surface(1e7, { bufferView: 0 }), nodes: [{ mesh: 0 }] }, TETRAHEDRON) },
    { name: 'ten million sparse ones.glb', bytes: () => glb({ ...small, ...surface(4, { bufferView: 0, sparse: { count: 1e7, indices: { bufferView: 0, componentType: 5125 }, values: { bufferView: 0 } } }), nodes: [{ mesh: 0 }] }, TETRAHEDRON) },
    { name: 'the same bytes over and over.glb', bytes: () => glb({ ...small, nodes: [{ mesh: 0 }], accessors: Array.from({ length: times(20_000) }, () => small.accessors[0]) }, TETRAHEDRON) },
    { name: 'a chain of nodes.glb', bytes: () => glb({ ...small, nodes: Array.from({ length: times(20_000) }, (_, i) => ({ mesh: 0, children: [i + 1] })) }, TETRAHEDRON) },
    { name: 'a short chain.glb', bytes: () => glb({ ...small, nodes: Array.from({ length: 1_500 }, (_, i) => ({ mesh: 0, ...(i < 1_499 ? { children: [i + 1] } : {}) })) }, TETRAHEDRON) },
    { name: 'a node in itself.glb', bytes: () => glb({ ...small, nodes: [{ mesh: 0, children: [0] }] }, TETRAHEDRON) },
    { name: 'one surface many times.glb', bytes: () => glb({ ...small, nodes: Array.from({ length: times(200_000) }, () => ({ mesh: 0 })) }, TETRAHEDRON) },
    { name: 'one face without end.obj', bytes: () => text(`v 0 0 0\nv 9 0 0\nv 0 9 0\nf${' 1 2 3'.repeat(times(700_000))}\n`) },
    { name: 'corners alone.obj', bytes: () => text('v 0 0 0\n'.repeat(times(7_000_000))) },
    { name: 'triangles that do not end.stl', bytes: () => text(`solid s\n${'facet '.repeat(times(6_000_000))}`) },
    { name: 'corners that do not end.stl', bytes: () => text(`solid s\n${'facet vertex endfacet\n'.repeat(times(1_500_000))}`) },
    { name: 'equal triangles.stl', bytes: () => equalTriangles(times(1_200_000)) },
    { name: 'nothing at all.stl', bytes: () => equalTriangles(0) },
    { name: 'a stone without size.stl', bytes: () => equalTriangles(4, 0) },
  ]; // prettier-ignore
}

/** A binary STL that has the same triangle so often. */
function equalTriangles(count: number, side = 90): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(84 + count * 50);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, count, true);
  for (let i = 0, at = 96; i < count; i++, at += 50) {
    view.setFloat32(at + 12, side, true);
    view.setFloat32(at + 28, side, true);
  }
  return bytes;
}
