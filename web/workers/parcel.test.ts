import { describe, expect, it } from 'vitest';
import { example } from '../../core/testing/scape';
import { packer, unpacker } from './parcel';

describe('a commission on its way to the worker', () => {
  const commission = example('held-root');
  const [option] = commission.options;
  /** What structured cloning does to it on the way. */
  const send = <T>(value: T): T => structuredClone(value);

  it('arrives as it was, with the option looked at as the chosen one', () => {
    const arrived = unpacker()(send(packer()(commission, option)));
    expect(arrived).toEqual(commission);
  });

  it('sends beds and shapes once, and gives the same objects again', () => {
    const [pack, unpack] = [packer(), unpacker()];
    const first = pack(commission, option);
    expect(first.fresh).toHaveLength(1 + option.pieces.length);
    const before = unpack(send(first));
    const moved = {
      ...option,
      pieces: option.pieces.map((p) => ({ ...p, at: [10, 10] as [number, number] })),
    };
    const second = pack(commission, moved);
    expect(second.fresh).toEqual([]);
    const after = unpack(send(second));
    expect(after.options[0].bed).toBe(before.options[0].bed);
    expect(after.options[0].pieces[0].shape).toBe(before.options[0].pieces[0].shape);
    expect(after.options[0].pieces[0].at).toEqual([10, 10]);
  });

  it('sends a bed anew when it has been replaced', () => {
    const pack = packer();
    pack(commission, option);
    const raised = { ...option, bed: option.bed.map((l) => ({ ...l })) };
    expect(pack(commission, raised).fresh).toEqual([[4, raised.bed]]);
  });
});
