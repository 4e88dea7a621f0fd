import { hasRun } from '../commission/origin';
import type { DosingSchool, Material, WaterSchool } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { dosingSchoolOf, waterSchoolOf } from '../commission/usual';
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
export function regimeOf(commission: Resolved): Regime {
  const { brief } = commission;
  const water = keptSchool(brief);
  const dosing = dosingSchoolOf(brief);
  const isPlanted = commission.option.plants.length > 0;
  const isInert = hasInertBed(commission);
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
function keptSchool(brief: Resolved['brief']): WaterSchool {
  const school = waterSchoolOf(brief);
  return school === 'weekly' && dosingSchoolOf(brief) === 'excess' ? 'every-week' : school;
}

/** True where there is a bed, and none of it feeds plants: sand, gravel, or soil that has given what it had. */
function hasInertBed(commission: Resolved): boolean {
  const layers = [...commission.layers.values()];
  const feeds = ({ kind }: Material) => kind === 'soil' || kind === 'base';
  return layers.length > 0 && !layers.some(({ layer, material }) => feeds(material) && !hasRun(layer));
}
