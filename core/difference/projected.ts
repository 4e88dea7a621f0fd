import { newUnlessSaid } from '../commission/origin';
import type { Brief, Commission, Now, Option, Planting } from '../commission/schema';
import { STAYING_PARTS } from '../commission/usual';
import type { Survey } from '../survey/survey';
import { surveyOfNow } from './nowSurvey';
import { difference, type Difference, type DifferenceLine } from './difference';

/** The tank as it is now, as every stage asks for it: drawn, measured, and what becomes of it. */
export interface Before {
  now: Now;
  survey: Survey;
  difference: Difference;
}

/** What was there before the option that was surveyed; undefined where nobody drew it, and for the tank as it is now itself. */
export function beforeOf(commission: Commission, option: Option, then: Survey): Before | undefined {
  const there = surveyOfNow(commission);
  if (!there || there.optionId === option.id) return undefined;
  const now = commission.now!;
  return { now, survey: there, difference: difference(commission, now, there, option, then) };
}

/** Of a bed that is shaped anew a handful more or less is neither bought nor a bed that goes: share of it, and L (common practice). */
const HANDFUL_SHARE = 0.03;
const HANDFUL_L = 0.1;
const handfulOf = (litres: number) => Math.max(HANDFUL_L, HANDFUL_SHARE * litres);

/**
 * The option with what follows for each of its things from what was there, said as it is said of things that nobody drew:
 * where a piece stood, litres of a layer that are there already, plugs at hand. What is of nothing that was there, and of which
 * nothing is said, is new. So no stage knows two kinds of being there.
 */
export function optionAfter(option: Option, { now, difference: { kept, lines } }: Before): Option {
  const left = new Map(lines.map((l) => [`${l.of} ${l.id}`, l]));
  return {
    ...option,
    bed: option.bed.map((l) => {
      const k = l.now === undefined ? undefined : kept.get(`bed ${l.id}`)!;
      if (!k) return newUnlessSaid(l);
      return k.wants - k.has <= handfulOf(k.wants) ? ofHere(l) : { ...ofHere(l), presentL: k.has };
    }),
    pieces: option.pieces.map((p) => {
      const was = p.now === undefined ? undefined : now.pieces.find((q) => q.id === p.now)!;
      if (!was) return newUnlessSaid(p);
      return { ...ofHere(p), wasAt: was.at };
    }),
    plants: option.plants.map((p) => {
      const k = p.now === undefined ? undefined : kept.get(`plants ${p.id}`)!;
      if (!k) return newUnlessSaid(p);
      const { now: of, ...rest } = ofHere(p);
      // What stays as it is is left alone; what is moved, or of which more is wanted, is planted with what there is of it.
      const isAsItWas = asked(p) === asked(now.plants.find((q) => q.id === of)!);
      const isLeftAlone = left.get(`plants ${of}`)!.moved === 0 && (isAsItWas || k.wants <= k.has);
      if (isLeftAlone) return { ...rest, origin: 'here' };
      // All of it lifted here, its leaves have grown under water.
      const grown = rest.form === undefined && k.has >= k.wants ? ({ form: 'running' } as const) : {};
      return { ...rest, ...grown, origin: 'bought', ownPlugs: k.has };
    }),
  };
} // prettier-ignore

/** What is there comes out of no other scape, whatever was said before it was drawn. */
function ofHere<T extends { from?: string }>(thing: T): T {
  if (thing.from === undefined) return thing;
  const { from: _from, ...rest } = thing;
  return rest as unknown as T;
}

/** What a planting is to cover, and how: by a bed that rises under it nobody is asked to plant more. */
const asked = ({ region, spacingMm, count, share }: Planting) =>
  JSON.stringify([region, spacingMm, count, share]);

const kindOf = ({ of, kind }: DifferenceLine): (typeof STAYING_PARTS)[number] => {
  if (of === 'plants') return 'plants';
  if (kind === 'wood' || kind === 'stone') return kind;
  // A pot stays or goes as a stone does.
  if (of === 'pieces') return 'stone';
  // Lava in a heap is filler, and what fills a bed is of it.
  return 'substrate';
};

/** Pieces of what was there that are set again: elsewhere, higher or lower, or turned. */
export function setAgain({ difference: { lines } }: Before): ReadonlySet<string> {
  return new Set(lines.filter((l) => l.of === 'pieces' && l.moved > 0).map((l) => l.id));
}

/** Part of a layer beyond which what stands in it does not stand any more. */
const MOST_OF_IT = 0.5;

/** Layers of what was there of which so much goes that nothing keeps standing in them, with their lines. */
export function bedsThatGo({ difference: { lines } }: Before): ReadonlyMap<string, DifferenceLine> {
  return new Map(lines.filter((l) => l.of === 'bed' && l.left > MOST_OF_IT * l.there).map((l) => [l.id, l]));
}

/** Of what is set again, what has to be lifted before the bed in which it stands is taken out. */
export function liftedFirst(before: Before): ReadonlySet<string> {
  const [gone, again] = [bedsThatGo(before), setAgain(before)];
  const stood = before.survey.pieces.filter((p) => again.has(p.id) && p.restsIn !== undefined && gone.has(p.restsIn)); // prettier-ignore
  return new Set(stood.map((p) => p.id));
}

/** What is taken out, thing by thing. */
export function takenOut({ difference: { lines } }: Before): DifferenceLine[] {
  const least = { L: handfulOf, kg: () => 0, plug: (n: number) => HANDFUL_SHARE * n };
  return lines.filter((l) => l.left > least[l.unit](l.there));
}

/**
 * The answers about a running tank, as they follow from the drawing: what stays is the kinds of which nothing is taken out. Of
 * a kind that nobody drew the answer holds.
 */
export function rescapeAfter({ rescape }: Pick<Brief, 'rescape'>, before: Before): NonNullable<Brief['rescape']> {
  const drawn = new Set(before.difference.lines.map(kindOf));
  const goes = new Set(takenOut(before).map(kindOf));
  const said = (part: (typeof STAYING_PARTS)[number] | 'water') => rescape?.stays.includes(part) ?? false;
  const stays = STAYING_PARTS.filter((part) => (drawn.has(part) ? !goes.has(part) : said(part)));
  return { filterKept: false, ...rescape, stays: [...stays, ...(said('water') ? ['water' as const] : [])] };
} // prettier-ignore
