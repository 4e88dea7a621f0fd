import type { Resolved } from '../resolved/resolved';
import { perimeter } from '../geometry/offset';
import { polygonArea } from '../geometry/polygon';
import {
  heatersFor,
  heatLoss,
  restingCelsius,
  ruleOfThumbW,
  type HeatAsk,
  type HeatLoss,
} from '../site/heat';
import { lightOf, SETTLED_WEEK } from '../light/photoperiod';
import { intoWaterW } from '../site/warmth';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { inCelsius } from '../words/measure';
import { say, type Text } from '../words/text';
import { rounded } from '../units/quantity';
import { footprint } from '../vessel/footprint';
import { PLANTS_MOST_C } from '../planting/warmth';
import { keptOf } from '../resolved/kept';
import { sharedRange } from '../livestock/checks';
import { waterTarget } from '../filling/filling';
import { isUnheated } from '../gear/gear';

export interface HeatPlan {
  roomC: readonly [number, number];
  waterC: number;
  /** What leaves at the room's coldest. */
  loss: HeatLoss;
  heatersW: number[];
  thumbW: [number, number];
  /** What devices bring into the water on the average of a day, W. */
  devicesW: number;
  /** Where the water rests at the room's warmest with the devices on, and the most it may have. */
  warmC: number;
  mostC: number;
  /** What a cooler has to take away, W; 0 when none is needed. */
  coolW: number;
  findings: Finding[];
}

/** Panes that water touches and the open surface, m². */
export function wetted({ vessel }: Resolved): HeatAsk {
  const floor = footprint(vessel);
  const surfaceM2 = polygonArea(floor) / 1e6;
  return {
    glassM2: (perimeter(floor) * vessel.waterLineMm) / 1e6 + surfaceM2,
    surfaceM2,
    lid: vessel.lid ?? false,
  };
}

/** Heater and cooling from the room's range: U·A·ΔT, evaporation, and the rule of thumb beside it. */
export function heatPlan(commission: Resolved, survey: Survey): HeatPlan {
  const { site, vessel } = commission;
  const { roomC } = commission.limits;
  const waterC = waterTarget(commission).celsius;
  const ask = wetted(commission);
  const loss = heatLoss(ask, waterC, roomC[0]);
  const devicesW = intoWaterW(
    [...commission.gear, { watts: vessel.backlightW ?? 0, warms: 'above' }],
    lightOf(commission, SETTLED_WEEK).hours,
  );
  const warmC = restingCelsius(ask, roomC[1], devicesW);
  const shared = sharedRange(keptOf(commission), 'tempC');
  const mostC = Math.min(PLANTS_MOST_C, shared?.[1] ?? PLANTS_MOST_C);
  const coolW = warmC > mostC ? Math.max(0, devicesW - heatLoss(ask, mostC, roomC[1]).totalW) : 0;
  const plan = {
    roomC,
    waterC,
    loss,
    heatersW: isUnheated(commission) ? [] : heatersFor(loss.totalW),
    thumbW: ruleOfThumbW(survey.freeWaterL),
    devicesW,
    warmC,
    mostC,
    coolW,
  };
  return {
    ...plan,
    findings: [...coolFindings(plan, site?.roomC !== undefined), ...heaterFindings(commission, plan)],
  };
}

function coolFindings({ warmC, mostC, coolW, roomC }: Omit<HeatPlan, 'findings'>, asked: boolean): Finding[] {
  if (!asked || warmC <= mostC + 0.5) return [];
  return [
    {
      id: 'heat.cool',
      severity: 'warn',
      at: { field: 'site.roomC' },
      measured: rounded(warmC, 1),
      limit: rounded(mostC, 1),
      unit: '°C',
      says: say('heat.cool.says', {
        warm: inCelsius(warmC),
        room: inCelsius(roomC[1], 0),
        most: inCelsius(mostC),
      }),
      because: say('heat.cool.because', { watts: rounded(coolW, 0) }),
      source: say('source.heat'),
    },
  ];
}

/** Heaters on the list of devices against what leaves at the room's coldest; without one, where the water then rests. */
function heaterFindings(commission: Resolved, plan: Omit<HeatPlan, 'findings'>): Finding[] {
  const heaters = commission.gear.filter((g) => g.kind === 'heater');
  const has = heaters.reduce((sum, g) => sum + g.watts, 0);
  if (heaters.length === 0) return coldFindings(commission, plan);
  if (has >= plan.loss.totalW) return [];
  return [
    {
      id: 'heat.heater',
      severity: 'warn',
      at: { field: 'site.devices' },
      measured: has,
      limit: rounded(plan.loss.totalW, 0),
      unit: 'W',
      says: say('heat.heater.says', {
        has,
        leave: rounded(plan.loss.totalW, 0),
        room: inCelsius(plan.roomC[0], 0),
      }),
      because: heatersWords(plan),
      source: say('source.heat'),
    },
  ];
}

/** A room that was measured, no heater, and animals that bear less cold than the water then has. */
function coldFindings(commission: Resolved, plan: Omit<HeatPlan, 'findings'>): Finding[] {
  const least = sharedRange(keptOf(commission), 'tempC')?.[0];
  if (!commission.site?.roomC || least === undefined || !Number.isFinite(least)) return [];
  const rests = restingCelsius(wetted(commission), plan.roomC[0], plan.devicesW);
  if (rests >= least - 0.5) return [];
  return [
    {
      id: 'heat.none',
      severity: 'warn',
      at: { field: 'site.devices' },
      measured: rounded(rests, 1),
      limit: rounded(least, 1),
      unit: '°C',
      says: say('heat.none.says', {
        room: inCelsius(plan.roomC[0], 0),
        rests: inCelsius(rests, 0),
        least: inCelsius(least, 0),
      }),
      because: isUnheated(commission) ? say('heat.none.because.choice') : heatersWords(plan),
      source: say('source.heat'),
    },
  ];
}

function heatersWords({ heatersW, waterC }: Omit<HeatPlan, 'findings'>): Text {
  const heaters = heatersW.map((watts) => say('watts', { watts })).reduce((a, b) => say('two.and', { a, b }));
  return say('heat.heater.because', { heaters, water: inCelsius(waterC) });
}
