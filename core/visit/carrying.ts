import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Waypoint } from '../commission/schema';
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
import { sizeMmOf } from '../hardscape/extent';
import type { Finding } from '../units/finding';
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
  says: string;
}

/** A cylinder of 2 kg of CO2 weighs about 5 kg full, 110 mm across and 450 high (from memory). */
const CYLINDER_MM = [110, 110, 450] as const;
const USUAL_CYLINDER_KG = 5;
/** Height of a stand when it was not measured, mm (common practice). */
export const USUAL_BASE_MM = 800;

/** What is carried in: the empty tank, the heaviest stone, the stand and the cylinder. */
export function loadsOf(commission: Commission, survey: Survey): Load[] {
  const { vessel, site, brief } = commission;
  const tank: Load = { name: 'tank', sizeMm: outerMm(vessel), massKg: glassKg(vessel), upright: true };
  const base = standingMm(vessel);
  const option = optionOf(commission, survey.optionId);
  const stones = survey.pieces.filter((p) => materialOf(commission, p.material).kind === 'stone');
  const heaviest = stones.sort((a, b) => b.massKg - a.massKg)[0];
  const piece = heaviest && option.pieces.find((p) => p.id === heaviest.id);
  return [
    tank,
    ...(piece
      ? [{ name: piece.id, sizeMm: sizeMmOf(piece.shape), massKg: heaviest.massKg, upright: false }]
      : []),
    ...(vessel.standKg
      ? [
          {
            name: 'stand',
            sizeMm: [base.length, base.width, site?.baseHeightMm ?? USUAL_BASE_MM] as const,
            massKg: vessel.standKg,
            upright: true,
          },
        ]
      : []),
    ...(brief.co2
      ? [
          {
            name: 'cylinder',
            sizeMm: CYLINDER_MM,
            massKg: site?.cylinderKg ?? USUAL_CYLINDER_KG,
            upright: false,
          },
        ]
      : []),
  ];
}

/** People who find room around one tank (common practice). */
const MOST_HANDS = 6;

/** Every load against every point of the way, and how many lift the tank. */
export function carryingPlan(commission: Commission, survey: Survey): CarryingPlan {
  const loads = loadsOf(commission, survey);
  const crew = commission.brief.crew;
  const route = (commission.site?.route ?? []).map((waypoint) => ({
    waypoint,
    troubles: loads.flatMap((load) => troubleAt(waypoint, load, Math.min(2, crew))),
  }));
  const noLift = route.some(
    (r) => r.waypoint.kind === 'lift' && r.troubles.some((t) => t.load.name === 'tank'),
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
  const where = stairs ? ' on the stairs' : '';
  const each = `${rounded(limitKg, 1)} kg is recommended for one`;
  const crowded = people > MOST_HANDS;
  return {
    people,
    limitKg,
    stairs,
    multipliers,
    crowded,
    says: crowded
      ? `The empty tank is not for hands alone${where}: ${each}, it would take ${people}, and about ${MOST_HANDS} find room round it. Plan a glass lifter, a hoist or a mover.`
      : `${people} ${people === 1 ? 'person lifts' : 'people lift'} the empty tank${where}: ${each}.`,
  };
}

type Sentence = (what: string, where: string, has: string, is: string) => string;
const WHAT: Record<Trouble['kind'], { unit: string; says: Sentence }> = {
  width: { unit: 'mm', says: (what, where, has, is) => `${what} needs ${has} at ${where}, ${is} wide.` },
  height: { unit: 'mm', says: (what, where, has, is) => `${what} is ${has} high, ${where} ${is}.` },
  depth: {
    unit: 'mm',
    says: (what, where, has, is) => `${what} does not fit ${where}: ${has} long, ${is} deep.`,
  },
  turn: {
    unit: 'mm',
    says: (what, where, has, is) => `${what}, ${has} long, does not go round ${where}: ${is} is the longest.`,
  },
  mass: {
    unit: 'kg',
    says: (what, where, has, is) => `${what} and who rides along: ${has} in ${where}, rated ${is}.`,
  },
};

/** Pieces have names of their own; everything else is "the …". */
function called(name: string): string {
  return /^[A-Z]/.test(name) ? name : `the ${name}`;
}

function capital(words: string): string {
  return words[0].toUpperCase() + words.slice(1);
}

function troubleFinding(trouble: Trouble): Finding {
  const { unit, says } = WHAT[trouble.kind];
  const [has, is] = [trouble.measured, trouble.limit].map((v) => `${rounded(v, 0)} ${unit}`);
  return {
    id: `route.${trouble.kind}`,
    severity: 'stop',
    at: { field: 'site.route' },
    measured: rounded(trouble.measured, 0),
    limit: rounded(trouble.limit, 0),
    unit,
    says: says(capital(called(trouble.load.name)), called(trouble.waypoint.name), has, is),
    because: 'Find another way in, take a door off its hinges, or plan a smaller piece. Measure twice.',
    source: 'the way in, with a hand’s room at each side of a door',
  };
}

function teamFindings({ brief, site }: Commission, tank: Load, team: CarryingPlan['team']): Finding[] {
  if (!site?.route?.length || team.people <= brief.crew) return [];
  return [
    {
      id: 'route.team',
      severity: 'warn',
      at: { field: 'brief.crew' },
      measured: brief.crew,
      limit: team.people,
      unit: 'people',
      says: team.crowded
        ? `The empty tank weighs ${rounded(tank.massKg, 0)} kg: more than hands can share${team.stairs ? ' on the stairs' : ''}.`
        : `The empty tank weighs ${rounded(tank.massKg, 0)} kg: ${team.people} lift it${team.stairs ? ' on the stairs' : ''}, ${brief.crew} come.`,
      because: `${rounded(team.limitKg, 1)} kg is recommended for one, gripping glass. ${team.crowded ? 'Plan a glass lifter, a hoist or a mover.' : 'Bring help or suction grips.'} Local rules for lifting decide.`,
      source: 'NIOSH lifting equation, Waters et al. 1993 (from memory)',
    },
  ];
}
