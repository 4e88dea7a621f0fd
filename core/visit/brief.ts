import { daysFrom } from '../calendar/day';
import type { Commission } from '../commission/schema';
import { grownFishMm } from '../livestock/checks';
import type { Finding } from '../units/finding';
import { rounded } from '../units/quantity';
import { keptOf } from './kept';

/** Days until a planted tank has grown in for a show or a photograph (common practice: eight weeks). */
const GROWN_IN_DAYS = 56;
/** Tub for animals that wait, L for each centimetre of grown fish (common practice: half the usual). */
const HOLDING_L_PER_CM = 0.5;
/** Sun on the glass beyond this warms and feeds algae, h a day (common practice). */
const SUN_HOURS = 1;

/** What the answers of the interview say against each other. */
export function briefFindings(commission: Commission): Finding[] {
  return [...occasionFindings(commission), ...sunFindings(commission), ...rescapeFindings(commission)];
}

function occasionFindings({ brief }: Commission): Finding[] {
  const { occasion, buildDay } = brief;
  if (!occasion?.day) return [];
  const days = daysFrom(buildDay, occasion.day);
  const needs = occasion.kind === 'photograph' || occasion.kind === 'show' ? GROWN_IN_DAYS : 1;
  if (days >= needs) return [];
  const kind = occasion.kind === 'other' ? 'occasion' : occasion.kind;
  const name = occasion.note ? `${kind} (${occasion.note})` : kind;
  return [
    {
      id: 'brief.occasion',
      severity: days < 0 ? 'stop' : 'warn',
      at: { field: 'brief.occasion' },
      measured: days,
      limit: needs,
      unit: 'days',
      says:
        days < 0
          ? `The ${name} is ${-days} days before the build day.`
          : `${days} days from the build to the ${name}, ${needs} are wanted.`,
      because:
        needs > 1
          ? 'A planted tank takes about eight weeks to grow in: build earlier, or plant denser and in pots.'
          : 'Build earlier: the water clears and settles overnight at the least.',
      source: 'common practice',
    },
  ];
}

function sunFindings({ brief }: Commission): Finding[] {
  const { window } = brief;
  if (!window || window.sunHours <= SUN_HOURS) return [];
  return [
    {
      id: 'brief.sun',
      severity: 'warn',
      at: { field: 'brief.window' },
      measured: rounded(window.sunHours, 1),
      limit: SUN_HOURS,
      unit: 'h',
      says: `${rounded(window.sunHours, 1)} h of sun from a window ${rounded(window.distanceMm / 1000, 1)} m to the ${window.side}.`,
      because: 'It feeds algae and warms the water: a blind, a film on that side, a shorter photoperiod.',
      source: 'common practice',
    },
  ];
}

function rescapeFindings(commission: Commission): Finding[] {
  const { rescape, livestock = [] } = commission.brief;
  if (!rescape) return [];
  const present = livestock.filter((s) => s.present);
  const at = { field: 'brief.rescape' };
  const found: Finding[] = [];
  const gone = (['stone', 'wood', 'substrate'] as const).filter((s) => !rescape.stays.includes(s));
  if (present.length > 0 && !rescape.filterKept)
    found.push({
      id: 'rescape.filter',
      severity: 'stop',
      at,
      measured: 0,
      limit: 1,
      unit: 'filters',
      says: 'Animals live in it, and its filter is not kept.',
      because:
        'Without mature media ammonia rises within days. Keep the filter running on the holding tank, and do not clean it that day.',
      source: 'common practice',
    });
  if (present.length > 0 && gone.length === 3)
    found.push({
      id: 'rescape.surfaces',
      severity: 'warn',
      at,
      measured: 3,
      limit: 2,
      unit: 'surfaces',
      says: 'Stone, wood and substrate all go at once, with animals to come back.',
      because:
        'All of it was biofilter. Keep one of them, or two of them for a later day; test the next day and the day after.',
      source: 'common practice',
    });
  const cm = grownFishMm(keptOf(commission, (entry) => entry.present === true)) / 10;
  const needs = cm * HOLDING_L_PER_CM;
  if (cm > 0 && rescape.holdingL !== undefined && rescape.holdingL < needs)
    found.push({
      id: 'rescape.holding',
      severity: 'warn',
      at,
      measured: rounded(rescape.holdingL, 0),
      limit: rounded(needs, 0),
      unit: 'L',
      says: `${rounded(rescape.holdingL, 0)} L to wait in for ${rounded(cm, 0)} cm of fish, ${rounded(needs, 0)} L wanted.`,
      because: 'They wait all day in their own water with the filter running: bring another tub and a cover.',
      source: 'common practice',
    });
  return found;
}
