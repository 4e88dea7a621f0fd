import { isUsualPointLoad } from '../core/site/floorLoad';
import { clockOf, endsOf } from '../core/buildDay/buildPlan';
import type { SittingPlan } from '../core/buildDay/sittingPlan';
import { visitTitle } from '../core/buildDay/visits';
import type { Commission } from '../core/commission/schema';
import { carriageAsked, orderByOf } from '../core/ordering/order';
import { partsInOrder, type Planted, type PlantedPlan } from '../core/planted/planted';
import { preparationOf } from '../core/planting/preparation';
import type { WayOut } from '../core/planted/waysOut';
import { ofFirstVisit } from '../core/pipeline/firstVisit';
import type { Plan } from '../core/pipeline/plan';
import { amount } from '../core/units/money';
import { sittingTitle } from '../core/sittings/sittings';
import { rounded, unitFor, type Quantity } from '../core/units/quantity';
import { inEnglish } from '../core/words/english';
import { say, type Text } from '../core/words/text';

export type Part =
  | 'takeoff'
  | 'order'
  | 'difference'
  | 'build'
  | 'care'
  | 'brief'
  | 'planting'
  | 'quote'
  | 'shop';

/** A command's answer for reading in a terminal. */
export function table(
  part: Part | 'validate',
  commission: Commission,
  plan: Plan,
  planted?: PlantedPlan,
): string {
  const body = {
    validate: () => ['The document is complete.'],
    takeoff: () => takeOffRows(commission, plan),
    order: () => orderRows(commission, plan),
    difference: () => differenceRows(plan),
    build: () => buildRows(plan),
    care: () => careRows(plan),
    brief: () => briefRows(commission, plan),
    planting: () => plantingRows(commission, planted!),
    quote: () => quoteRows(commission, plan),
    shop: () => shopRows(commission, plan),
  }[part]();
  return (
    [
      heading(commission, plan),
      '',
      ...body,
      '',
      ...findingRows(
        part === 'brief'
          ? plan.findings.filter(ofFirstVisit)
          : [...plan.findings, ...(planted?.findings ?? [])],
      ),
    ].join('\n') + '\n'
  );
}

function heading({ title, brief }: Commission, { survey }: Plan): string {
  return `${title} · build day ${brief.buildDay} · ${rounded(survey.freeWaterL, 1)} L free water · ${rounded(survey.floorKg, 0)} kg on the floor`;
}

function figure({ value, unit }: Quantity): string {
  return `${rounded(value, unit === 'm²' ? 4 : 2)} ${unitFor(value, unit)}`;
}

function money(commission: Commission, minor: number): string {
  return `${amount(minor, commission.currency)} ${commission.currency}`;
}

/** Plantings in the order in which they are planted, with the numbers of their plugs and what is done to them first. */
function plantingRows(commission: Commission, { parts, order, living }: PlantedPlan): string[] {
  const inOrder = partsInOrder({ parts, order });
  const light = (p: Planted) => (living.lit ? `${p.meanDli.toFixed(1)} mol/m²/d` : 'no lamp listed');
  const { rows, tools, minutes } = preparationOf(parts);
  const words = (texts: readonly Text[]) => texts.map((t) => inEnglish(t)).join(', ');
  return [
    ...aligned([
      ['nos.', 'plant', 'plugs', 'packs', 'apart', 'light', 'closes', 'prepare'],
      ...inOrder.map((p) => [
        numbersOf(p),
        p.planting.on ? `${p.plant.name}, on ${p.planting.on}` : p.plant.name,
        String(p.count),
        p.missing > 0 ? `${p.planting.packs} of ${p.packsNeeded}` : String(p.packsNeeded),
        p.spacingMm === undefined ? '' : `${p.spacingMm} mm`,
        light(p),
        p.cover?.on ?? (p.spacingMm === undefined ? '' : 'does not close'),
        words(rows.get(p.id) ?? []),
      ]),
    ]),
    ...(inOrder.length > 0
      ? ['', `tools  ${words(tools)}; about ${Math.round(minutes)} min to prepare`]
      : []),
    ...inOrder.flatMap((p) => wayRows(commission, p)),
  ];
}

/** The ways out where the packs leave a part bare. */
function wayRows(commission: Commission, { plant, missing, waysOut }: Planted): string[] {
  if (waysOut.length === 0) return [];
  const way = (w: WayOut) =>
    [
      inEnglish(w.says),
      ...(w.priceMinor > 0 ? [money(commission, w.priceMinor)] : []),
      w.on === undefined ? 'does not close' : `closes ${w.on}`,
    ].join(', ');
  return ['', `${plant.name}, ${missing} plugs short: one of`, ...waysOut.map((w) => `  ${way(w)}`)];
}

/** From the first to the last of its plugs. */
function numbersOf({ firstNo, spots }: Planted): string {
  const last = firstNo + spots.length / 3 - 1;
  if (spots.length === 0) return 'by eye';
  return last > firstNo ? `${firstNo}-${last}` : String(firstNo);
}

