import { BufferAttribute, BufferGeometry, Color, DoubleSide, Mesh, SRGBColorSpace, type Object3D } from 'three'; // prettier-ignore
import { colourOf, materialFor } from '../colour';
import { bedSeams, cornersOf, isOfBed, isSeam, type LayerLook } from './bedSeams';
import { coloured, noise, tinted } from './grain';
import type { Place, Seen } from './place';
import { matte, type Relief } from './relief';
import type { Lit } from './seatScene';

/** How much grain of a material stands out: soil is granules, sand is nearly even. */
const GRAIN: Record<string, number> = { soil: 0.34, base: 0.3, gravel: 0.42, filler: 0.4, sand: 0.12 };
/** Bare glass. */
const BARE: LayerLook = { colour: new Color('#cfdfe3'), grain: 0, relief: undefined };
/** How a material of the bed is made up close; what is no soil is not far from one of these. */
const RELIEFS: Record<string, Relief> = { soil: 'soil', base: 'soil', filler: 'gravel', gravel: 'gravel', sand: 'sand' }; // prettier-ignore
/** What the glass cuts is darker than the surface; thinner than this nothing is seen of it, mm. */
const CUT_SHADE = 0.8;
const THIN_MM = 0.3;

/** The bed's surface, each grain a little lighter or darker, and its cut at the front and the sides. */
export function bedSurface(seen: Seen, place: Place, quick: boolean, lit?: Lit): Object3D[] {
  const { field, option, materials } = seen;
  const { columns, rows, dxMm, dyMm, cornerMm, cornerLayer } = field;
  const n = columns + 1;
  const position = new Float32Array(n * (rows + 1) * 3);
  const colour = new Float32Array(position.length);
  const upClose = !quick && !lit;
  const layers = option.bed.map((l): LayerLook => {
    const material = materialFor(materials, l.material);
    const kind = material?.kind ?? 'soil';
    return { colour: new Color(colourOf(material)), grain: GRAIN[kind] ?? GRAIN.soil, relief: RELIEFS[kind] };
  });
  for (let i = 0; i < n * (rows + 1); i++) {
    const [x, y] = [(i % n) * dxMm, Math.floor(i / n) * dyMm];
    const { colour: c, grain } = layers[cornerLayer[i]] ?? BARE;
    // Up close the grains are the relief's; drawn quickly each corner stands for one.
    const fine = quick ? noise.noise(x * 0.31, y * 0.31) * 0.7 : 0;
    const rough = fine + noise.noise(x * 0.021, y * 0.021) * 0.5;
    position.set(place(x, y, cornerMm[i] + rough * grain * 3), i * 3);
    if (lit) colour.set(lightAt(lit, (i % n) / columns, Math.floor(i / n) / rows), i * 3);
    else tinted(colour, i * 3, c, 1 + rough * grain);
  }
  const whole = coloured(position, colour, []);
  const indices = new Map<Relief | undefined, number[]>();
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      if (!isOfBed(field, c, r) || (upClose && isSeam(field, c, r))) continue;
      const [k, right, back, opposite] = cornersOf(field, c, r);
      const relief = upClose ? (layers[cornerLayer[k]] ?? BARE).relief : undefined;
      const index = indices.get(relief) ?? [];
      indices.set(relief, index);
      index.push(k, right, back, right, opposite, back);
    }
  whole.setIndex([...indices.values()].flat());
  whole.computeVertexNormals();
  const tops = [...indices].map(([relief, index]) => {
    const part = new BufferGeometry();
    for (const name of ['position', 'color', 'normal']) part.setAttribute(name, whole.getAttribute(name));
    part.setIndex(index);
    const top = new Mesh(part, matte(quick, { vertexColors: true, side: DoubleSide }, relief));
    top.receiveShadow = true;
    return top;
  });
  const seams = upClose ? bedSeams(seen, layers, BARE, place) : [];
  return [...tops, ...seams, ...cuts(seen, place, quick)];
}

/** The colour of the light at a corner, by its place from left and front, 0 to 1. */
function lightAt({ light: { columns, rows, ppfd }, colour }: Lit, x: number, y: number) {
  const [i, j] = [Math.min(columns - 1, Math.floor(x * columns)), Math.min(rows - 1, Math.floor(y * rows))];
  const [r, g, b] = colour(ppfd[j * columns + i]);
  return new Color().setRGB(r, g, b, SRGBColorSpace).toArray();
}

/** A spot of the bed's edge: its corner of the field, and where that is, mm. */
interface EdgeSpot {
  k: number;
  x: number;
  y: number;
}

/** Where the glass cuts the bed, in short runs: along front and sides of a box, all around where a pane is bent. */
function edgesOf(field: Seen['field']): [EdgeSpot, EdgeSpot][] {
  const { columns, rows, dxMm, dyMm } = field;
  const spot = (c: number, r: number): EdgeSpot => ({ k: r * (columns + 1) + c, x: c * dxMm, y: r * dyMm });
  const found: [EdgeSpot, EdgeSpot][] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      if (!isOfBed(field, c, r)) continue;
      if (!isOfBed(field, c, r - 1)) found.push([spot(c, r), spot(c + 1, r)]);
      if (!isOfBed(field, c - 1, r)) found.push([spot(c, r), spot(c, r + 1)]);
      if (!isOfBed(field, c + 1, r)) found.push([spot(c + 1, r), spot(c + 1, r + 1)]);
    }
  return found;
}

/** Every layer where the glass cuts it; the back is seen from nowhere. */
function cuts({ field, option, materials }: Seen, place: Place, quick: boolean): Object3D[] {
  const edges = edgesOf(field);
  return option.bed.flatMap((layer, i) => {
    // While a layer has just been laid on, the bed is still measured without it.
    if (!field.cornerThicknessMm[i]) return [];
    const corners: number[] = [];
    const at = ({ k, x, y }: EdgeSpot) => {
      let low = 0;
      for (let b = 0; b < i; b++) low += field.cornerThicknessMm[b][k];
      return { x, y, low, high: low + field.cornerThicknessMm[i][k] };
    };
    for (const edge of edges) {
      const [a, b] = [at(edge[0]), at(edge[1])];
      if (a.high - a.low < THIN_MM && b.high - b.low < THIN_MM) continue;
      const [p, q, r, s] = [place(a.x, a.y, a.low), place(b.x, b.y, b.low), place(b.x, b.y, b.high), place(a.x, a.y, a.high)]; // prettier-ignore
      corners.push(...p, ...q, ...r, ...p, ...r, ...s);
    }
    if (corners.length === 0) return [];
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(new Float32Array(corners), 3));
    geometry.computeVertexNormals();
    const material = materialFor(materials, layer.material);
    const colour = new Color(colourOf(material)).multiplyScalar(CUT_SHADE);
    const relief = RELIEFS[material?.kind ?? 'soil'];
    return [new Mesh(geometry, matte(quick, { color: colour, side: DoubleSide }, relief))];
  });
}
