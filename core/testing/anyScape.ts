import fc from 'fast-check';
import { parseCommission } from '../commission/parse';
import type { Commission } from '../commission/schema';
import { scape } from './scape';

/* Any commission that the format allows of a kind of vessel, a bed, stones and plants, however odd; for properties. */

const mm = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((x) => Math.round(x * 10) / 10);
/** Corners of a straight-sided plan, by angle around its middle, so that they do not cross. */
const corners = (length: number, width: number) =>
  fc
    .array(fc.record({ turn: fc.double({ min: 0, max: 1, noNaN: true }), out: mm(0.3, 1) }), { minLength: 3, maxLength: 9 })
    .map((list) =>
      list
        .sort((a, b) => a.turn - b.turn)
        .map(({ turn, out }): [number, number] => {
          const a = turn * 2 * Math.PI;
          return [(length / 2) * (1 + out * Math.cos(a)), (width / 2) * (1 + out * Math.sin(a))];
        }),
    ); // prettier-ignore

const vessel = fc
  .record({ length: mm(60, 3_000), width: mm(60, 1_200), height: mm(60, 900), water: fc.double({ min: 0, max: 1, noNaN: true }) })
  .chain(({ length, width, height, water }) =>
    fc.record({
      kind: fc.constantFrom('box', 'bow', 'cylinder', 'half-cylinder', 'hexagon', 'polygon'),
      innerMm: fc.constant({ length, width, height }),
      bowMm: fc.constant(Math.round(width * 0.2)),
      corners: corners(length, width),
      glassMm: mm(3, 20),
      waterLineMm: fc.constant(Math.round(height * water)),
    }),
  )
  .map(({ bowMm, corners, ...v }) => ({
    ...v,
    ...(v.kind === 'bow' ? { bowMm } : {}),
    ...(v.kind === 'polygon' ? { corners } : {}),
    // Round ones are as deep as they are wide.
    ...(v.kind === 'cylinder' ? { innerMm: { ...v.innerMm, width: v.innerMm.length } } : {}),
  })); // prettier-ignore

const size = fc.tuple(mm(0.1, 600), mm(0.1, 600), mm(0.1, 600));
const shape = fc.record({ kind: fc.constantFrom('box', 'ellipsoid'), sizeMm: size });
const stand = fc.oneof(
  fc.record({ kind: fc.constant('bed'), buryMm: mm(-200, 200) }),
  fc.record({ kind: fc.constant('floor') }),
  fc.record({ kind: fc.constant('at'), zMm: mm(-200, 900) }),
);
const share = fc.double({ min: -0.2, max: 1.2, noNaN: true });
const piece = fc.record({ material: fc.constantFrom('granite', 'slate', 'branch'), shape, stand, x: share, y: share, turnDeg: mm(-360, 360), tiltDeg: fc.tuple(mm(-90, 90), mm(-90, 90)) }); // prettier-ignore
const top = fc.oneof(
  fc.record({ kind: fc.constant('level'), mm: mm(0, 400) }),
  fc.record({ kind: fc.constant('ramp'), frontMm: mm(0, 300), backMm: mm(0, 400) }),
);
const plant = fc.record({ plant: fc.constantFrom('grass', 'fern'), spacingMm: fc.option(mm(5, 300), { nil: undefined }), x: share, y: share, r: fc.double({ min: 0.01, max: 1, noNaN: true }) }); // prettier-ignore

/** What was generated and is allowed; undefined for what the format refuses, which is no matter here. */
export const anyScape: fc.Arbitrary<Commission | undefined> = fc
  .record({
    vessel,
    tops: fc.array(top, { maxLength: 3 }),
    pieces: fc.array(piece, { maxLength: 5 }),
    plants: fc.array(plant, { maxLength: 3 }),
    co2: fc.boolean(),
    over: fc.boolean(),
  })
  .map(({ vessel, tops, pieces, plants, co2, over }) => {
    const sketch = scape();
    const { length, width } = vessel.innerMm;
    const known = new Set(sketch.catalogue.plants.map((p) => p.id));
    const parsed = parseCommission({
      ...sketch,
      vessel,
      brief: { ...sketch.brief, co2 },
      options: [
        {
          ...sketch.options[0],
          bed: tops.map((top, i) => ({ id: `l${i}`, material: i % 2 ? 'sand' : 'soil', top, ...(over && i > 0 ? { over } : {}) })), // prettier-ignore
          pieces: pieces.map(({ x, y, ...p }, i) => ({ id: `S-${i}`, at: [x * length, y * width], ...p })),
          plants: plants.flatMap(({ plant, x, y, r, spacingMm }, i) => {
            if (!known.has(plant)) return [];
            const d = r * length;
            const region = [[x * length, y * width], [x * length + d, y * width], [x * length, y * width + d]]; // prettier-ignore
            return [{ id: `p${i}`, plant, region, ...(spacingMm ? { spacingMm } : {}) }];
          }),
        },
      ],
    });
    return parsed.ok ? parsed.commission : undefined;
  });