/** Every thing of the tank as it is now with what of it stays, is set again and leaves, and where that goes. */
function differenceRows({ before }: Plan): string[] {
  if (!before) return ['The tank as it is now is not drawn: nothing is known of what stays and what goes.'];
  const cell = (value: number, unit: string) => (value > 0 ? figure({ value, unit: unit as Quantity['unit'] }) : '·'); // prettier-ignore
  return aligned([
    ['id', 'what', 'there', 'stays', 'set again', 'leaves', 'to'],
    ...before.lines.map((l) => [
      l.id,
      inEnglish(l.name),
      ...[l.there, l.stays, l.moved, l.left].map((n) => cell(n, l.unit)),
      l.left > 0 ? inEnglish(say(`whereto.${l.to ?? 'open'}`)) : '',
    ]),
  ]);
}

/** Columns padded to their widest cell. */
function aligned(rows: string[][]): string[] {
  const widths = rows[0]?.map((_, i) => Math.max(...rows.map((r) => r[i].length))) ?? [];
  return rows.map((r) =>
    r
      .map((cell, i) => cell.padEnd(widths[i]))
      .join('  ')
      .trimEnd(),
  );
}

function briefRows({ site }: Commission, { visit, survey, care }: Plan): string[] {
  const { water, heat, power, floor, carrying } = visit;
  const { first } = water;
  const l = (v: number) => `${rounded(v, 1)} L`;
  return aligned([
    [
      'water',
      `${l(survey.brimL)} to the brim, ${l(survey.waterLineL)} to the line, ${l(survey.freeWaterL)} free`,
    ],
    [
      'floor',
      `${rounded(floor.totalKg, 0)} kg, ${rounded(floor.baseKnPerM2, 1)} kN/m²${isUsualPointLoad(floor.totalKg) ? ', as furniture of that mass' : ': ask a structural engineer'}`, // prettier-ignore
    ],
    [
      'first fill',
      `${l(first.tapColdL)} cold, ${l(first.tapHotL)} hot, ${l(first.roL)} RO: ${rounded(first.celsius, 1)} °C, GH ${rounded(first.gh, 1)}, KH ${rounded(first.kh, 1)}`,
    ],
    [
      'warmth',
      `${rounded(heat.loss.totalW, 0)} W at ${heat.roomC[0]} °C in the room, rule of thumb ${heat.thumbW.map((w) => rounded(w, 0)).join(' to ')} W`,
    ],
    [
      'power',
      `${power.watts} W, ${power.plugs} plugs${site?.sockets === undefined ? '' : `, ${site.sockets} sockets`}`,
    ],
    [
      'lifting',
      `${carrying.team.people} for the empty tank, ${rounded(carrying.team.limitKg, 1)} kg each at most (NIOSH, advice)`,
    ],
    ['upkeep', `${care.weeks[0].minutes} min in week 1, ${care.weeks[7].minutes} min in week 8`],
  ]);
}

function takeOffRows(commission: Commission, { takeOff, order }: Plan): string[] {
  const carriage = carriageAsked(order);
  const rows = takeOff.lines.map((l) => [
    inEnglish(l.name),
    figure(l.measured),
    figure(l.needed),
    l.packWords ? inEnglish(l.packWords) : l.priced ? 'nothing to buy' : 'no pack in the catalogue',
    orderByOf(order, l.id) ?? '',
    money(commission, l.priceMinor),
  ]);
  return [
    ...aligned([['item', 'measured', 'needed', 'packs', 'order by', 'price'], ...rows]),
    `total ${money(commission, order.totalMinor)}${carriage ? `, ${money(commission, carriage)} of it carriage` : ''}`,
  ];
}

/** What the client is asked, and below it what it costs the studio. */
function quoteRows(commission: Commission, { quote }: Plan): string[] {
  const { tax } = commission.quote ?? {};
  const sum = (minor: number) => money(commission, minor);
  return [
    ...aligned([
      ...quote.lines.map((l) => [inEnglish(l.name), sum(l.minor)]),
      ['net', sum(quote.netMinor)],
      ...(tax ? [[`${tax.name} ${rounded(tax.share * 100, 2)} %`, sum(quote.taxMinor)]] : []),
      ['total', sum(quote.totalMinor)],
    ]),
    '',
    `For the studio: ${sum(quote.costMinor)} paid for, ${sum(quote.marginMinor)} margin, ${quote.hours} h, ${quote.days} ${quote.days === 1 ? 'day' : 'days'} there`,
    ...quote.open.map((what) => OPEN[what]),
  ];
}

