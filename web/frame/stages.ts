import { withoutPrice } from '../../core/takeoff/cost';
import type { Commission } from '../../core/commission/schema';
import type { ShownPlan } from '../workers/planWorker';
import { daysAway, shortDay } from '../units/days';
import { wording } from '../words/wording';

/** A layer of the strata: a stage, what it says of itself, and how far it is filled (0 to 1). */
export interface Stratum {
  name: string;
  /** The page that it leads to. */
  page?: string;
  title: string;
  says: string;
  filled: number;
  /** Not worked out yet. */
  isPending?: boolean;
}

export const STAGES: readonly [string, string][] = [
  ['brief', 'Brief'],
  ['vessel', 'Vessel'],
  ['bench', 'Bench'],
  ['planting', 'Planting'],
  ['take-off', 'Take-off'],
  ['order', 'Order'],
  ['build', 'Build day'],
  ['handover', 'Handover'],
  ['log', 'Log'],
];

/** The stage that a page is of: what is printed stands beside what it is printed from. */
const PAGE_OF: Readonly<Record<string, string>> = {
  'visit-sheet': 'brief',
  'setting-out': 'bench',
  'planting-plan': 'planting',
  'run-sheet': 'build',
  quote: 'take-off',
  shopping: 'order',
  then: 'log',
};
export const stageOfPage = (name: unknown) => PAGE_OF[String(name)] ?? String(name);

/** Words by which people look for what is on a stage. */
export const ALSO: Readonly<Record<string, string>> = {
  brief: 'client seat window fish shrimp animal add budget currency school keeper crew date',
  vessel: 'tank water litres how many floor power heater filter lamp light gear way in',
  bench: 'add stone hill layer sand wood yard hardscape composition',
  planting: 'add plant carpet stem moss light flow',
  'take-off': 'quantities quote price cost money bags how much',
  order: 'supplier delivery send buy calendar',
  build: 'run sheet day tasks minutes people water',
  handover: 'care guide water change calendar dates feed',
  log: 'note reading test visit',
};

type Saying = Pick<Stratum, 'says' | 'filled' | 'isPending'>;

/** Where a commission stands, stage by stage. */
export function strataOf(
  document: Commission,
  plan: ShownPlan | undefined,
  volume: (l: number) => string,
): Stratum[] {
  const option =
    document.options.find((o) => o.id === (plan?.survey.optionId ?? document.chosen)) ?? document.options[0];
  const { brief } = document;
  const answers = [
    brief.client?.name,
    brief.story,
    brief.budgetMinor,
    brief.keeper,
    brief.minutesAWeek,
    brief.daylight ?? brief.window,
  ];
  const answered = answers.filter((a) => a !== undefined && a !== '').length / answers.length;
  const site = document.site ?? {};
  const facts = [site.route, site.devices, site.sockets, site.tap, site.roomC];
  const noted = facts.filter((x) => x !== undefined).length / facts.length;
  const stops =
    plan?.findings.filter((f) => f.at.piece !== undefined || f.at.layer !== undefined).length ?? 0;
  const priced = plan ? 1 - withoutPrice(plan.takeOff).length / Math.max(1, plan.takeOff.lines.length) : 0;
  const plugs = plan?.survey.plantings.reduce((sum, p) => sum + p.plugs, 0) ?? 0;
  /** Nothing is said of what is not worked out yet. */
  const known = (saying: Saying): Saying => (plan ? saying : { says: '', filled: 0, isPending: true });
  const suppliers = plan?.order.suppliers.length ?? 0;
  const done = plan?.order.suppliers.filter((s) => s.lines.length === 0).length ?? 0;
  const orderBy = plan?.order.suppliers.flatMap((s) => (s.orderBy ? [s.orderBy] : [])).sort()[0];
  const log = document.log?.length ?? 0;
  const drawn = option.bed.length > 0 || option.pieces.length > 0;
  const said: Record<string, Saying> = {
    brief: {
      says: answered === 1 ? 'complete' : `${answers.length - Math.round(answered * answers.length)} open`,
      filled: 0.2 + 0.8 * answered,
    },
    vessel: {
      says: plan ? `${volume(plan.survey.waterLineL)} at the line` : '',
      isPending: !plan,
      filled: 0.5 + 0.5 * noted,
    },
    bench: drawn
      ? known({
          says: stops ? `${stops} ${stops === 1 ? 'finding' : 'findings'}` : 'sound',
          filled: stops ? 0.7 : 1,
        })
      : { says: 'empty', filled: 0 },
    planting: known({
      says: plugs ? wording('stages.plugs', { count: plugs }) : 'nothing planted',
      filled: plugs ? 1 : 0,
    }),
    'take-off': known({
      says: priced === 1 ? 'priced' : `${Math.round(priced * 100)} % priced`,
      filled: priced,
    }),
    order: known({
      says: done
        ? `${done} of ${suppliers} confirmed`
        : orderBy
          ? `by ${shortDay(orderBy)}`
          : 'nothing to order',
      filled: suppliers ? done / suppliers : 0,
    }),
    build: { says: `${shortDay(brief.buildDay)}, ${daysAway(brief.buildDay)}`, filled: drawn ? 0.5 : 0 },
    handover: { says: '8 weeks', filled: brief.schools?.water ? 0.5 : 0.2 },
    log: { says: log ? `${log} ${log === 1 ? 'note' : 'notes'}` : '', filled: log ? 0.3 : 0 },
  };
  return STAGES.map(([name, title]) => ({ name, title, ...said[name] }));
}
