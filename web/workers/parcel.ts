import type { Commission, LogEntry, Option } from '../../core/commission/schema';

/**
 * A commission on its way to the worker. Parts are sent once and then named by a number, so that a drag
 * copies neither stones nor the catalogue at every frame, and the worker sees that they have not changed.
 * What nothing is computed from, options put aside, pictures and the words of the log, stays here.
 */
export interface Parcel {
  /** Fields of the document; the larger ones by their number. */
  plain: Partial<Commission>;
  parts: Partial<Record<Part, number>>;
  option: Omit<Option, 'bed' | 'joints' | 'plants' | 'pieces'> & {
    bed: number;
    joints: number;
    plants: number;
    pieces: (Omit<Option['pieces'][number], 'shape'> & { shape: number })[];
  };
  fresh: [number, object][];
  /** Parts that were not used for long: the worker need not keep them. */
  gone: number[];
}

const PARTS = [
  'brief',
  'vessel',
  'site',
  'studio',
  'now',
  'catalogue',
  'quote',
  'received',
  'parcels',
  'taken',
  'candidates',
] as const;
type Part = (typeof PARTS)[number] | 'log';

/** Of the log what anything is computed from: readings without their words, and questions. */
function readingsOf(log: readonly LogEntry[]): object {
  const old = read.get(log);
  if (old) return old;
  const rows = log.flatMap((e) => (e.kind === 'question' ? [e] : e.reading ? [{ id: e.id, date: e.date, text: '', reading: e.reading }] : [])); // prettier-ignore
  read.set(log, rows);
  return rows;
}
const read = new WeakMap<readonly LogEntry[], object>();

/** Parcels after which a part that was in none of them is forgotten: undo and a look at another option find it again. */
const KEPT_FOR = 64;

interface Known {
  name: number;
  lastUsed: number;
}

/** Packs the one option that is looked at; remembers what the worker has, and when it was last wanted. */
export function packer(): (commission: Commission, option: Option) => Parcel {
  const known = new Map<object, Known>();
  let [last, turn] = [0, 0];
  return (commission, option) => {
    turn++;
    const fresh: [number, object][] = [];
    const named = (part: object): number => {
      const old = known.get(part);
      if (old) {
        old.lastUsed = turn;
        return old.name;
      }
      known.set(part, { name: ++last, lastUsed: turn });
      fresh.push([last, part]);
      return last;
    };
    const parts: Parcel['parts'] = {};
    for (const key of PARTS) {
      const part = commission[key];
      if (part) parts[key] = named(part);
    }
    if (commission.log?.some((e) => e.reading || e.kind === 'question'))
      parts.log = named(readingsOf(commission.log));
    const { format, version, title, currency } = commission;
    return {
      plain: { format, version, title, currency },
      parts,
      option: {
        ...option,
        bed: named(option.bed),
        joints: named(option.joints),
        plants: named(option.plants),
        pieces: option.pieces.map((p) => ({ ...p, shape: named(p.shape) })),
      } as Parcel['option'],
      fresh,
      gone: forgotten(known, turn),
    };
  };
}

/** Takes out what no parcel had for long, and names it. */
function forgotten(known: Map<object, Known>, turn: number): number[] {
  const gone: number[] = [];
  for (const [part, { name, lastUsed }] of known)
    if (turn - lastUsed >= KEPT_FOR) {
      known.delete(part);
      gone.push(name);
    }
  return gone;
}

/** The other end: the same objects again under the same names. `has` tells how many it keeps. */
export function unpacker(): ((parcel: Parcel) => Commission) & { has(): number } {
  const objects = new Map<number, object>();
  const unpack = ({ plain, parts, option, fresh, gone }: Parcel): Commission => {
    for (const [name, object] of fresh) objects.set(name, object);
    for (const name of gone) objects.delete(name);
    const part = (name: number) => objects.get(name);
    return {
      ...plain,
      ...Object.fromEntries(Object.entries(parts).map(([key, name]) => [key, part(name)])),
      chosen: option.id,
      options: [
        {
          ...option,
          bed: part(option.bed),
          joints: part(option.joints),
          plants: part(option.plants),
          pieces: option.pieces.map((p) => ({ ...p, shape: part(p.shape) })),
        },
      ],
    } as unknown as Commission;
  };
  return Object.assign(unpack, { has: () => objects.size });
}
