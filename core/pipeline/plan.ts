import type { Day } from '../calendar/day';
import { buildPlan, type BuildPlan } from '../buildDay/buildPlan';
import { pastFindings } from '../buildDay/dayFindings';
import { onTheHour } from '../buildDay/onTheHour';
import { missingFindings } from '../buildDay/missing';
import { plantedPlan, type PlantedPlan } from '../planted/planted';
import { carePlan, type CarePlan } from '../care/carePlan';
import { paidBeside } from '../gear/gear';
import { NOW } from '../commission/scapes';
import type { Commission } from '../commission/schema';
import { shownOf, type Shown } from '../difference/shown';
import { firstFill } from '../filling/firstFill';
import { gearFindings } from '../findings/gearFindings';
import { candidateFindings } from '../findings/candidateFindings';
import { questionFindings } from '../findings/questionFindings';
import type { Placed } from '../ordering/confirmation';
import { asPlanned } from '../ordering/asPlanned';
import { bought } from '../ordering/bought';
import { order, type Order } from '../ordering/order';
import { surveyFindings } from '../findings/findings';
import type { Shelf, Take } from '../stock/shelf';
import { leftOver, type Over } from '../stock/afterBuild';
import { lineOffers, type LineOffer } from '../stock/lineOffer';
import { shelfFindings } from '../stock/shelfFindings';
import { takesOf } from '../stock/takes';
import { survey, type Survey, type SurveyAsk } from '../survey/survey';
import { takeOff, type TakeOff } from '../takeoff/takeOff';
import { booksOf, type Books } from '../pricing/books';
import { quoteOf, type Quote } from '../pricing/quote';
import { resolve, type Resolved } from '../resolved/resolved';
import { bySeverity, type Finding } from '../words/finding';
import { shoppingOf, type Shopping } from '../staging/shopping';
import { say } from '../words/text';
import { visit, type VisitPlan } from '../visit/visit';
import { majorOf } from '../units/money';
import { reservedFindings, type Elsewhere } from '../yard/reserved';

/** Everything that follows from one option of a commission. */
export interface Plan {
  survey: Survey;
  /** The tank as it is now, and what becomes of everything in it, where somebody drew it. */
  before?: Shown;
  /** Left out where it was put off. */
  planted?: PlantedPlan;
  visit: VisitPlan;
  takeOff: TakeOff;
  order: Order;
  /** What comes off the studio's own shelf. */
  takes: Take[];
  /** Lines that can be had off it, and what goes there when all is built. */
  shelfOffers: LineOffer[];
  over: Over[];
  /** What is bought in the hand, shop by shop. */
  shopping: Shopping;
  build: BuildPlan;
  care: CarePlan;
  /** What the client is asked for it. */
  quote: Quote;
  /** Budget against actual, and its rows for the studio's books. */
  books: Books;
  findings: Finding[];
}

export interface PlanAsk extends SurveyAsk {
  /** The day against which order-by days are held; without it nothing is late. */
  today?: Day;
  /**
   * What is planted, where it has been worked out; `later` where nobody waits for it: the guide then says nothing yet of trims
   * and of what closes.
   */
  planted?: PlantedPlan | 'later';
  /** Where else pieces of the studio’s yard stand, as far as that is known. */
  elsewhere?: Elsewhere;
  /** What stands on the studio's shelf, and what other commissions take of it, as far as that is known. */
  shelf?: Shelf;
  /** Orders that suppliers have confirmed. */
  placed?: readonly Placed[];
}

/** The whole road from a drawn scape to its care, in one call. */
export function plan(commission: Commission, ask: PlanAsk = {}): Plan {
  const measured = survey(commission, ask);
  const job = resolve(commission, measured);
  const visited = visit(job, measured);
  const needed = takeOff(job, measured);
  const taken = bought(job, needed, ask.today, ask.placed);
  const ordered = order(job, taken, ask.today, ask.placed);
  const priced = hasBegun(job, ask.placed)
    ? asPlanned(job, needed, job.quote?.accepted?.day ?? ask.today)
    : { takeOff: taken, order: ordered };
  const planted = ask.planted ?? plantedPlan(job, measured);
  const build = buildPlan(job, measured);
  const takes = takesOf(job, measured, taken.lines);
  const coming = ordered.suppliers.flatMap((s) => s.coming);
  const care = carePlan(
    job,
    measured,
    planted === 'later' ? [] : planted.parts,
    build.visits.filter((v) => v.drainL > 0).map((v) => v.afterDays),
  );
  const quote = quoteOf(job, { ...priced, build });
  return {
    survey: measured,
    ...(job.before ? { before: shownOf(job.before, firstFill(job, measured)) } : {}),
    ...(planted === 'later' ? {} : { planted }),
    visit: visited,
    takeOff: taken,
    order: ordered,
    takes,
    shelfOffers: lineOffers(job, taken.lines, coming, takes, ask.shelf),
    over: leftOver(job, taken.lines, coming),
    shopping: shoppingOf(job, measured, taken, ordered, ask.placed),
    build,
    care,
    quote,
    books: booksOf(job, { takeOff: taken, order: ordered, quote }, ask.placed, ask.today),
    findings: ofScape(measured.optionId, [
      ...surveyFindings(job, measured),
      ...reservedFindings(commission, measured.optionId, ask.elsewhere ?? {}),
      ...visited.findings,
      ...gearFindings(job, measured),
      ...ordered.findings,
      ...build.findings,
      ...onTheHour(job, build, coming),
      ...missingFindings(job, measured, ordered.findings),
      ...pastFindings(build, ask.today),
      ...questionFindings(job, ask.today),
      ...candidateFindings(job, ask.today),
      ...shelfFindings(job, takes, ask.shelf),
      ...care.findings,
      ...budgetFindings(job, ordered),
    ]),
  };
}

/** True once a yes was said, or something confirmed or taken: what is bought from then on, and by which day, is no matter of the client's. */
const hasBegun = ({ taken = [], quote }: Resolved, placed: readonly Placed[] = []) =>
  quote?.accepted !== undefined || taken.length + placed.length > 0;

/** What can be wrong about the drawing of a tank that stands there; all else stands as it stands. */
const OF_DRAWING: readonly Finding['id'][] = ['piece.overlaps', 'piece.air'];

/** Findings of a scape, the most severe first; of the tank as it is now only what is amiss with its drawing. */
function ofScape(id: string, findings: readonly Finding[]): Finding[] {
  return bySeverity(id === NOW ? findings.filter((f) => OF_DRAWING.includes(f.id)) : findings);
}

/** What the cost that is held against the budget is of. */
function budgetSays({ gas, lots }: ReturnType<typeof paidBeside>) {
  if (gas && lots) return 'cost.budget.says.both';
  return gas ? 'cost.budget.says.gas' : lots ? 'cost.budget.says.lots' : 'cost.budget.says';
}

function budgetFindings(commission: Resolved, { totalMinor }: Order): Finding[] {
  const { brief, currency } = commission;
  const beside = paidBeside(commission);
  const cost = totalMinor + beside.all;
  if (brief.budgetMinor === undefined || cost <= brief.budgetMinor) return [];
  return [
    {
      id: 'cost.budget',
      severity: 'warn',
      at: { field: 'brief.budgetMinor' },
      measured: majorOf(cost, currency),
      limit: majorOf(brief.budgetMinor, currency),
      unit: currency,
      says: say(budgetSays(beside), {
        cost: { minor: cost, currency },
        agreed: { minor: brief.budgetMinor, currency },
      }),
      because: say('cost.budget.because'),
      source: say('source.brief'),
    },
  ];
}
