import { toSettle } from '../../core/words/finding';
import { withoutPrice } from '../../core/takeoff/cost';
import { carriageAsked, firstToOrder } from '../../core/ordering/order';
import type { Said } from '../../core/words/text';
import { NOW } from '../../core/commission/scapes';
import type { Commission, Option } from '../../core/commission/schema';
import { gearOf, paidBeside } from '../../core/gear/gear';
import { materialOf } from '../../core/commission/lookup';
import { clockOf } from '../../core/buildDay/buildPlan';
import { daysFrom } from '../../core/calendar/day';
import { isUsualPointLoad } from '../../core/site/floorLoad';
import { longDay } from '../units/days';
import { money, useFigures } from '../units/figures';
import type { ShownPlan } from '../workers/planWorker';
import { wording } from '../words/wording';

/** One row of the side-by-side sheet for one option. */
export interface OptionFigure {
  name: string;
  text: string;
  below: string;
}

interface Says {
  volume: (l: number) => string;
  mass: (kg: number) => string;
  money: (minor: number) => string;
  day: (day: string) => string;
  words: (said: Said) => string;
}

/** The same for a component, in the units of whoever reads. */
export function useOptionFigures() {
  const { volume, mass, words } = useFigures();
  return (plan: ShownPlan, option: Option, doc: Commission) =>
    figuresOf(plan, option, doc, {
      volume: (l) => volume(l),
      mass: (kg) => mass(kg),
      money: (minor) => money(minor, doc.currency),
      day: longDay,
      words,
    });
}

/** Litres, stone, plants, cost, days, upkeep and findings of an option, in the words of the sheet. */
export function figuresOf(plan: ShownPlan, option: Option, doc: Commission, says: Says): OptionFigure[] {
  const { survey, takeOff, order, build, care, findings } = plan;
  const ofKind = (kind: 'stone' | 'wood') =>
    survey.pieces.filter((p) => materialOf(doc, p.material).kind === kind);
  const stoneKg = ofKind('stone').reduce((kg, p) => kg + p.massKg, 0);
  const [stones, wood] = [ofKind('stone').length, ofKind('wood').length];
  const plugs = survey.plantings.reduce((sum, p) => sum + p.plugs, 0);
  const species = new Set(option.plants.map((p) => p.plant)).size;
  const first = firstToOrder(order)?.orderBy;
  const { gas, lots } = paidBeside({ brief: doc.brief, gear: gearOf(doc) });
  const settle = toSettle(findings);
  const unpriced = withoutPrice(takeOff).length;
  const carriage = carriageAsked(order);
  const rows = [
    { name: 'Free water', text: says.volume(survey.freeWaterL), below: `${says.volume(survey.bedL)} of bed` },
    {
      name: 'Stone and wood',
      text: says.mass(stoneKg),
      below: `${stones} ${stones === 1 ? 'stone' : 'stones'}${wood ? `, ${wood} of wood` : ''}`,
    },
    { name: 'Plants', text: wording('stages.plugs', { count: plugs }), below: `${species} species` },
    {
      name: 'Material',
      text: says.money(order.totalMinor),
      below: [carriage ? wording('takeOffStage.carriage', { cost: says.money(carriage) }) : '', gas ? `and ${says.money(gas)} for CO2` : '', lots ? `and ${says.money(lots)} for lots` : '', unpriced ? `${unpriced} without a price` : ''].filter(Boolean).join('; '), // prettier-ignore
    },
    {
      name: 'Order by',
      text: first ? says.day(first) : 'nothing to order',
      below: first ? wording('optionFigures.daysBefore', { days: daysFrom(first, doc.brief.buildDay) }) : '',
    },
    {
      name: 'Build day',
      text: `done at ${clockOf(build.startTime, build.doneMin)}`,
      below: wording('optionFigures.day', { tasks: build.tasks.length, people: build.crew.length }),
    },
    {
      name: 'Upkeep',
      text: `${care.weeks[0].minutes} min in week 1`,
      below: `${care.weeks[7].minutes} min in week 8`,
    },
    { name: 'On the floor', text: says.mass(survey.floorKg), below: isUsualPointLoad(survey.floorKg) ? wording('optionFigures.asFurniture') : 'ask a structural engineer' }, // prettier-ignore
    {
      name: 'To settle',
      text: settle.length === 0 ? 'nothing' : String(settle.length),
      below: settle
        .slice(0, 4)
        .map((x) => says.words(x.says))
        .join(' '),
    },
  ];
  // Nothing is bought for what stands there, and nothing is done to it.
  return option.id === NOW ? rows.map((r) => (OF_NOW.includes(r.name) ? r : { ...r, text: '', below: '' })) : rows; // prettier-ignore
}

/** What is measured of the tank as it is now. */
const OF_NOW = ['Free water', 'Stone and wood', 'Plants', 'On the floor'];
