import { expect } from 'vitest';
import type { Commission, Layer, Option, Piece } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { spoken } from '../words/english';
import { parsed, piece, scape } from './scape';

export type Part = { brief?: object; site?: object; vessel?: object; option?: Partial<Option>; catalogue?: (c: any) => void }; // prettier-ignore

/** A sketch in a box of 600 × 360 × 400 mm with its water at 370, and all that follows from it, in words. */
export function job({ brief = {}, site, vessel = {}, option = {}, catalogue }: Part) {
  const s = structuredClone(scape()) as any;
  Object.assign(s.options[0], option);
  catalogue?.(s.catalogue);
  const doc: Commission = parsed({
    ...s,
    brief: { ...s.brief, ...brief },
    vessel: { ...s.vessel, ...vessel },
    ...(site ? { site } : {}),
  });
  return spoken(plan(doc, { today: '2026-12-01' }));
}
export type Job = ReturnType<typeof job>;

export const ids = (p: Job) => p.build.tasks.map((t) => t.id);
export const line = (p: Job, id: string) => p.takeOff.lines.find((l) => l.id === id);
export const found = (p: Job, id: string) => p.findings.filter((f) => f.id === id);
/** Each of the tasks starts when the one before it has ended. */
export const before = (p: Job, ...order: string[]) => {
  const at = (id: string) => p.build.tasks.find((t) => t.id === id)!;
  for (let i = 1; i < order.length; i++)
    expect(at(order[i]).startMin, `${order[i - 1]} before ${order[i]}`).toBeGreaterThanOrEqual(at(order[i - 1]).endMin); // prettier-ignore
};

export const sand = (mm: number, rest: Partial<Layer> = {}): Layer => ({ id: 'sand', material: 'sand', top: { kind: 'level', mm }, ...rest }); // prettier-ignore
export const stone = (rest: Partial<Piece> = {}) =>
  piece({ id: 'S-1', material: 'granite', at: [300, 180], stand: { kind: 'bed', buryMm: 15 }, ...rest });
export const root = (rest: Partial<Piece> = {}) =>
  piece({ id: 'R-1', material: 'branch', at: [150, 180], stand: { kind: 'bed', buryMm: 10 }, ...rest });
export const carpet = { id: 'P-1', plant: 'grass', spacingMm: 40, region: [[0, 0], [600, 0], [600, 360], [0, 360]] as [number, number][] }; // prettier-ignore
export const ALL = ['stone', 'wood', 'substrate', 'plants', 'water'];
export const fish = { species: 'nematobrycon-palmeri', count: 8, present: true };
