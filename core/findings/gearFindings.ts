import { daysFrom } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import type { Standing } from '../hardscape/settle';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CO2_PARTS } from '../commission/co2Parts';
import { hasGasSource, isWholeSet, type Device, type Gear, type GearKind } from '../gear/gear';
import { TURNOVER } from '../gear/propose';

/** Room that a hand needs to reach a device, mm (common practice). */
const HAND_MM = 90;
type Block = readonly [readonly [number, number, number], readonly [number, number, number]];

/** What the gear says: too little flow, late, in the way of a stone, or out of a hand's reach. */
export function gearFindings(commission: Resolved, survey: Survey): Finding[] {
  return [
    ...flowFindings(commission, survey),
    ...commission.gear.flatMap((gear) => [
      ...lateFindings(commission, gear),
      ...placeFindings(commission, survey, gear.device),
    ]),
    ...gasFindings(commission),
    ...missingFindings(commission),
    ...keptFilterFindings(commission),
  ];
}

/** Gas that is wanted and not listed where other gear is, or a set that is listed part by part and one of them is not. */
function gasFindings(commission: Resolved): Finding[] {
  const { brief } = commission;
  if (!brief.co2) return [];
  const all = commission.gear;
  const gas = all.filter((g) => g.kind === 'co2');
  if (gas.length === 0) return hasGasSource(commission) ? [] : [noGas];
  if (gas.some((g) => isWholeSet(g, gas))) return [];
  const missing = CO2_PARTS.filter((part) => !gas.some((g) => g.part === part));
  if (missing.length === 0) return [];
  return [
    {
      id: 'gear.co2',
      severity: 'warn',
      at,
      measured: CO2_PARTS.length - missing.length,
      limit: CO2_PARTS.length,
      unit: 'parts',
      says: say('gear.co2.says', { parts: missing.map((part) => say(`co2.${part}`)) }),
      because: say(missing.includes('check-valve') ? 'gear.co2.because.check-valve' : 'gear.co2.because'),
      source: PRACTICE,
    },
  ];
}

/** What the job takes for granted and no list of gear has: film for a background that is planned, a timer for a lamp. */
function missingFindings(commission: Resolved): Finding[] {
  const { brief, vessel } = commission;
  const all = commission.gear;
  if (all.length === 0 || brief.rescape) return [];
  const has = (kind: GearKind) => all.some((g) => g.kind === kind);
  return [
    ...(vessel.background && !has('film')
      ? [missing('gear.film.none', say('gear.film.none.says'), say('gear.film.none.because'))]
      : []),
    ...(has('lamp') && !has('timer')
      ? [missing('gear.timer.none', say('gear.timer.none.says'), say('gear.timer.none.because'))]
      : []),
  ];
}

function missing(id: 'gear.film.none' | 'gear.timer.none', says: Text, because: Text): Finding {
  return { id, severity: 'note', at, measured: 0, limit: 1, unit: 'pieces', says, because, source: PRACTICE };
}

/** The filter is said to run through the work, and the one that is there is taken out. */
function keptFilterFindings(commission: Resolved): Finding[] {
  if (!commission.brief.rescape?.filterKept) return [];
  const leaving = commission.leavingGear.filter((d) => d.kind === 'filter');
  const stays = commission.gear.some((g) => g.kind === 'filter' && g.origin !== 'bought');
  if (leaving.length === 0 || stays) return [];
  return [
    {
      id: 'gear.kept',
      severity: 'warn',
      at,
      measured: 0,
      limit: 1,
      unit: 'pieces',
      says: say('gear.kept.says', { devices: leaving.map((d) => d.name) }),
      because: say('gear.kept.because'),
      source: say('source.brief'),
    },
  ];
}

const at = { field: 'site.devices' };

const noGas: Finding = {
  id: 'gear.co2.none',
  severity: 'warn',
  at,
  measured: 0,
  limit: 1,
  unit: 'parts',
  says: say('gear.co2.none.says'),
  because: say('gear.co2.none.because'),
  source: say('source.brief'),
};

/** What all filters together move: two small ones are as good as a large one. */
function flowFindings(commission: Resolved, { freeWaterL }: Survey): Finding[] {
  const filters = commission.gear.filter((g) => g.kind === 'filter' && g.litresPerHour !== undefined);
  if (filters.length === 0) return [];
  const turnover = filters.reduce((sum, g) => sum + g.litresPerHour!, 0) / freeWaterL;
  const [least, most] = TURNOVER;
  if (freeWaterL <= 0 || (turnover >= least - 0.05 && turnover <= most + 0.05)) return [];
  return [
    {
      id: 'gear.turnover',
      severity: turnover < least ? 'warn' : 'note',
      at,
      measured: rounded(turnover, 1),
      limit: turnover < least ? least : most,
      unit: '×',
      says: say('gear.turnover.says', {
        devices: filters.map((g) => g.name),
        times: rounded(turnover, 1),
        water: inLitres(freeWaterL, 0),
      }),
      because: say(turnover < least ? 'gear.turnover.because.less' : 'gear.turnover.because.more', { least, most }), // prettier-ignore
      source: PRACTICE,
    },
  ];
}

