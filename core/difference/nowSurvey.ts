import { NOW } from '../commission/scapes';
import type { Commission, Now } from '../commission/schema';
import { survey, type Survey } from '../survey/survey';

interface Measured {
  of: readonly unknown[];
  survey: Survey;
}
/** It changes far more seldom than the scape that is made of it: measured once for as long as what it is measured from is the same. */
const measured = new WeakMap<Now, Measured>();

/** The tank as it is now, measured like any scape: litres, kilograms, plugs, water. Undefined where nobody drew it. */
export function surveyOfNow(commission: Commission): Survey | undefined {
  const { now, vessel, catalogue, brief } = commission;
  if (!now) return undefined;
  const of = [vessel, catalogue.materials, catalogue.plants, brief.buildDay, brief.schools];
  const known = measured.get(now);
  if (known?.of.every((part, i) => part === of[i])) return known.survey;
  const made = survey(commission, { optionId: NOW });
  measured.set(now, { of, survey: made });
  return made;
}
