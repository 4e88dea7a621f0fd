import type { Material, Pack } from '../../core/commission/schema';

/*
 * Materials of the made-up studio. Densities and angles are starting values, from memory; names are kinds,
 * prices and packs invented.
 */

const pack = (supplier: string, leadDays: number) => (id: string, size: number, unit: Pack['unit'], price: number, name?: string): Pack => ({
  id, size, unit, priceMinor: Math.round(price * 100), supplier, leadDays, ...(name ? { name } : {}),
});
const marl = pack('marl-timber', 4);
const brindle = pack('brindle', 3);
const stone = (id: string, name: string, densityKgPerL: number, price: number, colour: string, notes: string): Material => ({
  id, kind: 'stone', name, densityKgPerL, colour, notes, packs: [marl(`${id}-kg`, 1, 'kg', price)],
});

export const MATERIALS: readonly Material[] = [
  { id: 'soil-granules', kind: 'soil', name: 'Active soil, granules', bulkKgPerL: 0.95, settles: 0.07, reposeDeg: 32, pores: 0.42, colour: '#5a4838', notes: 'Lowers hardness and pH. Not rinsed, never stirred.', packs: [marl('soil-3', 3, 'L', 14, 'bag'), marl('soil-9', 9, 'L', 32, 'bag')] },
  { id: 'soil-powder', kind: 'soil', name: 'Active soil, powder', bulkKgPerL: 1, settles: 0.05, reposeDeg: 30, pores: 0.4, colour: '#4d3d30', notes: 'On top, for tiny roots.', packs: [marl('powder-3', 3, 'L', 17, 'bag')] },
  { id: 'base', kind: 'base', name: 'Nutrient base', bulkKgPerL: 1.1, settles: 0.04, reposeDeg: 32, colour: '#463529', packs: [marl('base-2', 2, 'L', 13, 'bag'), marl('base-6', 6, 'L', 34, 'bag')] },
  { id: 'scoria-filler', kind: 'filler', name: 'Scoria filler in mesh bags', bulkKgPerL: 0.8, reposeDeg: 38, pores: 0.47, colour: '#a58c74', notes: 'Under hills, 10 mm off the glass.', packs: [brindle('scoria-5', 5, 'L', 7, 'bag'), brindle('scoria-15', 15, 'L', 18, 'bag')] },
  { id: 'quartz-sand', kind: 'sand', name: 'Quartz sand, 0.4–0.8 mm', bulkKgPerL: 1.55, settles: 0.02, reposeDeg: 33, pores: 0.41, colour: '#e6d9bc', packs: [brindle('sand-5', 5, 'kg', 6.5, 'bag'), brindle('sand-15', 15, 'kg', 16, 'bag')] },
  { id: 'white-sand', kind: 'sand', name: 'White sand, 0.2–0.5 mm', bulkKgPerL: 1.5, settles: 0.03, reposeDeg: 32, pores: 0.42, colour: '#efe9dc', packs: [brindle('white-5', 5, 'kg', 8.9, 'bag')] },
  { id: 'river-gravel', kind: 'gravel', name: 'River gravel, 3–8 mm', bulkKgPerL: 1.55, reposeDeg: 36, pores: 0.38, colour: '#b4a58d', packs: [brindle('gravel-5', 5, 'kg', 5.5, 'bag')] },
  { id: 'slate-chips', kind: 'gravel', name: 'Slate chips, 5–20 mm', bulkKgPerL: 1.45, reposeDeg: 38, pores: 0.45, colour: '#888c89', packs: [marl('chips-5', 5, 'kg', 7.5, 'bag')] },
  stone('slate', 'Slate', 2.75, 4, '#7f8482', 'Splits into plates; inert.'),
  stone('granite', 'Granite', 2.68, 3.4, '#94918c', 'Inert.'),
  stone('basalt', 'Basalt, dense', 2.9, 3.8, '#5f6466', 'Inert.'),
  stone('limestone', 'Limestone, grey veined', 2.65, 4.6, '#9a9c9b', 'Raises GH and KH.'),
  stone('honeycomb', 'Honeycomb claystone', 2.15, 5.2, '#a98e6f', 'Crumbles; splits with hammer and chisel.'),
  stone('scoria-rock', 'Scoria, dark', 1.5, 3, '#584a45', 'Floats dry: soak it for days.'),
  stone('cobble', 'Quartzite cobble', 2.62, 2.8, '#b3aa9c', 'Smooth; easily looks too big.'),
  stone('petrified', 'Petrified wood', 2.55, 6.5, '#85715c', 'May hold some carbonate.'),
  { id: 'branch', kind: 'wood', name: 'Azalea-root branch wood', densityKgPerL: 0.7, soakedKgPerL: 1.02, soakDays: 21, colour: '#6a4c36', notes: 'One to three weeks to sink.', packs: [marl('branch-m', 1, 'piece', 42)] },
  { id: 'mangrove', kind: 'wood', name: 'Mangrove-type root', densityKgPerL: 0.85, soakedKgPerL: 1.05, soakDays: 14, colour: '#5b4330', notes: 'Tints the water.', packs: [marl('mangrove-m', 1, 'piece', 36)] },
  { id: 'ironwood', kind: 'wood', name: 'Dense desert hardwood', densityKgPerL: 1.1, colour: '#4a3626', notes: 'Sinks at once.', packs: [marl('ironwood-m', 1, 'piece', 54)] },
  { id: 'glue', kind: 'glue', name: 'Cyanoacrylate, liquid', packs: [brindle('glue-20', 20, 'g', 5.5, 'bottle'), brindle('glue-50', 50, 'g', 11, 'bottle')] },
  { id: 'fibre', kind: 'fibre', name: 'Fibre wads', packs: [brindle('fibre-10', 10, 'g', 2.4, 'bag')] },
  { id: 'mesh-bag', kind: 'mesh-bag', name: 'Mesh bags for filler', packs: [brindle('mesh-1', 1, 'piece', 1.2), brindle('mesh-5', 5, 'piece', 4.5, 'set')] },
  { id: 'conditioner', kind: 'conditioner', name: 'Water conditioner', dosePer100L: 25, notes: 'As the label says.', packs: [brindle('cond-100', 100, 'mL', 4.9, 'bottle'), brindle('cond-500', 500, 'mL', 14, 'bottle')] },
  { id: 'pad', kind: 'pad', name: 'Egg-crate pad', packs: [brindle('pad-1', 1, 'piece', 1.8)] },
  { id: 'tie', kind: 'tie', name: 'Cotton line', packs: [brindle('tie-20', 20, 'm', 2.2, 'reel')] },
];