/** What waits for a device that is not there: each kind has its own consequence. */
const WAITS: Partial<Record<GearKind, 'filter' | 'heater' | 'lamp' | 'co2'>> = {
  filter: 'filter',
  media: 'filter',
  heater: 'heater',
  lamp: 'lamp',
  co2: 'co2',
};

function lateFindings({ brief }: Resolved, { device, kind, late }: Gear): Finding[] {
  // What takes another's place on its day leaves nothing waiting.
  if (!late || device.replaces !== undefined) return [];
  const days = daysFrom(brief.buildDay, device.arrives!);
  const waits = kind && WAITS[kind];
  return [
    {
      id: 'gear.late',
      severity: waits === 'filter' ? 'stop' : 'warn',
      at,
      measured: days,
      limit: 0,
      unit: 'days',
      says: say('gear.late.says', { device: device.name, day: { day: device.arrives! }, days }),
      because: waits ? say(`gear.late.because.${waits}`) : say('gear.late.because'),
      source: say('source.brief'),
    },
  ];
}

/** A body that runs into a piece, or that no hand reaches from the side it is served from. */
function placeFindings({ vessel }: Resolved, survey: Survey, device: Device): Finding[] {
  const { body } = device;
  if (!body) return [];
  const { sizeMm, servedFrom } = body;
  const low = [body.at[0], body.at[1], body.zMm] as const;
  const high = [low[0] + sizeMm[0], low[1] + sizeMm[1], low[2] + sizeMm[2]] as const;
  const { length, width, height } = vessel.innerMm;
  const inTheWay = (block: Block) => survey.standing.find((s) => meets(s, block))?.piece.id;
  const found: Finding[] = [];
  const hit = inTheWay([low, high]);
  if (hit)
    found.push({
      id: 'gear.collides',
      severity: 'stop',
      at: { ...at, piece: hit },
      measured: 0,
      limit: 1,
      unit: 'mm',
      says: say('gear.collides.says', { device: device.name, piece: hit }),
      because: say('gear.collides.because'),
      source: say('source.drawing'),
    });
  // The way of a hand: a channel as wide as the device or a hand, from the device to where the arm comes in.
  const wide = (k: 0 | 1): [number, number] => {
    const more = Math.max(0, HAND_MM - sizeMm[k]) / 2;
    return [low[k] - more, high[k] + more];
  };
  const [x, y] = [wide(0), wide(1)];
  const ways: Record<typeof servedFrom, Block> = {
    above: [[x[0], y[0], high[2]], [x[1], y[1], height]], // prettier-ignore
    left: [[Math.max(0, low[0] - HAND_MM), y[0], low[2]], [low[0], y[1], height]], // prettier-ignore
    right: [[high[0], y[0], low[2]], [Math.min(length, high[0] + HAND_MM), y[1], height]], // prettier-ignore
    front: [[x[0], Math.max(0, low[1] - HAND_MM), low[2]], [x[1], low[1], height]], // prettier-ignore
  };
  const room = { above: Infinity, left: low[0], right: length - high[0], front: Math.min(low[1], width) };
  const blocked = inTheWay(ways[servedFrom]);
  if (blocked || room[servedFrom] < HAND_MM)
    found.push({
      id: 'gear.reach',
      severity: 'warn',
      at: { ...at, ...(blocked ? { piece: blocked } : {}) },
      measured: blocked ? 0 : rounded(room[servedFrom], 0),
      limit: HAND_MM,
      unit: 'mm',
      says: blocked
        ? say('gear.reach.says', { device: device.name, piece: blocked, side: say(`reach.${servedFrom}`) })
        : say('gear.reach.says.glass', { device: device.name, side: say(`reach.${servedFrom}`) }),
      because: say('gear.reach.because', { hand: inMm(HAND_MM) }),
      source: PRACTICE,
    });
  return found;
}

/** True when a standing piece has stone or wood inside a block. */
function meets({ columns, xMm, yMm, zMm }: Standing, [low, high]: Block): boolean {
  const { first, lo, hi } = columns;
  for (let row = 0, c = 0; row < columns.rows; row++) {
    const y = yMm + columns.y0 + row * columns.dyMm;
    for (let column = 0; column < columns.columns; column++, c++) {
      const x = xMm + columns.x0 + column * columns.dxMm;
      if (x <= low[0] || x >= high[0] || y <= low[1] || y >= high[1]) continue;
      for (let k = first[c]; k < first[c + 1]; k++)
        if (hi[k] + zMm > low[2] && lo[k] + zMm < high[2]) return true;
    }
  }
  return false;
}
