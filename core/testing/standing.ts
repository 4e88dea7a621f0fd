import type { Commission, Option } from '../commission/schema';
import { parsed } from './scape';

/** What stands in the tank of `scape`: soil, a slate and a granite stone, a branch, a carpet in front. */
export const STANDING: Pick<Option, 'bed' | 'pieces' | 'joints' | 'plants'> = {
  bed: [{ id: 'old', material: 'soil', top: { kind: 'level', mm: 60 } }],
  pieces: [
    { id: 'A', material: 'slate', shape: { kind: 'ellipsoid', sizeMm: [120, 80, 140] }, at: [150, 180], turnDeg: 0, stand: { kind: 'bed', buryMm: 20 } },
    { id: 'B', material: 'granite', shape: { kind: 'ellipsoid', sizeMm: [100, 100, 100] }, at: [450, 180], turnDeg: 0, stand: { kind: 'bed', buryMm: 20 } },
    { id: 'R', material: 'branch', shape: { kind: 'box', sizeMm: [200, 30, 30] }, at: [300, 260], turnDeg: 0, stand: { kind: 'bed', buryMm: 10 } },
  ],
  joints: [],
  plants: [{ id: 'G', plant: 'grass', region: [[50, 20], [550, 20], [550, 100], [50, 100]], spacingMm: 30 }],
}; // prettier-ignore

/** The document with a tank as it is now, and its first option changed from a copy of that. */
export function standingIn(commission: Commission, change: (copy: Option) => Partial<Option> = () => ({}), now: object = STANDING): Commission {
  const d = structuredClone(commission) as Commission;
  const own = <T extends { id: string }>(list: readonly T[]) => list.map((t) => ({ ...t, now: t.id }));
  const { bed, pieces, joints, plants } = structuredClone(now) as typeof STANDING;
  const copy: Option = { ...d.options[0], bed: own(bed), pieces: own(pieces), joints, plants: own(plants) };
  return parsed({ ...d, brief: { ...d.brief, rescape: d.brief.rescape ?? { stays: ['water'], filterKept: true } }, now, options: [{ ...copy, ...change(copy) }, ...d.options.slice(1)] });
} // prettier-ignore
