import { resolved } from '../resolved';
import fc from 'fast-check';
import { plantingOrigin } from '../../commission/origin';
import type { Commission } from '../../commission/schema';
import { plan, type Plan } from '../../pipeline/plan';
import { type PlantedPlan } from '../../planted/planted';
import { plantingSequence } from '../../planted/plantingSequence';
import { inEnglish } from '../../words/english';
import type { Said } from '../../words/text';
import { anyJob, jobDocument, type DrawnJob } from '../anyJob';

export const JOBS = Number(process.env.UTSUWA_JOBS ?? 300);
export const SEED = Number(process.env.UTSUWA_SEED ?? Date.now() % 1_000_000_000);
export const TODAY = '2026-12-01';

/** A job as it was drawn, its document, and all that follows from it. */
export interface Case {
  i: number;
  drawn: DrawnJob;
  doc: Commission;
  p: Plan & { planted: PlantedPlan };
}
export const words = (said: Said) => inEnglish(said);
export const task = ({ p }: Case, id: string) => p.build.tasks.find((t) => t.id === id);
export const careDays = ({ p }: Case) => p.care.weeks.flatMap((w) => w.days);
/** Everything the guide says of single days, by day. */
export const events = (c: Case): [day: number, words: string][] => [
  ...careDays(c).flatMap((d) => d.events.map((e): [number, string] => [d.afterDays, words(e)])),
  ...c.p.care.later.map((l): [number, string] => [l.afterDays, words(l.what)]),
];
export const fresh = ({ doc, p }: Case) => p.planted.parts.filter((q) => q.count > 0 && plantingOrigin(doc.brief, q.planting) !== 'here'); // prettier-ignore
/** Turns of the day, of which something is set. */
export const turnsToday = ({ doc, p }: Case) => plantingSequence(resolved(doc, p.survey), p.survey).filter((t) => t.afterDays === 0 && t.count > 0); // prettier-ignore
export const near = (a: number, b: number, by = 1e-6) => Math.abs(a - b) <= by;

/** Each says what does not agree, a line each; nothing where all does. */
export type Agreements = Readonly<Record<string, (c: Case) => unknown[]>>;

/** So many jobs, drawn and planned. */
export function plannedJobs(): Case[] {
  return fc.sample(anyJob, { numRuns: JOBS, seed: SEED }).map((drawn, i) => {
    const doc = jobDocument(drawn);
    return { i, drawn, doc, p: plan(doc, { today: TODAY, cellMm: 20 }) as Case['p'] };
  });
}
