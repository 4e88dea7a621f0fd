import { expose } from 'comlink';
import type { Day } from '../../core/calendar/day';
import { plan, type Plan } from '../../core/pipeline/plan';
import { newMemo } from '../../core/survey/memo';
import { parseCommission } from '../../core/commission/parse';
import type { Commission } from '../../core/commission/schema';
import { unfinished } from '../../core/pipeline/finite';
import type { Survey } from '../../core/survey/survey';
import { waterByHeight, type WaterHeight } from '../../core/survey/waterByHeight';
import type { BedField } from '../../core/substrate/bedField';
import { usualCellMm } from '../../core/substrate/cells';
import { unpacker, type Parcel } from './parcel';
import { scansAtHand } from './scans';

/** The height field as the drawing views need it. */
export type FieldView = Pick<
  BedField,
  'columns' | 'rows' | 'dxMm' | 'dyMm' | 'cornerMm' | 'cornerThicknessMm' | 'cornerLayer'
> & {
  /** Which corners lie inside the glass; left out where all do. */
  inside?: Uint8Array;
};
/** A plan without what only the computation needs. */
export type ShownPlan = Omit<Plan, 'survey'> & { survey: Omit<Survey, 'field' | 'standing'> };
export interface Computed {
  /** Left out where a figure could not be worked out; `trouble` then says which value is to blame. */
  plan?: ShownPlan;
  trouble?: string;
  /** Only when the bed has changed since the last answer. */
  field?: FieldView;
}

const unpack = unpacker();
const memo = newMemo();
/** While an edge of the vessel is dragged the bed is read in larger cells, and pieces as they last stood. */
const roughMemo = { ...newMemo(true), columns: memo.columns };
const ROUGHER = 4;
let sent: BedField | undefined;
/** What was last measured finely: asked again for its water by height. */
let last: { survey: Survey; commission: Commission } | undefined;

async function compute(parcel: Parcel, today: Day, rough = false): Promise<Computed> {
  const commission = unpack(parcel);
  const missing = await scansAtHand(commission);
  if (missing) return { trouble: missing };
  const cellMm = rough ? ROUGHER * usualCellMm(commission.vessel) : undefined;
  let whole: Plan;
  try {
    whole = plan(commission, { today, cellMm, memo: rough ? roughMemo : memo });
  } catch (error) {
    return { trouble: troubleIn(commission, error instanceof Error ? error.message : String(error)) };
  }
  const { survey, ...rest } = whole;
  if (!rough) last = { survey, commission };
  const { field, standing: _standing, ...figures } = survey;
  const where = unfinished({ ...rest, survey: figures });
  if (where) return { trouble: troubleIn(commission, where) };
  const answer: Computed = { plan: { ...rest, survey: figures } };
  if (field !== sent) {
    const { columns, rows, dxMm, dyMm, cornerMm, cornerThicknessMm, cornerLayer } = field;
    answer.field = {
      columns,
      rows,
      dxMm,
      dyMm,
      cornerMm,
      cornerThicknessMm,
      cornerLayer,
      inside: field.floor?.corner,
    };
    sent = field;
  }
  return answer;
}

/** Which value keeps a figure from being worked out, as far as reading the document again can tell. */
function troubleIn(commission: Commission, what: string): string {
  const parsed = parseCommission(commission);
  if (parsed.ok) return `Not every figure could be worked out (${what}).`;
  const { path, says } = parsed.faults[0];
  return `Not every figure could be worked out: ${path.replace('options[0]', 'this option')} ${says}.`;
}

/** Heights at which the water is read. */
const STEPS = 24;

/**
 * Free water by height of the scape that was last measured, from the glass to the rim. One height at a time,
 * so that a plan that is wanted meanwhile comes first; given up when another scape has been measured.
 */
async function waterScale(): Promise<WaterHeight[]> {
  const mine = last;
  if (!mine) return [];
  const scale: WaterHeight[] = [];
  for (let i = 0; i <= STEPS; i++) {
    const mm = (mine.commission.vessel.innerMm.height * i) / STEPS;
    scale.push(...waterByHeight(mine.survey, mine.commission, [mm]));
    await new Promise((resolve) => setTimeout(resolve));
    if (last !== mine) return [];
  }
  return scale;
}

const worker = { compute, waterScale };
export type PlanWorker = typeof worker;
expose(worker);
