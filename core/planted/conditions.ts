import { lightOf } from '../care/light';
import { optionOf, materialOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { tankFlow, type FlowLayer, type Ports } from '../flow/tankFlow';
import { waterTarget } from '../filling/filling';
import { devicesOf, gearKindOf } from '../gear/gear';
import { lampsOf, type Lamp } from '../light/lamps';
import { lightMap, type LightMap, type LightMemo } from '../light/lightMap';
import { FADES_PER_M } from '../light/ppfd';
import type { Survey } from '../survey/survey';

/** What plants of a scape live in. */
export interface Living {
  lamps: Lamp[];
  light: LightMap;
  /** Hours of light a day once the tank has settled, and what a window adds, mol/m²/d. */
  hours: number;
  windowDli: number;
  tinted: boolean;
  flow: FlowLayer[];
  ports: Ports;
  litresPerHour: number;
  /** True where nobody said where outflow and intake are. */
  portsGuessed: boolean;
  waterC: number;
  gh: number;
  co2: boolean;
}

/** From this week on light is as it will be (the care plan raises it until then). */
const SETTLED_WEEK = 8;
/** What a window gives a tank a metre away over a day, and each hour of sun on the glass, mol/m² (coarse, common practice). */
const [WINDOW_AT_1_M, SUN_HOUR] = [0.3, 0.8];
const MOST_WINDOW = 4;
/** Outflow and intake side by side in a back corner stir least; usually they are at the two ends of the back (common practice). */
const FROM_END_MM = 40;

/** Light, flow and water as they will be, measured on the scape as it stands. */
export function livingOf(commission: Commission, survey: Survey, memo?: LightMemo): Living {
  const { vessel, brief } = commission;
  const water = waterTarget(commission);
  const { length, width, height } = vessel.innerMm;
  const option = optionOf(commission, survey.optionId);
  const lamps = lampsOf(commission);
  const tinted = option.pieces.some(
    (p) => materialOf(commission, p.material).kind === 'wood' && p.state !== 'sunk',
  );
  const bodies = [
    ...devicesOf(commission).flatMap((d) => d.body ?? []),
    ...(vessel.fixed ?? []).map((f) => ({ at: f.at, zMm: f.zMm ?? 0, sizeMm: f.sizeMm })),
  ];
  const sizeMm = [length, width, height] as const;
  const light = lightMap(
    {
      field: survey.field,
      lamps,
      standing: survey.standing,
      bodies,
      sizeMm,
      waterMm: vessel.waterLineMm,
      fadesPerM: FADES_PER_M[tinted ? 'tinted' : 'clear'],
    },
    memo,
  );
  const pipes = devicesOf(commission).filter(
    (d) => d.body && ['pipes', 'filter'].includes(gearKindOf(commission, d) ?? ''),
  );
  const middles = pipes.map(
    ({ body }) => [body!.at[0] + body!.sizeMm[0] / 2, body!.at[1] + body!.sizeMm[1] / 2] as const,
  );
  const ports: Ports = {
    outflow: middles[0] ?? [FROM_END_MM, width - FROM_END_MM],
    intake: middles[1] ?? [
      middles[0] && middles[0][0] > length / 2 ? FROM_END_MM : length - FROM_END_MM,
      width - FROM_END_MM,
    ],
  };
  const litresPerHour = devicesOf(commission).reduce((sum, d) => sum + (d.litresPerHour ?? 0), 0);
  return {
    lamps,
    light,
    hours: lightOf(commission, SETTLED_WEEK).hours,
    windowDli: windowOf(brief.window),
    tinted,
    flow:
      litresPerHour > 0
        ? tankFlow(survey.field, survey.standing, sizeMm, vessel.waterLineMm, litresPerHour, ports)
        : [],
    ports,
    litresPerHour,
    portsGuessed: middles.length < 2,
    waterC: water.celsius,
    gh: water.gh,
    co2: brief.co2,
  };
}

function windowOf(window: Commission['brief']['window']): number {
  if (!window) return 0;
  const metres = Math.max(0.3, window.distanceMm / 1000);
  return Math.min(MOST_WINDOW, WINDOW_AT_1_M / metres ** 2 + SUN_HOUR * window.sunHours);
}
