import { strFromU8 } from 'fflate';
import { say } from '../words/text';
import { NotAMesh } from './meshBlob';

/*
 * What a GLB says of itself, held against the bytes that are there before anything is made of it: a file of 240 bytes
 * may declare ten million corners, or two hundred thousand copies of one surface.
 */

/** The container (Khronos Group, "glTF 2.0 Specification", section 4): its mark and the kinds of its chunks. */
const [GLTF, JSON_CHUNK, BIN_CHUNK] = [0x46546c67, 0x4e4f534a, 0x004e4942];
const HEAD = 12;
const CHUNK_HEAD = 8;

/** Bytes of the part that says what is where; a scene with thousands of names has a few hundred thousand. */
const MOST_JSON = 4 * 1024 * 1024;
const MOST_NODES = 2_000;
/** Nodes within nodes: programs nest a model some ten deep. */
const MOST_DEEP = 32;

/** Bytes of one figure by its type, and figures of one element (section 3.6.2.2). */
const COMPONENT_BYTES: Record<number, number> = { 5120: 1, 5121: 1, 5122: 2, 5123: 2, 5125: 4, 5126: 4 };
const COMPONENTS: Record<string, number> = {
  SCALAR: 1,
  VEC2: 2,
  VEC3: 3,
  VEC4: 4,
  MAT2: 4,
  MAT3: 9,
  MAT4: 16,
};

type Fields = Record<string, unknown>;
const list = (value: unknown): Fields[] => (Array.isArray(value) ? (value as Fields[]) : []);
const whole = (value: unknown, otherwise = 0): number =>
  typeof value === 'number' && Number.isInteger(value) && value >= 0 ? value : otherwise;

/**
 * Refuses a GLB that declares more than it has, needs what cannot be read here, or would come to more corners than
 * `mostCorners` once all its copies are laid out.
 *
 * @throws NotAMesh
 */
export function guardGlb(bytes: Uint8Array, mostCorners: number): void {
  const { json, binBytes } = chunksOf(bytes);
  const needed = json.extensionsRequired;
  if (Array.isArray(needed) && needed.length > 0)
    throw new NotAMesh(say('glb.needs', { what: String(needed[0]).slice(0, 60) }));
  const views = list(json.bufferViews);
  for (const buffer of list(json.buffers))
    if (buffer.uri !== undefined) throw new NotAMesh(say('glb.another.file'));
  for (const view of views)
    if (whole(view.byteOffset) + whole(view.byteLength) > binBytes) throw new NotAMesh(say('glb.more.bytes')); // prettier-ignore
  const read = list(json.accessors).reduce((sum, accessor) => sum + guardAccessor(accessor, views), 0);
  // Each is read into memory of its own: the same bytes may not be declared over and over.
  if (read > 2 * binBytes) throw new NotAMesh(say('glb.same.bytes'));
  guardScene(json, mostCorners);
}

function chunksOf(bytes: Uint8Array): { json: Fields; binBytes: number } {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.byteLength < HEAD + CHUNK_HEAD || view.getUint32(0, true) !== GLTF || view.getUint32(HEAD + 4, true) !== JSON_CHUNK)
    throw new NotAMesh(say('glb.unreadable')); // prettier-ignore
  const jsonBytes = view.getUint32(HEAD, true);
  if (jsonBytes > MOST_JSON) throw new NotAMesh(say('glb.long', { most: MOST_JSON / 1024 / 1024 })); // prettier-ignore
  const from = HEAD + CHUNK_HEAD;
  if (from + jsonBytes > bytes.byteLength) throw new NotAMesh(say('glb.cut.off'));
  const binAt = from + jsonBytes;
  const hasBin = binAt + CHUNK_HEAD <= bytes.byteLength && view.getUint32(binAt + 4, true) === BIN_CHUNK;
  const binBytes = hasBin ? view.getUint32(binAt, true) : 0;
  if (hasBin && binAt + CHUNK_HEAD + binBytes > bytes.byteLength) throw new NotAMesh(say('glb.cut.off'));
  try {
    const json = JSON.parse(strFromU8(bytes.subarray(from, from + jsonBytes))) as Fields;
    return { json: json !== null && typeof json === 'object' ? json : {}, binBytes };
  } catch {
    throw new NotAMesh(say('glb.unreadable'));
  }
}

/** As many elements as its part of the file has room for; what has no part of it would be made of nothing. Its bytes. */
function guardAccessor(accessor: Fields, views: readonly Fields[]): number {
  const count = whole(accessor.count);
  const bytes = (COMPONENT_BYTES[whole(accessor.componentType)] ?? 4) * (COMPONENTS[String(accessor.type)] ?? 16); // prettier-ignore
  const refuse = (): never => {
    throw new NotAMesh(say('glb.entries', { count }));
  };
  const view = views[whole(accessor.bufferView, -1)];
  if (!view) return refuse();
  const stride = Math.max(whole(view.byteStride), bytes);
  const room = whole(view.byteLength) - whole(accessor.byteOffset);
  if (count > 0 && (count - 1) * stride + bytes > room) refuse();
  const sparse = accessor.sparse as Fields | undefined;
  if (sparse && whole(sparse.count) > count) refuse();
  return count * bytes;
}

/** Every node once, and all corners that its surfaces come to. */
function guardScene(json: Fields, mostCorners: number): void {
  const nodes = list(json.nodes);
  if (nodes.length > MOST_NODES)
    throw new NotAMesh(say('glb.parts', { count: nodes.length, most: MOST_NODES })); // prettier-ignore
  const accessors = list(json.accessors);
  const corners = list(json.meshes).map((mesh) =>
    list(mesh.primitives).reduce((n, { attributes, indices }) => {
      const position = accessors[whole((attributes as Fields | undefined)?.POSITION, -1)];
      return n + Math.max(whole(position?.count), whole(accessors[whole(indices, -1)]?.count));
    }, 0),
  );
  let total = 0;
  for (const { mesh } of nodes) total += corners[whole(mesh, -1)] ?? 0;
  if (total > mostCorners) throw new NotAMesh(say('glb.corners', { count: total, most: mostCorners }));
  guardDepth(nodes);
}

/** Levels of nodes, counted without calling itself; a node that comes to itself again is deeper than any. */
function guardDepth(nodes: readonly Fields[]): void {
  const children = nodes.map((node) => (Array.isArray(node.children) ? node.children.map((c) => whole(c, -1)) : [])); // prettier-ignore
  const isChild = new Set(children.flat());
  let level = nodes.map((_, i) => i).filter((i) => !isChild.has(i));
  let reached = level.length;
  for (let deep = 0; level.length > 0; deep++) {
    level = level.flatMap((i) => children[i] ?? []).filter((i) => i >= 0 && i < nodes.length);
    reached += level.length;
    if (deep > MOST_DEEP || reached > nodes.length)
      throw new NotAMesh(say('glb.deep', { most: MOST_DEEP })); // prettier-ignore
  }
  if (reached < nodes.length) throw new NotAMesh(say('glb.ring'));
}
