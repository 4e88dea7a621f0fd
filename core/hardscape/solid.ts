import { facesOf, verticesOf } from '../commission/meshArrays';
import type { Shape } from '../commission/schema';
import { meshVolume, shellCount, type Mesh } from '../geometry/mesh';
import { heldMesh } from './heldMeshes';

/** Meridians and parallels of an ellipsoid when it is drawn; its volumes are computed from the formula. */
const MERIDIANS = 20;
const PARALLELS = 10;

/*
 * What follows from a shape alone is worked out once: shapes are replaced, never changed in place, and so are
 * these. Nobody may write into them.
 */
const meshes = new WeakMap<Shape, Mesh>();
const volumes = new WeakMap<Mesh, { mm3: number | undefined }>();

/** The surface of any shape as triangles around its own origin, mm; for drawing and for cutting. */
export function solidMesh(shape: Shape): Mesh {
  const mesh = meshes.get(shape) ?? meshOf(shape);
  meshes.set(shape, mesh);
  return mesh;
}

function meshOf(shape: Shape): Mesh {
  switch (shape.kind) {
    case 'ellipsoid':
      return ellipsoidMesh(shape.sizeMm);
    case 'box':
      return boxMesh(shape.sizeMm);
    case 'mesh':
      return { vertices: verticesOf(shape), faces: facesOf(shape) };
    case 'scan':
      return heldMesh(shape.mesh);
    default:
      return shape satisfies never;
  }
}

/**
 * Volume of a shape in mm³, exactly: 4/3·π·abc, a product, or the enclosed volume. A mesh of several shells
 * that may run into each other (limbs of one root) has none here: undefined, and is measured by columns.
 */
export function exactVolumeMm3(shape: Shape): number | undefined {
  switch (shape.kind) {
    case 'ellipsoid':
      return (Math.PI / 6) * shape.sizeMm[0] * shape.sizeMm[1] * shape.sizeMm[2];
    case 'box':
      return shape.sizeMm[0] * shape.sizeMm[1] * shape.sizeMm[2];
    case 'mesh':
    case 'scan': {
      const mesh = solidMesh(shape);
      const volume = volumes.get(mesh) ?? { mm3: shellCount(mesh) === 1 ? meshVolume(mesh) : undefined };
      volumes.set(mesh, volume);
      return volume.mm3;
    }
    default:
      return shape satisfies never;
  }
}

/** A block of these sizes around its middle, mm. */
export function boxMesh([a, b, c]: readonly number[]): Mesh {
  const vertices = new Float64Array(24);
  for (let i = 0; i < 8; i++)
    vertices.set([((i & 1) - 0.5) * a, (((i >> 1) & 1) - 0.5) * b, ((i >> 2) - 0.5) * c], i * 3);
  // Corners are numbered by their bits: 1 right, 2 back, 4 up.
  const faces = new Uint32Array([
    0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7,
    5,
  ]);
  return { vertices, faces };
}

function ellipsoidMesh([a, b, c]: readonly number[]): Mesh {
  const vertices: number[] = [0, 0, -c / 2];
  for (let p = 1; p < PARALLELS; p++) {
    const lat = -Math.PI / 2 + (Math.PI * p) / PARALLELS;
    for (let m = 0; m < MERIDIANS; m++) {
      const lon = (2 * Math.PI * m) / MERIDIANS;
      vertices.push(
        (a / 2) * Math.cos(lat) * Math.cos(lon),
        (b / 2) * Math.cos(lat) * Math.sin(lon),
        (c / 2) * Math.sin(lat),
      );
    }
  }
  vertices.push(0, 0, c / 2);
  const last = vertices.length / 3 - 1;
  const at = (p: number, m: number) => 1 + (p - 1) * MERIDIANS + (m % MERIDIANS);
  const faces: number[] = [];
  for (let m = 0; m < MERIDIANS; m++) {
    faces.push(0, at(1, m + 1), at(1, m));
    for (let p = 1; p < PARALLELS - 1; p++) {
      faces.push(at(p, m), at(p, m + 1), at(p + 1, m + 1), at(p, m), at(p + 1, m + 1), at(p + 1, m));
    }
    faces.push(last, at(PARALLELS - 1, m), at(PARALLELS - 1, m + 1));
  }
  return { vertices: new Float64Array(vertices), faces: new Uint32Array(faces) };
}
