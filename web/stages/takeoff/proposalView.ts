import type { Commission } from '../../../core/commission/schema';
import type { Offered } from '../../../core/commission/quoteSchema';
import { firstToOrder } from '../../../core/ordering/order';
import { frozen } from '../../../core/pricing/accepted';
import type { ProposalView } from '../../../core/pricing/proposalView';
import { sittingTitle } from '../../../core/sittings/sittings';
import { percentOf } from '../../../core/units/quantity';
import type { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

type Figures = ReturnType<typeof useFigures>;

/** The week in which a proposal shows it as it will be. */
export const SHOWN_WEEK = 8;

/** A proposal in the client's words, as the sheet has it and a link shows it; its pictures come with the sheet. */
export function proposalView(doc: Commission, plan: ShownPlan, f: Figures): Omit<ProposalView, 'pictures'> {
  const { brief, studio, quote: rules = {} } = doc;
  const option = doc.options.find((o) => o.id === plan.survey.optionId)!;
  const agreed = rules.accepted?.option === option.id ? rules.accepted : undefined;
  const { lines, taxMinor, totalMinor } = agreed ?? plan.quote;
  const given = <T extends object>(fields: T) => Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined && v !== '')) as T; // prettier-ignore
  return given({
    option: option.id,
    title: doc.title,
    client: brief.client?.name,
    place: brief.client?.place,
    studio: given({ name: studio?.name, address: studio?.address, phone: studio?.phone }),
    heading: option.title || wording('proposal.scape'),
    story: brief.story,
    made: madeOf(doc, plan, f),
    days: daysOf(plan, f),
    asks: wording('proposal.asks', { first: plan.care.weeks[0].minutes, last: plan.care.weeks[7].minutes }),
    lines: lines.filter((l) => l.minor !== 0).map((l) => ({ key: l.key, name: f.words(l.name), minor: l.minor })),
    tax: rules.tax && { name: rules.tax.name, percent: percentOf(rules.tax.share)!, minor: taxMinor },
    totalMinor,
    currency: doc.currency,
    validUntil: agreed ? undefined : rules.validUntil,
    notIncluded: rules.notIncluded,
    dependsOn: rules.dependsOn,
    terms: rules.terms,
  }); // prettier-ignore
}

/** The version that a yes to it freezes. */
export function offered(plan: ShownPlan, f: Figures): Offered {
  const { day: _day, by: _by, ...rest } = frozen(plan.quote, plan.survey.optionId, plan.build.buildDay, '', f.words); // prettier-ignore
  return rest;
}

/** What it is made of. */
function madeOf({ vessel }: Commission, { survey, takeOff }: ShownPlan, f: Figures): string[] {
  const { length, width, height } = vessel.innerMm;
  const size = [length, width, height].map((mm) => f.length(mm)).join(' × ');
  const plants = [...new Set(takeOff.lines.filter((l) => l.kind === 'plants').map((l) => f.words(l.name)))];
  const stone = survey.pieces.length;
  return [
    wording('proposal.tank', { size, water: f.volume(survey.freeWaterL, 0) }),
    stone ? wording('proposal.pieces', { count: stone, mass: f.mass(survey.pieces.reduce((n, p) => n + p.massKg, 0)) }) : '',
    plants.length ? wording('proposal.plants', { plants: plants.join(', ') }) : '',
  ].filter(Boolean);
} // prettier-ignore

/** When what happens, the soonest first. */
function daysOf({ order, build, care }: ShownPlan, f: Figures): { day: string; says: string }[] {
  const first = firstToOrder(order);
  return [
    ...(first ? [{ day: first.orderBy, says: wording('proposal.orderBy') }] : []),
    ...build.earlier.map((s) => ({ day: s.day, says: f.words(sittingTitle(s)) })),
    { day: build.buildDay, says: wording('proposal.build') },
    ...build.visits.map((v) => ({ day: v.day, says: wording('proposal.visit') })),
    { day: care.weeks[7].days[6].day, says: wording('proposal.weeks') },
  ].sort((a, b) => a.day.localeCompare(b.day));
}
