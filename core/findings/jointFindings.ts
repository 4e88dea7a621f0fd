import type { Resolved } from '../resolved/resolved';
import { JOINABLE_MM, WIDEST_GAP_MM } from '../hardscape/contact';
import { hangingKg, meansOf } from '../hardscape/joining';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inKg, inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Survey } from '../survey/survey';

/** Joints that hold nothing: across a gap, or with more hanging on them than such a joint usually bears. */
export function jointFindings(commission: Resolved, survey: Survey): Finding[] {
  const { joints } = commission.option;
  return joints.flatMap((joint, i): Finding[] => {
    const { gapMm, hangsKg } = survey.joints[i];
    const at = { piece: joint.pieces[0], pieces: joint.pieces };
    const names = { joint: joint.id, pieces: joint.pieces };
    if (gapMm > JOINABLE_MM) {
      const gap = inMm(gapMm);
      return [
        {
          id: 'joint.gap',
          severity: 'stop',
          at,
          measured: rounded(gapMm, 1),
          limit: JOINABLE_MM,
          unit: 'mm',
          says: gapMm < WIDEST_GAP_MM ? say('joint.gap.says', { ...names, gap }) : say('joint.gap.says.wide', { ...names, gap }), // prettier-ignore
          because: say('joint.gap.because', { reach: inMm(JOINABLE_MM) }),
          source: PRACTICE,
        },
      ];
    }
    const most = hangingKg(joint);
    if (hangsKg <= most) return [];
    return [
      {
        id: 'joint.hangs',
        severity: 'warn',
        at,
        measured: rounded(hangsKg, 2),
        limit: most,
        unit: 'kg',
        says: say('joint.hangs.says', {
          ...names,
          mass: inKg(hangsKg),
          method: meansOf(joint).map((means) => say(`method.${means}`)),
          most: inKg(most),
        }),
        because: say('joint.hangs.because'),
        source: PRACTICE,
      },
    ];
  });
}
