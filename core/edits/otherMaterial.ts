import type { Commission, Material, Option, Supplier } from '../commission/schema';
import { withEntries } from './packs';

/** Kinds of which one may stand for another of the same: what is poured or strewn, and what is set. */
const SWAPPED: readonly Material['kind'][] = ['soil', 'base', 'filler', 'sand', 'gravel', 'stone', 'wood'];

/** Materials that may stand in the place of one: of its kind, those nearest in what a litre weighs first. */
export function othersFor(material: Material, all: readonly Material[]): Material[] {
  if (!SWAPPED.includes(material.kind)) return [];
  const weighs = (m: Material) => m.densityKgPerL ?? m.bulkKgPerL;
  const apart = (m: Material) => {
    const [a, b] = [weighs(material), weighs(m)];
    return a === undefined || b === undefined ? Infinity : Math.abs(a - b);
  };
  return all
    .filter((m) => m.kind === material.kind && m.id !== material.id)
    .sort((a, b) => apart(a) - apart(b) || a.name.localeCompare(b.name));
}

/**
 * The document with another material wherever an option has one that is bought: layers and their mixtures, pieces, what is strewn. What is
 * there already, and pieces of the yard, are what they are.
 */
export function withOtherMaterial(
  document: Commission,
  optionId: string,
  from: string,
  to: Material,
  sellers: readonly Supplier[],
): Commission {
  const known = withEntries(document, { materials: [to] }, sellers);
  const swapped = (o: Option): Option => (o.id === optionId ? optionWith(o, from, to.id) : o);
  return { ...known, options: known.options.map(swapped) };
}

function optionWith(option: Option, from: string, to: string): Option {
  const of = <T extends { material: string; now?: string; from?: string }>(thing: T): T =>
    thing.material === from && thing.now === undefined && thing.from === undefined ? { ...thing, material: to } : thing; // prettier-ignore
  return {
    ...option,
    bed: option.bed.map((l) => ({
      ...of(l),
      ...(l.mix ? { mix: l.mix.map((m) => (m.material === from ? { ...m, material: to } : m)) } : {}),
    })),
    pieces: option.pieces.map((p) => (p.owned || p.yard || p.fixed ? p : of(p))),
    ...(option.strewn ? { strewn: option.strewn.map(of) } : {}),
  };
}
