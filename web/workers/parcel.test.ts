import { describe, expect, it } from 'vitest';
import type { Commission, Option } from '../../core/commission/schema';
import { plan } from '../../core/pipeline/plan';
import { example } from '../../core/testing/scape';
import { packer, unpacker } from './parcel';

describe('a commission on its way to the worker', () => {
  const commission = example('held-root');
  const [option] = commission.options;
  /** What structured cloning does to it on the way. */
  const send = <T>(value: T): T => structuredClone(value);
  const moved = (x: number): Option => ({
    ...option,
    pieces: option.pieces.map((p) => ({ ...p, at: [x, 10] as [number, number] })),
  });

  it('arrives with all that is computed from, the option looked at as the chosen one', () => {
    const arrived = unpacker()(send(packer()(commission, option)));
    expect(arrived).toEqual(commission);
  });

  it('leaves at home what nothing is computed from, and is planned alike', () => {
    const full: Commission = {
      ...commission,
      shelved: [{ ...option, id: 'aside' }],
      log: [
        { id: 'n', date: '2026-11-26', text: 'rang' },
        { id: 'r', date: '2027-02-01', text: 'rang again', reading: { ammoniaMgL: 1, nitriteMgL: 0 } },
      ],
      pictures: [],
    };
    const parcel = packer()(full, option);
    expect(JSON.stringify(parcel)).not.toMatch(/aside|rang|pictures/);
    const today = '2026-11-26';
    const arrived = unpacker()(send(parcel));
    expect(JSON.stringify(plan(arrived, { today }))).toBe(JSON.stringify(plan(full, { today })));
    expect(plan(arrived, { today }).findings.map((f) => f.id)).toContain('care.reading');
  });

  it('sends every part once, and gives the same objects again', () => {
    const [pack, unpack] = [packer(), unpacker()];
    const first = pack(commission, option);
    const before = unpack(send(first));
    const second = pack(commission, moved(10));
    expect(second.fresh).toEqual([]);
    const after = unpack(send(second));
    expect(after.catalogue).toBe(before.catalogue);
    expect(after.vessel).toBe(before.vessel);
    expect(after.options[0].bed).toBe(before.options[0].bed);
    expect(after.options[0].pieces[0].shape).toBe(before.options[0].pieces[0].shape);
    expect(after.options[0].pieces[0].at).toEqual([10, 10]);
  });

  it('sends anew what was replaced, and nothing else', () => {
    const pack = packer();
    pack(commission, option);
    const raised = { ...option, bed: option.bed.map((l) => ({ ...l })) };
    expect(pack(commission, raised).fresh.map(([, part]) => part)).toEqual([raised.bed]);
  });

  it('keeps neither here nor there what was not wanted for long, and sends it again when it is', () => {
    const [pack, unpack] = [packer(), unpacker()];
    const arrive = (o: Option) => unpack(send(pack(commission, o)));
    const brushed = () => ({ ...option, bed: option.bed.map((l) => ({ ...l })) });
    arrive(option);
    const few = unpack.has();
    for (let stroke = 0; stroke < 400; stroke++) arrive(brushed());
    // Sixty strokes for undo, not four hundred.
    expect(unpack.has()).toBeLessThan(few + 70);
    expect(arrive(option)).toEqual(commission);
  });
});
