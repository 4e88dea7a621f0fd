import type { Material } from '../../core/commission/schema';

const BY_KIND: Partial<Record<Material['kind'], string>> = {
  soil: '#5a4838',
  base: '#463529',
  sand: '#e6d9bc',
  gravel: '#b4a58d',
  filler: '#a58c74',
  stone: '#7f8482',
  wood: '#6a4c36',
};

/** A material by its id among those of a document. */
export function materialFor(materials: readonly Material[], id: string): Material | undefined {
  return materials.find((m) => m.id === id);
}

/** A material's colour: its own, otherwise that of its kind. */
export function colourOf(material: Pick<Material, 'kind' | 'colour'> | undefined): string {
  const own = material?.colour;
  return own && /^#[0-9a-f]{6}$/i.test(own) ? own : ((material && BY_KIND[material.kind]) ?? '#7f8482');
}

/** A colour towards white (positive) or black (negative), −1 to 1. */
export function shade(hex: string, by: number): string {
  const to = by > 0 ? 255 : 0;
  const part = (i: number) => {
    const c = parseInt(hex.slice(i, i + 2), 16);
    return Math.round(c + (to - c) * Math.abs(by))
      .toString(16)
      .padStart(2, '0');
  };
  return `#${part(1)}${part(3)}${part(5)}`;
}
