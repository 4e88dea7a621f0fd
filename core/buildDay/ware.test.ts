import { describe, expect, it } from 'vitest';
import { wareOnBench } from '../edits/placed';
import { before, carpet, ids, job, line, stone } from '../testing/job';
import { resolved } from '../testing/resolved';
import { parsed, piece, scape, soil } from '../testing/scape';

/* Pots and trays: what stands in a scape and is neither stone nor wood. */

const clay = (c: any) => c.materials.push({ id: 'pot', kind: 'ware', name: 'Clay pot', densityKgPerL: 1.6 }); // prettier-ignore
const pot = (rest: object = {}) => piece({ id: 'N-1', material: 'pot', at: [150, 180], shape: { kind: 'box', sizeMm: [120, 100, 80] }, stand: { kind: 'bed', buryMm: 40 }, ...rest }); // prettier-ignore
const with_ = (rest?: object) => job({ catalogue: clay, option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [stone(), pot(rest)], plants: [carpet] } }); // prettier-ignore

describe('a pot', () => {
  it('is set with the stones and before plants, bought by the piece, and no stone', () => {
    const p = with_();
    expect(p.build.tasks.find((t) => t.id === 'ware')!.title).toBe('Pots and trays: N-1');
    before(p, 'soil', 'ware', 'gaps');
    // 5 min and 0.96 L of 1.6 kg/L at 0.7 min a kg.
    expect(p.build.tasks.find((t) => t.id === 'ware')!.minutes).toBe(Math.round(5 + 0.96 * 1.6 * 0.7));
    expect(line(p, 'pot')!.needed).toEqual({ value: 1, unit: 'piece' });
    expect(p.survey.composition.stones).toBe(1);
    const bare = job({
      option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [stone()], plants: [carpet] },
    });
    expect(line(p, 'granite')!.needed.value).toBeCloseTo(line(bare, 'granite')!.needed.value, 9);
  });

  it('goes in before the soil where it stands on the glass', () => {
    const p = with_({ stand: { kind: 'floor' } });
    expect(ids(p)).not.toContain('ware');
    before(p, 'floor-stones', 'soil');
  });

  it('comes onto the bench by its outer sizes, on the glass, to be bought', () => {
    const doc = scape();
    const fresh = wareOnBench(
      doc,
      doc.options[0],
      { id: 'pot', kind: 'ware', name: 'Clay pot' },
      [200, 150, 90],
    );
    expect(fresh).toMatchObject({ shape: { kind: 'box', sizeMm: [200, 150, 90] }, stand: { kind: 'floor' }, origin: 'bought' }); // prettier-ignore
  });

  it('that leaves a tank is no bed that leaves: the soil under it stays', () => {
    const bed = [soil({ kind: 'level', mm: 60 })];
    const doc: any = structuredClone(scape());
    clay(doc.catalogue);
    doc.now = { bed, pieces: [pot()], joints: [], plants: [] };
    doc.brief.rescape = { stays: [], filterKept: false };
    Object.assign(doc.options[0], { bed: bed.map((l) => ({ ...l, now: l.id })), pieces: [], leaving: [{ of: 'pieces', id: 'N-1', to: 'stock' }] }); // prettier-ignore
    expect(resolved(parsed(doc)).brief.rescape!.stays).toEqual(['substrate']);
  });
});
