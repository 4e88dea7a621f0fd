import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, DosingSchool, Material, WaterSchool } from '../commission/schema';
import { dosingSchoolOf, waterSchoolOf } from '../commission/usual';
import type { Survey } from '../survey/survey';
import type { Text } from '../words/text';
import { DOSING_RULES, dosesOf, INERT_RULES, NOTHING_TO_FEED, type Dose } from './dosing';
import { gatesOf, type Gates } from './gates';
import { nitrogenRead, type NitrogenRead } from './nitrogen';
import { earlyTests, testDays, testedBefore } from './testDays';
import { CARE_DAYS, changesOf, type Change } from './waterSchools';

/** What is done to the water on which day of the first eight weeks: the guide, the take-off and the visits ask here. */
export interface Regime {
  /** As it is kept: weekly throughout where a daily dose rests on the weekly change. */
  water: WaterSchool;
  changes: Change[];
  dosing: DosingSchool;
  /** The rule of feeding in a sentence. */
  feeding: Text;
  doses: Dose[];
  /** Days on which ammonia and nitrite are read. */
  tests: number[];
  /** When animals that are to come may come; left out where all live there. */
  gates?: Gates;
  /** What the log says of ammonia and nitrite. */
  read: NitrogenRead;
}

/** The regime that follows from brief, bed, plants, animals and log. */
export function regimeOf(commission: Commission, survey: Survey): Regime {
  const { brief } = commission;
  const water = keptSchool(brief);
  const dosing = dosingSchoolOf(brief);
  const isPlanted = optionOf(commission, survey.optionId).plants.length > 0;
  const isInert = hasInertBed(commission, survey);
  const changes = changesOf(water, { buildDay: brief.buildDay, changeDay: brief.care?.changeDay });
  const usual = testDays(changes, earlyTests(commission));
  const read = nitrogenRead(commission);
  const gates = gatesOf(commission, usual, water === 'fish-in', read);
  return {
    water,
    changes,
    dosing,
    feeding: isPlanted ? (isInert ? INERT_RULES : DOSING_RULES)[dosing] : NOTHING_TO_FEED,
    // Plant food without plants feeds algae.
    doses: isPlanted ? dosesOf(dosing, changes, CARE_DAYS, isInert) : [],
    tests: testedBefore(usual, changes, gates),
    ...(gates ? { gates } : {}),
    read,
  };
}

/** A daily dose in excess rests on a change every week: there weekly never becomes fortnightly. */
function keptSchool(brief: Commission['brief']): WaterSchool {
  const school = waterSchoolOf(brief);
  return school === 'weekly' && dosingSchoolOf(brief) === 'excess' ? 'every-week' : school;
}

/** True where there is a bed, and none of it feeds plants: sand, gravel, or soil that has given what it had. */
function hasInertBed(commission: Commission, survey: Survey): boolean {
  const { bed } = optionOf(commission, survey.optionId);
  const feeds = (kind: Material['kind']) => kind === 'soil' || kind === 'base';
  return bed.length > 0 && !bed.some((l) => feeds(materialOf(commission, l.material).kind) && !l.used);
}
