import { materialOf } from '../commission/lookup';
import { plantOf } from '../catalogue/entries';
import type { Commission, Option } from '../commission/schema';
import { dayPlus, type Day } from '../calendar/day';
import type { Move } from '../sittings/move';
import { taskOfPiece, taskOfPlant, taskOfStrewn } from '../sittings/homes';
import { BUILD } from '../sittings/sittings';
import { withGiven } from './given';
import { freshId } from './ids';

type Sittings = NonNullable<Commission['brief']['sittings']>;
type Entry = Sittings[number];

/** Where a day has a sitting already, the next begins in the afternoon unless it is said. */
const AFTERNOON = '14:00';

/** The document with another sitting: on the eve of the build day where no day is said, the day after it for a visit. */
export function withSitting(document: Commission, kind: Entry['kind'], day?: Day): Commission {
  const { brief } = document;
  const list = brief.sittings ?? [];
  const on = day ?? dayPlus(brief.buildDay, kind === 'detail' ? 1 : -1);
  const start = list.some((s) => s.day === on) ? { start: AFTERNOON } : {};
  const entry: Entry = { id: freshId(kind, list), kind, day: on, ...start };
  return { ...document, brief: { ...brief, sittings: [...list, entry] } };
}

/** The document with some answers of a sitting changed; what is given as undefined is as usual again. */
export function withSittingChanged(document: Commission, id: string, change: Partial<Entry>): Commission {
  const { brief } = document;
  const changed = (brief.sittings ?? []).map((s) => (s.id === id ? withGiven(s, change) : s));
  return { ...document, brief: { ...brief, sittings: changed } };
}

/** The document without a sitting: its tasks belong where they do by themselves, its things likewise. */
export function withoutSitting(document: Commission, id: string): Commission {
  const { brief } = document;
  const { sittings: _sittings, ...rest } = brief;
  const left = (brief.sittings ?? []).filter((s) => s.id !== id);
  const free = <T extends { sitting?: string }>(thing: T): T => {
    if (thing.sitting !== id) return thing;
    const { sitting: _was, ...own } = thing;
    return own as T;
  };
  return {
    ...document,
    brief: left.length > 0 ? { ...brief, sittings: left } : rest,
    options: document.options.map((o) => mapped(o, free)),
    ...(document.shelved ? { shelved: document.shelved.map((o) => mapped(o, free)) } : {}),
  };
}

/** The document with tasks in other sittings; single things of a task that were in `from` by themselves go along. */
export function withMoves(document: Commission, moves: readonly Move[], from?: string): Commission {
  return moves.reduce((doc, move) => moved(doc, move, from), document);
}

function moved(document: Commission, move: Move, from: string | undefined): Commission {
  const { brief } = document;
  const { task, to, single } = move;
  const without = (tasks: readonly string[] | undefined) => (tasks ?? []).filter((t) => t !== task);
  const withIt = (id: string, tasks: readonly string[] | undefined) => [...without(tasks), ...(id === to ? [task] : [])]; // prettier-ignore
  const sittings = brief.sittings?.map((s) => listed(s, 'tasks', withIt(s.id, s.tasks)));
  const next = listed({ ...brief, ...(sittings ? { sittings } : {}) }, 'buildTasks', withIt(BUILD, brief.buildTasks)); // prettier-ignore
  const own = from === undefined ? document.options : document.options.map((o) => mappedOf(document, o, move, (t) => (t.sitting === from ? { ...t, sitting: to } : t))); // prettier-ignore
  return { ...document, brief: single ? brief : next, options: own };
}

/** A list that is empty is left out. */
function listed<T extends object, K extends keyof T>(of: T, key: K, list: readonly string[]): T {
  const { [key]: _was, ...rest } = of;
  return list.length > 0 ? ({ ...of, [key]: list } as T) : (rest as T);
}

type Change = <T extends { sitting?: string }>(thing: T) => T;

function mapped(option: Option, change: Change): Option {
  return { ...option, bed: option.bed.map(change), pieces: option.pieces.map(change), joints: option.joints.map(change), plants: option.plants.map(change), ...(option.strewn ? { strewn: option.strewn.map(change) } : {}) }; // prettier-ignore
}

/** The option with the things of one task changed. */
function mappedOf(document: Commission, option: Option, { task, layers = [] }: Move, change: Change): Option {
  const only = <T extends { sitting?: string }>(list: T[], isIts: (thing: T) => boolean) => list.map((t) => (isIts(t) ? change(t) : t)); // prettier-ignore
  return {
    ...option,
    bed: only(option.bed, (l) => layers.includes(l.id)),
    pieces: only(option.pieces, (p) => task === taskOfPiece(p, materialOf(document, p.material).kind)),
    joints: only(option.joints, () => task === 'joints'),
    plants: only(option.plants, (p) => task === taskOfPlant(plantOf(document, p.plant))),
    ...(option.strewn
      ? { strewn: only(option.strewn, (s) => task === taskOfStrewn(materialOf(document, s.material))) }
      : {}),
  };
}
