import { materialOf } from '../commission/lookup';
import { USUAL_BASE_MM } from '../commission/usual';
import type { Waypoint } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import {
  GLASS_LIFT,
  liftMultipliers,
  peopleFor,
  recommendedKg,
  STAIR_LIFT,
  type Multiplier,
} from '../site/lifting';
import { troubleAt, type Load, type Trouble } from '../site/route';
import type { Survey } from '../survey/survey';
import { carriedScape } from './carried';
import { sizeMmOf } from '../hardscape/extent';
import type { Finding } from '../words/finding';
import { inKg, inMm, type Measure } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import { rounded } from '../units/quantity';
import { glassKg, outerMm, standingMm } from '../vessel/glass';

export interface CarryingPlan {
  loads: Load[];
  route: { waypoint: Waypoint; troubles: Trouble[] }[];
  /** People for the empty tank on the flat and on stairs, with what NIOSH recommends for one, kg. */
  team: Team;
  findings: Finding[];
}

export interface Team {
  people: number;
  limitKg: number;
  stairs: boolean;
  multipliers: Multiplier[];
  /** More people than find room round a tank. */
  crowded: boolean;
  says: Text;
}

/** A cylinder of 2 kg of CO2 weighs about 5 kg full, 110 mm across and 450 high (from memory). */
const CYLINDER_MM = [110, 110, 450] as const;
const USUAL_CYLINDER_KG = 5;

/** What is carried in: the tank, empty or with what was built in it, the heaviest stone, the stand and the cylinder. */
export function loadsOf(commission: Resolved, survey: Survey): Load[] {
  const { vessel, site, brief } = commission;
  // With what was built in it elsewhere.
  const scapeKg = carriedScape(commission, survey)?.kg ?? 0;
  const tank: Load = { what: 'tank', sizeMm: outerMm(vessel), massKg: glassKg(vessel) + scapeKg, upright: true }; // prettier-ignore
  const base = standingMm(vessel);
  const option = commission.option;
  const stones = survey.pieces.filter((p) => materialOf(commission, p.material).kind === 'stone');
  const heaviest = stones.sort((a, b) => b.massKg - a.massKg)[0];
  const piece = heaviest && option.pieces.find((p) => p.id === heaviest.id);
  return [
    tank,
    ...(piece
      ? [
          {
            what: 'stone' as const,
            name: piece.id,
            sizeMm: sizeMmOf(piece.shape),
            massKg: heaviest.massKg,
            upright: false,
          },
        ]
      : []),
    ...(vessel.standKg
      ? [
          {
            what: 'stand' as const,
            sizeMm: [base.length, base.width, site?.baseHeightMm ?? USUAL_BASE_MM] as const,
            massKg: vessel.standKg,
            upright: true,
          },
        ]
      : []),
    ...(brief.co2
      ? [
          {
            what: 'cylinder' as const,
            sizeMm: CYLINDER_MM,
            massKg: site?.cylinderKg ?? USUAL_CYLINDER_KG,
            upright: false,
          },
        ]
      : []),
  ];
}

/** People who find room around one tank (common practice). */
export const MOST_HANDS = 6;

/** Every load against every point of the way, and how many lift the tank. */
export function carryingPlan(commission: Resolved, survey: Survey): CarryingPlan {
  const loads = loadsOf(commission, survey);
  const crew = commission.brief.crew;
  const route = (commission.site?.route ?? []).map((waypoint) => ({
    waypoint,
    troubles: loads.flatMap((load) => troubleAt(waypoint, load, Math.min(2, crew))),
  }));
  const noLift = route.some(
    (r) => r.waypoint.kind === 'lift' && r.troubles.some((t) => t.load.what === 'tank'),
  );
  const stairs = route.some((r) => r.waypoint.kind === 'stairs') || noLift;
  const lift = stairs ? STAIR_LIFT : GLASS_LIFT;
  const limitKg = recommendedKg(lift);
  const tank = loads[0];
  const team = teamOf(tank.massKg, limitKg, stairs, liftMultipliers(lift));
  return {
    loads,
    route,
    team,
    findings: [
      ...route.flatMap((r) => r.troubles.map(troubleFinding)),
      ...teamFindings(commission, tank, team),
    ],
  };
}

/** How many share a lift so that none has more than recommended, and whether so many find room at all. */
function teamOf(massKg: number, limitKg: number, stairs: boolean, multipliers: Multiplier[]): Team {
  const people = peopleFor(massKg, limitKg);
  const crowded = people > MOST_HANDS;
  const limit = inKg(limitKg);
  const lifts = stairs ? 'team.lifts.stairs' : 'team.lifts';
  const beyond = stairs ? 'team.crowded.stairs' : 'team.crowded';
  return {
    people,
    limitKg,
    stairs,
    multipliers,
    crowded,
    says: crowded
      ? say(beyond, { limit, count: people, room: MOST_HANDS })
      : say(lifts, { count: people, limit }),
  };
}

/** What a load is called at the head of a sentence: a piece by its own name. */
function atHead({ what, name }: Load): Said {
  return what === 'stone' ? name! : say(`The.${what}`);
}

/** A point of the way: some have names of their own, everything else is "the …". */
function called(name: string): Said {
  return /^[A-Z]/.test(name) ? name : say('the', { name });
}

function troubleFinding(trouble: Trouble): Finding {
  const unit = trouble.kind === 'mass' ? 'kg' : 'mm';
  const figure = (value: number) => (unit === 'kg' ? inKg(value, 0) : inMm(value));
  return {
    id: `route.${trouble.kind}`,
    severity: 'stop',
    at: { field: 'site.route' },
    measured: rounded(trouble.measured, 0),
    limit: rounded(trouble.limit, 0),
    unit,
    says: say(`route.${trouble.kind}.says`, {
      what: atHead(trouble.load),
      has: figure(trouble.measured),
      where: called(trouble.waypoint.name),
      is: figure(trouble.limit),
    }),
    because: say('route.because'),
    source: say('source.way'),
  };
}

function teamFindings({ brief, site }: Resolved, tank: Load, team: CarryingPlan['team']): Finding[] {
  if (!site?.route?.length || team.people <= brief.crew) return [];
  return [
    {
      id: 'route.team',
      severity: 'warn',
      at: { field: 'brief.crew' },
      measured: brief.crew,
      limit: team.people,
      unit: 'people',
      says: teamWords(inKg(tank.massKg, 0), team, brief.crew),
      because: say(team.crowded ? 'route.team.because.crowded' : 'route.team.because', {
        limit: inKg(team.limitKg),
      }),
      source: say('source.niosh'),
    },
  ];
}

function teamWords(mass: Measure, { crowded, stairs, people }: Team, crew: number): Text {
  if (crowded) return say(stairs ? 'route.team.says.crowded.stairs' : 'route.team.says.crowded', { mass });
  return say(stairs ? 'route.team.says.stairs' : 'route.team.says', { mass, count: people, crew });
}
