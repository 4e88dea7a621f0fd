import { carriageAsked, orderByOf } from '../ordering/order';
import { deadShare } from '../flow/tankFlow';
import type { Planted, PlantedPlan } from '../planted/planted';
import { preparationOf } from '../planting/preparation';
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
export function report(
  plan: Plan,
  part: 'takeoff' | 'order' | 'difference' | 'build' | 'care' | 'brief' | 'planting' | 'quote' | 'shop',
  planted?: PlantedPlan,
): unknown {
  const { field: _field, standing: _standing, ...survey } = plan.survey;
  const whole = {
    survey,
    ...(plan.before ? { difference: plan.before.lines } : {}),
    lines: plan.takeOff.lines.map((line) => ({
      ...line,
      packWords: line.packWords ?? '',
      orderBy: orderByOf(plan.order, line.id),
    })),
    totalMinor: plan.order.totalMinor,
    carriageMinor: carriageAsked(plan.order),
    ...(part === 'order' ? { order: plan.order } : {}),
    ...(part === 'build' ? { build: plan.build } : {}),
    ...(part === 'shop' ? { shopping: plan.shopping } : {}),
    ...(part === 'quote' ? { quote: plan.quote } : {}),
    ...(part === 'care' ? { care: plan.care } : {}),
    ...(part === 'brief' ? { visit: withoutFindings(plan.visit) } : {}),
    ...(planted ? { plantings: plantingsOf(planted), living: livingOf(planted) } : {}),
    findings:
      part === 'brief'
        ? plan.findings.filter(ofFirstVisit)
        : [...plan.findings, ...(planted?.findings ?? [])],
  };
  return roundedThroughout(spoken(whole));
}

/** Plantings with what is done to them before they go in. */
function plantingsOf({ parts }: PlantedPlan): unknown[] {
  const { rows } = preparationOf(parts);
  return parts.map((part) => ({ ...plantingOf(part), prepare: rows.get(part.id) }));
}

/** A planting for other programs: where each plug goes in planting order, and its light. */
function plantingOf({ plant, planting, spots, dli, growth, waysOut, ...rest }: Planted): object {
  const positions = Array.from({ length: spots.length / 3 }, (_, i) => ({
    no: rest.firstNo + i,
    xMm: spots[i * 3],
    yMm: spots[i * 3 + 1],
    zMm: spots[i * 3 + 2],
    dli: dli[i],
  }));
  return { ...rest, plant: plant.id, name: plant.name, growthFactor: growth.factor, on: planting.on, waysOut, positions }; // prettier-ignore
}

/** Light, flow and water in which they live, without their maps. */
function livingOf({ living }: PlantedPlan): unknown {
  const { light: _light, flow, lamps, ...rest } = living;
  return {
    ...rest,
    lamps: lamps.map((l) => l.id),
    flow: flow.map((l) => ({ zMm: l.zMm, deadShare: deadShare(l) })),
  };
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
