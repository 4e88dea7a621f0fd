import { DirectionalLight, LineSegments, Mesh, type BufferGeometry, type Object3D } from 'three';
import { Reflector } from 'three/addons/objects/Reflector.js';

/**
 * What was made for one look and serves the next while nothing has changed that it was made from. Each view has its own:
 * what is held on the graphics side belongs to one renderer, and goes with it.
 */
export function keeper() {
  const objects = new Map<string, { key: readonly unknown[]; list: Object3D[] }>();
  const geometries = new WeakMap<object, Map<string, BufferGeometry>>();
  const made: BufferGeometry[] = [];
  return {
    /** Objects by a name, made anew when one of what they were made from is another. */
    objects(name: string, key: readonly unknown[], make: () => Object3D[]): Object3D[] {
      const old = objects.get(name);
      if (old && old.key.length === key.length && old.key.every((k, i) => Object.is(k, key[i])))
        return old.list;
      if (old) letGo(old.list);
      const list = make();
      objects.set(name, { key, list });
      return list;
    },
    /** A geometry that follows from a surface and a few words alone. */
    geometry(of: object, words: string, make: () => BufferGeometry): BufferGeometry {
      const own = geometries.get(of) ?? new Map<string, BufferGeometry>();
      geometries.set(of, own);
      const known = own.get(words) ?? make();
      if (!own.has(words)) made.push(known);
      own.set(words, known);
      return known;
    },
    dispose(): void {
      for (const { list } of objects.values()) letGo(list);
      for (const geometry of made) geometry.dispose();
      objects.clear();
    },
  };
}
export type Keeper = ReturnType<typeof keeper>;

/** Lets go of what objects hold on the graphics side; what they share with others is kept. */
export function letGo(list: readonly Object3D[]): void {
  for (const top of list)
    top.traverse((o) => {
      if (o instanceof DirectionalLight || o instanceof Reflector) o.dispose();
      if (!(o instanceof Mesh) && !(o instanceof LineSegments)) return;
      if (!o.userData.shared) o.geometry.dispose();
      for (const m of Array.isArray(o.material) ? o.material : [o.material]) m.dispose();
    });
}
