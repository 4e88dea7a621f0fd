import { animalsOf } from '../commission/usual';
import { daysFrom } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import type { Finding } from '../words/finding';
import type { Survey } from '../survey/survey';
import { biofilterOf } from './biofilter';
import { inM } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import { rounded } from '../units/quantity';
import { waitingFindings } from './waitingFindings';

/** Days until a planted tank has grown in for a show or a photograph (common practice: eight weeks). */
const GROWN_IN_DAYS = 56;
/** Sun on the glass beyond this warms and feeds algae, h a day (common practice). */
const SUN_HOURS = 1;

/** What the answers of the interview say against each other. */
export function briefFindings(commission: Resolved, survey: Survey): Finding[] {
  return [
    ...occasionFindings(commission),
    ...sunFindings(commission),
    ...rescapeFindings(commission, survey),
  ];
}

function occasionFindings({ brief }: Resolved): Finding[] {
  const { occasion, buildDay } = brief;
  if (!occasion?.day) return [];
  const days = daysFrom(buildDay, occasion.day);
  const needs = occasion.kind === 'photograph' || occasion.kind === 'show' ? GROWN_IN_DAYS : 1;
  if (days >= needs) return [];
  const kind = say(`occasion.${occasion.kind}`);
  const named = occasion.note ? say('occasion.noted', { kind, note: occasion.note }) : kind;
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
          ? say('brief.occasion.says.before', { occasion: named, days: -days })
          : say('brief.occasion.says', { days, occasion: named, needs }),
      because: say(needs > 1 ? 'brief.occasion.because.grown' : 'brief.occasion.because'),
      source: PRACTICE,
    },
  ];
}

function sunFindings({ brief }: Resolved): Finding[] {
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
      says: say('brief.sun.says', {
        hours: rounded(window.sunHours, 1),
        distance: inM(window.distanceMm / 1000),
        side: say(`side.${window.side}`),
      }),
      because: say('brief.sun.because'),
      source: PRACTICE,
    },
  ];
}

/** More than this share of the biofilter in one day is felt by animals (common practice: never all at once). */
const MOST_LOST = 0.3;

function rescapeFindings(commission: Resolved, survey: Survey): Finding[] {
  const { rescape } = commission.brief;
  if (!rescape) return [];
  const present = animalsOf(commission.brief).here;
  const at = { field: 'brief.rescape' };
  const found: Finding[] = [];
  const gone = biofilterOf(commission, survey).filter((p) => p.lost);
  const lost = gone.reduce((sum, p) => sum + p.share, 0);
  if (present.length > 0 && !rescape.filterKept)
    found.push({
      id: 'rescape.filter',
      severity: 'stop',
      at,
      measured: 0,
      limit: 1,
      unit: 'filters',
      says: say('rescape.filter.says'),
      because: say('rescape.filter.because'),
      source: PRACTICE,
    });
  if (present.length > 0 && lost > MOST_LOST)
    found.push({
      id: 'rescape.surfaces',
      severity: 'warn',
      at,
      measured: rounded(lost * 100, 0),
      limit: MOST_LOST * 100,
      unit: '%',
      says: say('rescape.surfaces.says', {
        lost: rounded(lost * 100, 0),
        parts: gone.map((p) => say('biofilter.part', { part: say(`biofilter.${p.part}`), percent: rounded(p.share * 100, 0) })), // prettier-ignore
      }),
      because: say('rescape.surfaces.because'),
      source: PRACTICE,
    });
  return [...found, ...waitingFindings(commission, survey)];
}
