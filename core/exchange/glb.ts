import { Document, Primitive, WebIO } from '@gltf-transform/core';
import type { Mesh } from '../geometry/mesh';
import { guardGlb } from './glbGuard';
import { say } from '../words/text';
import { NotAMesh } from './meshBlob';

/*
 * A mesh as GLB, the binary form of glTF 2.0 (Khronos Group, "glTF 2.0 Specification", ISO/IEC 12113): positions
 * as they are kept, in millimetres with z up, under a node that brings them to metres with y up, as glTF has
 * it. So other programs show it in its size and place, and reading it back gives every figure unchanged.
 */

const METRES_PER_MM = 1e-3;
/** Corners of triangles of one file at most, each counted where it is used: two million triangles. */
const MOST_CORNERS = 6_000_000;
/** A quarter turn about x: z up becomes y up. */
const Z_UP_TO_Y_UP: [number, number, number, number] = [-Math.SQRT1_2, 0, 0, Math.SQRT1_2];

/** A surface with its name, mm with z up, and its colour as `#rrggbb`. */
export interface NamedSurface {
  name: string;
  mesh: Mesh;
  colour?: string;
}

export function glbOf(mesh: Mesh, name: string): Promise<Uint8Array> {
  return surfacesGlb([{ name, mesh }], name);
}

/** Several surfaces in one scene, each under its name. */
export async function surfacesGlb(surfaces: readonly NamedSurface[], title: string): Promise<Uint8Array> {
  const document = new Document();
  const buffer = document.createBuffer();
  const scene = document.createScene(title);
  for (const { name, mesh, colour } of surfaces) {
    const position = document
      .createAccessor()
      .setType('VEC3')
      .setArray(new Float32Array(mesh.vertices))
      .setBuffer(buffer);
    const indices = document.createAccessor().setType('SCALAR').setArray(new Uint32Array(mesh.faces)).setBuffer(buffer); // prettier-ignore
    const primitive = document.createPrimitive().setAttribute('POSITION', position).setIndices(indices);
    if (colour) primitive.setMaterial(document.createMaterial(name).setBaseColorFactor(linear(colour)).setRoughnessFactor(1).setMetallicFactor(0)); // prettier-ignore
    const node = document
      .createNode(name)
      .setMesh(document.createMesh(name).addPrimitive(primitive))
      .setScale([METRES_PER_MM, METRES_PER_MM, METRES_PER_MM])
      .setRotation(Z_UP_TO_Y_UP);
    scene.addChild(node);
  }
  return new WebIO().writeBinary(document);
}

/** A colour as glTF has it, linear (IEC 61966-2-1, by its usual exponent). */
function linear(colour: string): [number, number, number, number] {
  const part = (from: number) => (parseInt(colour.slice(from, from + 2), 16) / 255) ** 2.2 || 0;
  return [part(1), part(3), part(5), 1];
}

/**
 * Reads one of these back: the positions as they stand, mm.
 *
 * @throws NotAMesh when it is no GLB with one surface of triangles
 */
export async function meshOfGlb(bytes: Uint8Array): Promise<Mesh> {
  guardGlb(bytes, MOST_CORNERS);
  const document = await new WebIO().readBinary(bytes).catch((error: unknown) => {
    throw new NotAMesh(say('glb.unreadable.because', { why: String(error) }));
  });
  const primitives = document.getRoot().listMeshes().flatMap((mesh) => mesh.listPrimitives()); // prettier-ignore
  const [one] = primitives;
  const position = one?.getAttribute('POSITION')?.getArray();
  const indices = one?.getIndices()?.getArray();
  if (primitives.length !== 1 || one.getMode() !== Primitive.Mode.TRIANGLES || !position || !indices)
    throw new NotAMesh(say('glb.no.surface'));
  return { vertices: new Float64Array(position), faces: new Uint32Array(indices) };
}

/**
 * Every surface of a GLB from anywhere, in metres with z up as it stands in its scene.
 *
 * @throws NotAMesh when it is no GLB, or has no triangles
 */
export async function meshesOfGlb(bytes: Uint8Array): Promise<Mesh[]> {
  guardGlb(bytes, MOST_CORNERS);
  const document = await new WebIO().readBinary(bytes).catch(() => {
    throw new NotAMesh(say('glb.unreadable'));
  });
  const meshes = document
    .getRoot()
    .listNodes()
    .flatMap((node) => {
      const m = node.getWorldMatrix();
      return (node.getMesh()?.listPrimitives() ?? []).flatMap((primitive): Mesh[] => {
        const position = primitive.getAttribute('POSITION')?.getArray();
        if (primitive.getMode() !== Primitive.Mode.TRIANGLES || !position) return [];
        const count = position.length / 3;
        const indices =
          primitive.getIndices()?.getArray() ?? Uint32Array.from({ length: count }, (_, i) => i);
        if ((indices as Uint32Array).some((i) => i >= count)) throw new NotAMesh(say('glb.no.corner')); // prettier-ignore
        const vertices = new Float64Array(position.length);
        for (let i = 0; i < position.length; i += 3) {
          const [x, y, z] = [0, 1, 2].map((k) => m[k] * position[i] + m[4 + k] * position[i + 1] + m[8 + k] * position[i + 2] + m[12 + k]); // prettier-ignore
          // y up becomes z up.
          vertices.set([x, -z, y], i);
        }
        return [{ vertices, faces: Uint32Array.from(indices) }];
      });
    });
  if (meshes.length === 0) throw new NotAMesh(say('glb.no.triangles'));
  return meshes;
}