/** Shop by shop and aisle by aisle: how much, from which size to which. */
function shopRows(commission: Commission, { shopping }: Plan): string[] {
  if (shopping.shops.length === 0) return ['Nothing is bought in a shop: mark a supplier as one, and pin lines to it.'];
  return [
    ...shopping.shops.flatMap((s) => [
      `${s.name}: by ${s.by ?? 'any day'}${s.open ? `, open ${s.open.join(' to ')}` : ''}, ${money(commission, s.totalMinor)}`,
      ...aligned(
        s.aisles.flatMap((a) =>
          a.lines.map((l) => [
            `  ${figure(l.missing)} of ${figure(l.wanted)}`,
            inEnglish(l.name),
            l.sizesMm ? `${l.sizesMm.count} pieces, ${rounded(l.sizesMm.from, 0)} to ${rounded(l.sizesMm.to, 0)} mm` : '',
            l.packWords.map(inEnglish).join(' + '),
          ]),
        ),
      ),
    ]),
    ...(shopping.leftMinor === undefined ? [] : ['', `left of the budget: ${money(commission, shopping.leftMinor)}`]),
  ];
} // prettier-ignore

/** What nobody has said, and what that means for the sum. */
const OPEN = {
  hour: 'no price of an hour: the work is not in it',
  travel: 'no price of a day of travel: the way is not in it',
  price: 'something that is bought has no price: it is not in it',
} as const;

function orderRows(commission: Commission, { order }: Plan): string[] {
  return order.suppliers.flatMap((s) => [
    `${s.name}: order by ${s.orderBy ?? 'no day'}${s.cutOff ? ` ${s.cutOff}` : ''}, ${money(commission, s.totalMinor)}${s.carriageMinor ? ` and ${money(commission, s.carriageMinor)} carriage` : ''}`,
    ...aligned(
      s.lines.map((l) => [
        `  ${inEnglish(l.packWords)}`,
        inEnglish(l.name),
        `arrives by ${l.arriveBy ?? 'no day'}`,
        `order by ${l.orderBy ?? 'no day'}`,
      ]),
    ),
  ]);
}

/** Tasks on their clock, who does them and what to mind. */
function taskRows({ startTime, tasks, crew }: Pick<SittingPlan, 'startTime' | 'tasks' | 'crew'>): string[] {
  const clock = (min: number) => clockOf(startTime, min);
  return aligned(
    tasks.map((t) => [
      `${clock(t.startMin)}–${clock(t.endMin)}`,
      t.crew.map((p) => inEnglish(crew[p])).join(' + '),
      inEnglish(t.title),
      t.caution ? `! ${inEnglish(t.caution)}` : '',
    ]),
  );
}

/** A sitting before the build day: its tasks, and how it leaves the tank. */
function sittingRows(sitting: SittingPlan): string[] {
  return [
    '',
    `${sitting.day}  ${inEnglish(sittingTitle(sitting))}`,
    ...taskRows(sitting),
    ...(sitting.left ? [`  ${inEnglish(sitting.left.says)}`, `  ! ${inEnglish(sitting.left.never)}`] : []),
  ];
}

function buildRows({ build }: Plan): string[] {
  return [
    ...build.beforehand.map(
      (b) =>
        `${b.day}  ${inEnglish(b.title)} (${inEnglish(b.detail)})${b.because ? ` ${inEnglish(b.because)}` : ''}`,
    ),
    ...build.earlier.flatMap(sittingRows),
    ...(build.earlier.length > 0 ? ['', `${build.buildDay}  ${inEnglish(say('sitting.build'))}`] : []),
    ...taskRows(build),
    inEnglish(endsOf(build)),
    ...build.visits.flatMap((v) => [
      '',
      `${v.day}  ${inEnglish(visitTitle(v))}, ${v.minutes} min`,
      ...v.tasks.map((t) => `  ${inEnglish(t.title)}: ${inEnglish(t.detail)}`),
    ]),
  ];
}

function careRows({ care }: Plan): string[] {
  const weeks = care.weeks.flatMap((w) => [
    `week ${w.week}: light ${w.hours} h at ${rounded(w.outputShare * 100, 0)} %, ${w.minutes} min`,
    ...w.days.flatMap((d) => {
      const what = [
        d.change && `change ${rounded(d.change.litres, 1)} L`,
        d.test && 'test',
        d.doses > 0 && `${d.doses} ${d.doses === 1 ? 'dose' : 'doses'}`,
        ...d.events.map(inEnglish),
      ].filter(Boolean);
      return what.length > 0 ? [`  ${d.day}  ${what.join(', ')}`] : [];
    }),
  ]);
  const dry = care.dryFrom ? [`dry start: planted ${care.dryFrom}, filled ${care.buildDay}`] : [];
  const later = care.later.map((l) => `  ${l.day}  ${inEnglish(l.what)}`);
  return [...dry, ...weeks, ...(later.length > 0 ? ['after that', ...later] : [])];
}

function findingRows(findings: Plan['findings']): string[] {
  if (findings.length === 0) return ['no findings'];
  return findings.map(
    (f) => `${f.severity.padEnd(4)}  ${f.id}  ${inEnglish(f.says)} ${inEnglish(f.because)}`,
  );
}
