import type { Commission, Option } from '../../core/commission/schema';

/**
 * A commission on its way to the worker. Beds and shapes are sent once and then named by a number, so that a
 * drag does not copy every stone at every frame, and the worker sees that they have not changed.
 */
export interface Parcel {
  commission: Omit<Commission, 'options'>;
  option: Omit<Option, 'bed' | 'pieces'> & {
    bed: number;
    pieces: (Omit<Option['pieces'][number], 'shape'> & { shape: number })[];
  };
  fresh: [number, object][];
}

/** Packs the one option that is looked at; remembers what the worker already has. */
export function packer(): (commission: Commission, option: Option) => Parcel {
  const names = new WeakMap<object, number>();
  let last = 0;
  return (commission, option) => {
    const fresh: [number, object][] = [];
    const named = (part: object) => {
      let name = names.get(part);
      if (name === undefined) {
        name = ++last;
        names.set(part, name);
        fresh.push([name, part]);
      }
      return name;
    };
    const { options: _options, ...rest } = commission;
    return {
      commission: rest as Parcel['commission'],
      option: {
        ...option,
        bed: named(option.bed),
        pieces: option.pieces.map((p) => ({ ...p, shape: named(p.shape) })),
      } as Parcel['option'],
      fresh,
    };
  };
}

/** The other end: the same objects again under the same names. */
export function unpacker(): (parcel: Parcel) => Commission {
  const parts = new Map<number, object>();
  return ({ commission, option, fresh }) => {
    for (const [name, part] of fresh) parts.set(name, part);
    const pieces = option.pieces.map((p) => ({ ...p, shape: parts.get(p.shape) }));
    return {
      ...commission,
      chosen: option.id,
      options: [{ ...option, bed: parts.get(option.bed), pieces }],
    } as unknown as Commission;
  };
}
