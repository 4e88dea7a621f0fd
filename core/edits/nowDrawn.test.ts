import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SMALL_KINDS } from '../commission/catalogueSchema';
import { pieceOrigin, plantingOrigin } from '../commission/origin';
import { parseCommission } from '../commission/parse';
import { plan } from '../pipeline/plan';
import { demoCommissions } from '../../demo/commissions';
import { anyJob, jobDocument } from '../testing/anyJob';
import { piece, scape, soil } from '../testing/scape';
import { begunFromNow, broughtBackFromNow, withNowDrawn, withWhereto } from './nowDrawn';

const stones = [piece({ origin: 'here', at: [200, 180], wasAt: [400, 180] }), piece({ id: 'S-2', at: [500, 180], origin: 'bought' })]; // prettier-ignore
const running = () => {
  const d = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: stones } });
  return { ...d, brief: { ...d.brief, rescape: { stays: ['substrate' as const], filterKept: true } } };
};

/** What goes by the litres that are new, and by what is taken out: a mark says neither. */
const BY_WATER = ['conditioner', 'bacteria', 'gypsum', 'bicarbonate', 'tests'];

/** What is done with stone, wood and beds. */
const HARD = ['move', 'floor-stones', 'stones', 'wood', 'filler', 'soil', 'sand', 'joints'];

const SMALL: readonly string[] = SMALL_KINDS;

describe('the tank as it is now', () => {
  it('is begun from what is marked as there, where that stood; the marks become links', () => {
    const d = withNowDrawn(running());
    expect(d.now!.bed.map((l) => l.id)).toEqual(['soil']);
    expect(d.now!.pieces.map((p) => [p.id, p.at])).toEqual([['S-1', [400, 180]]]);
    expect(d.options[0].pieces.map((p) => [p.id, p.now, p.origin, p.wasAt])).toEqual([['S-1', 'S-1', undefined, undefined], ['S-2', undefined, 'bought', undefined]]); // prettier-ignore
    const away = withNowDrawn({ ...running(), shelved: [{ ...running().options[0], id: 'b' }] });
    expect(away.shelved![0].pieces.map((p) => p.now)).toEqual(['S-1', undefined]);
    expect(withNowDrawn(d)).toBe(d);
    expect(parseCommission(d).ok).toBe(true);
  });

  it('stands on its own: what is to rest on something new rests in the bed, what is to grow on it is there all the same', () => {
    const d = running();
    const [first] = d.options[0].pieces;
    const fern = { id: 'P-1', plant: 'fern', count: 3, on: 'S-2', origin: 'here' as const };
    const onNew = { ...d, options: [{ ...d.options[0], pieces: [{ ...first, stand: { kind: 'on' as const, piece: 'S-2' } }, d.options[0].pieces[1]], plants: [fern], joints: [{ id: 'J', pieces: ['S-1', 'S-2'], method: 'tie' as const }] }] }; // prettier-ignore
    const drawn = withNowDrawn(onNew);
    expect(drawn.now).toMatchObject({
      pieces: [{ stand: { kind: 'bed' } }],
      plants: [{ id: 'P-1', count: 3 }],
      joints: [],
    });
    expect(parseCommission(drawn).ok).toBe(true);
  });

  it('asks for the same to be bought, poured and set as the marks did, in every sample that runs already', () => {
    const samples = [running(), ...demoCommissions('2026-11-25').filter((d) => d.brief.rescape && !d.now)];
    for (const d of samples) {
      const [marked, drawn] = [d, withNowDrawn(d)].map((one) => plan(one, { planted: 'later' }));
      const figures = (p: typeof marked) => p.takeOff.lines.filter((l) => !BY_WATER.includes(l.id)).map((l) => [l.id, l.needed.value, l.priceMinor]); // prettier-ignore
      expect(figures(drawn)).toEqual(figures(marked));
      // How much water there was is measured now; it was taken to be as much as there will be.
      for (const line of drawn.takeOff.lines.filter((l) => BY_WATER.includes(l.id) && l.id !== 'tests')) {
        const was = marked.takeOff.lines.find((l) => l.id === line.id)!;
        expect(line.needed.value / was.needed.value).toBeCloseTo(1, 1);
      }
      const set = (p: typeof marked) => p.build.tasks.filter((t) => ['move', 'stones', 'wood', 'soil', 'sand'].includes(t.id)).map((t) => [t.id, t.minutes]); // prettier-ignore
      expect(set(drawn)).toEqual(set(marked));
    }
  });

  it('asks for the same in any job of the trade that runs already', () => {
    let ran = 0;
    fc.assert(
      fc.property(anyJob, (job) => {
        const d = jobDocument(job);
        const [o] = d.options;
        const isHere = (id?: string) =>
          pieceOrigin(
            d,
            o.pieces.find((p) => p.id === id)!,
          ) === 'here';
        // What is in the tank on a stone that is only to come is a contradiction that marks did not see.
        const sound = o.plants.every((p) => p.on === undefined || plantingOrigin(d.brief, p) !== 'here' || isHere(p.on)); // prettier-ignore
        if (!d.brief.rescape || !sound) return;
        ran++;
        const [marked, drawn] = [d, withNowDrawn(d)].map((one) =>
          plan(one, { planted: 'later', cellMm: 20 }),
        );
        const isByWater = (id: string) =>
          id === 'test' || SMALL.includes(d.catalogue.materials.find((m) => m.id === id)?.kind ?? '');
        const bought = (p: typeof marked) => p.takeOff.lines.filter((l) => !isByWater(l.id)).map((l) => [l.id, l.needed.value]); // prettier-ignore
        expect(bought(drawn)).toEqual(bought(marked));
        const there = (p: typeof marked) =>
          p.build.tasks.flatMap((t) => (HARD.includes(t.id) ? t.id : [])).sort();
        expect(there(drawn)).toEqual(there(marked));
      }),
      { numRuns: 40 },
    );
    expect(ran).toBeGreaterThan(4);
  });

  it('is taken over into an option; what is taken away there goes somewhere, or comes back', () => {
    const d = withNowDrawn(running());
    const whole = begunFromNow(
      { ...d.options[0], leaving: [{ of: 'bed', id: 'soil', to: 'waste' }] },
      d.now!,
    );
    expect(whole.pieces).toMatchObject([{ id: 'S-1', now: 'S-1', at: [400, 180] }]);
    expect(whole.leaving).toBeUndefined();
    const bare = { ...whole, pieces: [] };
    const said = withWhereto(bare, { of: 'pieces', id: 'S-1' }, 'stock');
    expect(said.leaving).toEqual([{ of: 'pieces', id: 'S-1', to: 'stock' }]);
    expect(withWhereto(said, { of: 'pieces', id: 'S-1' }, undefined)).toEqual(bare);
    const back = broughtBackFromNow(said, d.now!, { of: 'pieces', id: 'S-1' });
    expect(back).toEqual(whole);
    expect(broughtBackFromNow(back, d.now!, { of: 'pieces', id: 'S-1' })).toBe(back);
  });
});
