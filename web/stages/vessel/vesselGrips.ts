import type { Vessel } from '../../../core/commission/schema';
import { resized } from './vesselShapes';

/** A handle on the plan of a vessel: where it stands, what it measures, what a drag makes of the vessel. */
export interface VesselGrip {
  key: string;
  name: string;
  at: [number, number];
  value: number;
  moved: (v: Vessel, rightMm: number, backMm: number) => Partial<Vessel>;
}

/** Sizes stop here while dragging; typing goes further. */
const LEAST_MM = 120;
const whole = (mm: number) => Math.max(LEAST_MM, Math.round(mm / 5) * 5);

/** Length at the right, width at the back, the bow in front, and every corner of a straight-sided floor. */
export function gripsOfVessel(v: Vessel): VesselGrip[] {
  const { length, width } = v.innerMm;
  if (v.kind === 'polygon') return cornerGrips(v);
  const grips: VesselGrip[] = [
    {
      key: 'length',
      name: 'Length',
      at: [length, v.kind === 'bow' ? (width + (v.bowMm ?? 0)) / 2 : width / 2],
      value: length,
      moved: (from, right) => resized(from, 'length', whole(from.innerMm.length + right)),
    },
    {
      key: 'width',
      name: 'Width, front to back',
      at: [length / 2, width],
      value: width,
      moved: (from, _right, back) => resized(from, 'width', whole(from.innerMm.width + back)),
    },
  ];
  if (v.kind !== 'bow') return grips;
  return [
    ...grips,
    {
      key: 'bow',
      name: 'Depth of the bow',
      at: [length / 2, 0],
      value: v.bowMm ?? 0,
      // The corners stay where they are: what the bow gains, the whole gains.
      moved: (from, _right, back) => {
        const side = from.innerMm.width - (from.bowMm ?? 0);
        const bowMm = Math.max(10, Math.round((from.bowMm ?? 0) - back));
        return { bowMm, innerMm: { ...from.innerMm, width: side + bowMm } };
      },
    },
  ];
}

function cornerGrips({ corners = [], innerMm: { length, width } }: Vessel): VesselGrip[] {
  const within = (mm: number, most: number) => Math.min(Math.max(Math.round(mm / 5) * 5, 0), most);
  return corners.map((corner, i) => ({
    key: `corner ${i + 1}`,
    name: `Corner ${i + 1}`,
    at: corner,
    value: corner[0],
    moved: (from, right, back) => ({
      corners: (from.corners ?? []).map((c, n): [number, number] =>
        n === i ? [within(c[0] + right, length), within(c[1] + back, width)] : c,
      ),
    }),
  }));
}
