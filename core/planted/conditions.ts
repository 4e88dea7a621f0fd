import { lightOf, SETTLED_WEEK } from '../light/photoperiod';
import { pieceOf, type Resolved } from '../resolved/resolved';
import { tankFlow, type FlowLayer, type Ports, type Pump } from '../flow/tankFlow';
import { waterTarget } from '../filling/filling';
import { isSunk } from '../commission/origin';
import { platesOf } from '../light/plates';
import { lampsOf, type Lamp } from '../light/lamps';
import { lightMap, type LightMap, type LightMemo } from '../light/lightMap';
import type { Pane } from '../light/panes';
import { fadesWith } from '../light/ppfd';
import { remembered, type Slot } from '../survey/memo';
import type { Survey } from '../survey/survey';

/** What plants of a scape live in. */
export interface Living {
  lamps: Lamp[];
  /** Some light is known: of a lamp or of a window. */
  lit: boolean;
  light: LightMap;
  /** Hours of light a day once the tank has settled, and what a window adds, mol/m²/d. */
  hours: number;
  windowDli: number;
  tinted: boolean;
  flow: FlowLayer[];
  ports: Ports;
  /** Pumps of which it is known where they hang. */
  pumps: Pump[];
  litresPerHour: number;
  /** True where nobody said where outflow and intake are. */
  portsGuessed: boolean;
  waterC: number;
  gh: number;
  co2: boolean;
}

/** What a window gives a tank a metre away over a day, and each hour of sun on the glass, mol/m² (coarse, common practice). */
const [WINDOW_AT_1_M, SUN_HOUR] = [0.3, 0.8];
const MOST_WINDOW = 4;
/** Outflow and intake side by side in a back corner stir least; usually they are at the two ends of the back (common practice). */
const FROM_END_MM = 40;

/** Flow pumps with a place in the tank; of one without a direction nobody knows what it stirs. */
function pumpsOf(gear: Resolved['gear']): Pump[] {
  return gear.flatMap(({ kind, litresPerHour, device: { body, towardsDeg } }): Pump[] => {
    if (kind !== 'pump' || !litresPerHour || !body || towardsDeg === undefined) return [];
    const [w, d, h] = body.sizeMm;
    return [{ at: [body.at[0] + w / 2, body.at[1] + d / 2], zMm: body.zMm + h / 2, towardsDeg, litresPerHour }]; // prettier-ignore
  });
}

/** Kept between two looks at the same scape: what plants live in changes with the bed, the pieces and the gear alone. */
export interface LivingMemo {
  light: LightMemo;
  flow: Slot<FlowLayer[]>;
}

/** Light, flow and water as they will be, measured on the scape as it stands. */
export function livingOf(commission: Resolved, survey: Survey, memo?: LivingMemo): Living {
  const { vessel, brief } = commission;
  const water = waterTarget(commission);
  const { length, width, height } = vessel.innerMm;
  const lamps = lampsOf(commission);
  // What has long lain in water has given off what it had.
  const tints = (id: string) => {
    const { material, state } = pieceOf(commission, id);
    return material.kind === 'wood' && !isSunk(state);
  };
  const woodL = survey.pieces.reduce((sum, p) => sum + (tints(p.id) ? p.volumeL : 0), 0);
  const tinted = woodL > 0;
  const bodies = [
    ...commission.gear.flatMap((g) => g.device.body ?? []),
    ...(vessel.fixed ?? []).map((f) => ({ at: f.at, zMm: f.zMm ?? 0, sizeMm: f.sizeMm })),
  ];
  const sizeMm = [length, width, height] as const;
  const light = lightMap(
    {
      field: survey.field,
      lamps,
      standing: survey.standing,
      bodies,
      plates: platesOf(vessel),
      sizeMm,
      waterMm: vessel.waterLineMm,
      fadesPerM: fadesWith(woodL / Math.max(1, survey.freeWaterL)),
      panes: panesOf(vessel),
    },
    memo?.light,
  );
  const gear = commission.gear;
  const pipes = gear.filter((g) => g.device.body && (g.kind === 'pipes' || g.kind === 'filter'));
  const middles = pipes.map(
    ({ device: { body } }) => [body!.at[0] + body!.sizeMm[0] / 2, body!.at[1] + body!.sizeMm[1] / 2] as const,
  );
  const ports: Ports = {
    outflow: middles[0] ?? [FROM_END_MM, width - FROM_END_MM],
    intake: middles[1] ?? [
      middles[0] && middles[0][0] > length / 2 ? FROM_END_MM : length - FROM_END_MM,
      width - FROM_END_MM,
    ],
  };
  // What only stirs goes from no outflow to no intake.
  const litresPerHour = gear.reduce((sum, g) => sum + (g.kind === 'pump' ? 0 : (g.litresPerHour ?? 0)), 0);
  const pumps = pumpsOf(gear);
  const flowsIn = [survey.field, vessel.waterLineMm, litresPerHour, JSON.stringify([ports, pumps]), ...standsAs(survey)]; // prettier-ignore
  const windowDli = windowOf(brief.window);
  return {
    lamps,
    lit: lamps.length > 0 || windowDli > 0,
    light,
    hours: lightOf(commission, SETTLED_WEEK).hours,
    windowDli,
    tinted,
    flow:
      litresPerHour > 0 || pumps.length > 0
        ? remembered(memo?.flow ?? {}, flowsIn, () =>
            tankFlow(survey.field, survey.standing, sizeMm, vessel.waterLineMm, litresPerHour, ports, pumps),
          )
        : [],
    ports,
    pumps,
    litresPerHour,
    portsGuessed: middles.length < 2,
    waterC: water.celsius,
    gh: water.gh,
    co2: brief.co2,
  };
}

/** What stands in a scape and how: of two scapes with the same, one by one, the same stands in the same places. */
export const standsAs = ({ standing }: Survey): unknown[] =>
  standing.flatMap((s) => [s.columns, s.xMm, s.yMm, s.zMm]);

function windowOf(window: Resolved['brief']['window']): number {
  if (!window) return 0;
  const metres = Math.max(0.3, window.distanceMm / 1000);
  return Math.min(MOST_WINDOW, WINDOW_AT_1_M / metres ** 2 + SUN_HOUR * window.sunHours);
}

/** Panes of a box with air behind them; what has film on it sends back little. */
function panesOf({ kind, innerMm: { length, width }, background }: Resolved['vessel']): Pane[] {
  if (kind !== 'box') return [];
  const film = new Set<string>(background?.sides ?? []);
  const all: [string, Pane][] = [
    ['left', { axis: 0, atMm: 0 }],
    ['right', { axis: 0, atMm: length }],
    ['front', { axis: 1, atMm: 0 }],
    ['back', { axis: 1, atMm: width }],
  ];
  return all.filter(([side]) => !film.has(side)).map(([, pane]) => pane);
}
