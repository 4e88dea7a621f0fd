import type { Resolved } from '../resolved/resolved';
import { sizeMmOf } from '../hardscape/extent';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inLitres, inMm, type Measure } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { isNarrowed, openings, openingSize, passes } from '../vessel/openings';
import { hasDoubtfulSeams, OLD_SEAMS_YEARS } from '../vessel/secondHand';
import type { Polygon } from '../geometry/polygon';
import { joinedBefore } from '../beforehand/ahead';
import type { Survey } from '../survey/survey';

type Size = readonly [number, number, number];

/** How far a label may be off before it is worth saying. */
const LABEL_TOLERANCE = 0.05;

/** What the vessel itself says: a label that lies, what does not pass its openings, a base without a mat. */
export function vesselFindings(commission: Resolved, survey: Survey): Finding[] {
  return [
    ...labelFindings(commission, survey),
    ...openingFindings(commission, survey),
    ...matFindings(commission),
    ...seamFindings(commission),
  ];
}

function labelFindings({ vessel }: Resolved, { brimL }: Survey): Finding[] {
  const label = vessel.labelL;
  if (label === undefined || Math.abs(label - brimL) <= LABEL_TOLERANCE * brimL) return [];
  const percent = rounded(Math.abs(label / brimL - 1) * 100, 0);
  return [
    {
      id: 'vessel.label',
      severity: 'note',
      at: { field: 'vessel.labelL' },
      measured: label,
      limit: rounded(brimL, 2),
      unit: 'L',
      says: say(label > brimL ? 'vessel.label.says.more' : 'vessel.label.says.less', {
        label: inLitres(label, 3),
        percent,
        inside: inLitres(brimL),
      }),
      because: say('vessel.label.because'),
      source: PRACTICE,
    },
  ];
}

function openingFindings(commission: Resolved, survey: Survey): Finding[] {
  const { vessel } = commission;
  if (!isNarrowed(vessel)) return [];
  const open = openings(vessel);
  const { pieces } = commission.option;
  const stuck = pieces.filter((piece) => !open.some((o) => passes(o, sizeMmOf(piece.shape))));
  const joined = joinedBefore(commission)
    .map(({ pieces: ids }) => ({ ids, sizeMm: boxOf(survey, ids) }))
    .filter(
      ({ ids, sizeMm }) => !stuck.some((p) => ids.includes(p.id)) && !open.some((o) => passes(o, sizeMm)),
    );
  return [
    ...stuck.map((piece) =>
      passFinding(open, sizeMmOf(piece.shape), {
        id: 'piece.passes',
        severity: 'stop',
        at: { piece: piece.id },
        says: (sizes) => say('piece.passes.says', { piece: piece.id, ...sizes }),
        because: say('piece.passes.because'),
      }),
    ),
    ...joined.map(({ ids, sizeMm }) =>
      passFinding(open, sizeMm, {
        id: 'group.passes',
        severity: 'warn',
        at: { piece: ids[0] },
        says: (sizes) => say('group.passes.says', { pieces: ids, ...sizes }),
        because: say('group.passes.because'),
      }),
    ),
  ];
}

type Sizes = Record<'across' | 'widest', Measure>;
type Stuck = Pick<Finding, 'id' | 'severity' | 'at' | 'because'> & { says: (sizes: Sizes) => Text };

function passFinding(open: readonly Polygon[], sizeMm: Readonly<Size>, { says, ...rest }: Stuck): Finding {
  const widest = open.map(openingSize).sort((a, b) => b[0] * b[1] - a[0] * a[1])[0] ?? [0, 0];
  const [a, b] = [...sizeMm].sort((p, q) => p - q).map((mm) => rounded(mm, 0));
  return {
    ...rest,
    measured: b,
    limit: rounded(Math.min(...widest), 0),
    unit: 'mm',
    says: says({ across: inMm([a, b]), widest: inMm(widest) }),
    source: say('source.vessel'),
  };
}

/** The box around what is joined beforehand, as it will stand, mm. */
function boxOf(survey: Survey, ids: readonly string[]): Size {
  const standing = survey.standing.filter((s) => ids.includes(s.piece.id));
  const along = (axis: 0 | 1 | 2) => {
    const at = standing.map((s) => [s.xMm, s.yMm, s.zMm][axis]);
    const highest = Math.max(...standing.map((s, i) => at[i] + s.columns.extent.hi[axis]));
    return highest - Math.min(...standing.map((s, i) => at[i] + s.columns.extent.lo[axis]));
  };
  return [along(0), along(1), along(2)];
}

function matFindings({ vessel }: Resolved): Finding[] {
  if (vessel.mat !== false || vessel.rimMm) return [];
  return [
    {
      id: 'vessel.mat',
      severity: 'warn',
      at: { field: 'vessel.mat' },
      measured: 0,
      limit: 1,
      unit: 'mats',
      says: say('vessel.mat.says'),
      because: say('vessel.mat.because'),
      source: PRACTICE,
    },
  ];
}

/** Old or doubtful seams of a second-hand tank: said, never judged. */
function seamFindings({ vessel }: Resolved): Finding[] {
  if (!hasDoubtfulSeams(vessel)) return [];
  const { ageYears, seams } = vessel.secondHand!;
  const old = seams !== 'doubtful' && ageYears !== undefined;
  return [
    {
      id: 'vessel.seams',
      severity: 'warn',
      at: { field: 'vessel.secondHand' },
      measured: ageYears ?? 0,
      limit: OLD_SEAMS_YEARS,
      unit: 'years',
      says: old ? say('vessel.seams.says.old', { years: ageYears }) : say('vessel.seams.says'),
      because: say('vessel.seams.because'),
      source: PRACTICE,
    },
  ];
}
