import { orderByOf } from '../ordering/order';
import { ofFirstVisit } from './firstVisit';
import { rounded } from '../units/quantity';
import { spoken } from '../words/english';
import type { Plan } from './plan';

/** Decimals of figures handed to other programs. */
const PLACES = 4;

/**
 * The answer of every command as plain data, its messages put into English: the survey, the take-off's lines with their order-by days, and
 * the findings; with the part asked for beside them. The height field and the workings of drawing stay out.
 */
export function report(plan: Plan, part: 'takeoff' | 'order' | 'build' | 'care' | 'brief'): unknown {
  const { field: _field, standing: _standing, ...survey } = plan.survey;
  const whole = {
    survey,
    lines: plan.takeOff.lines.map((line) => ({
      ...line,
      packWords: line.packWords ?? '',
      orderBy: orderByOf(plan.order, line.id),
    })),
    totalMinor: plan.takeOff.totalMinor,
    ...(part === 'order' ? { order: plan.order } : {}),
    ...(part === 'build' ? { build: plan.build } : {}),
    ...(part === 'care' ? { care: plan.care } : {}),
    ...(part === 'brief' ? { visit: withoutFindings(plan.visit) } : {}),
    findings: part === 'brief' ? plan.findings.filter(ofFirstVisit) : plan.findings,
  };
  return roundedThroughout(spoken(whole));
}

/** The parts of a visit; their findings stand with all others. */
function withoutFindings({ findings: _all, ...parts }: Plan['visit']): unknown {
  return Object.fromEntries(
    Object.entries(parts).map(([name, part]) => {
      const { findings: _own, ...rest } = part as { findings?: unknown };
      return [name, rest];
    }),
  );
}

function roundedThroughout(value: unknown): unknown {
  if (typeof value === 'number') return rounded(value, PLACES);
  if (Array.isArray(value)) return value.map(roundedThroughout);
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, roundedThroughout(v)]));
  return value;
}
