import { describe, expect, it } from 'vitest';
import { withParcel } from '../edits/parcels';
import { receivedFaults } from '../commission/receivedFaults';
import { plan } from '../pipeline/plan';
import { resolved } from '../testing/resolved';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import { say } from '../words/text';
import type { ComingLine } from './coming';
import { parcelFindings } from './parcelFindings';

const doc = example('held-root');
const plant = doc.catalogue.plants[0];
const [supplier] = doc.catalogue.suppliers;
const coming = (line: string, rest: Partial<ComingLine> = {}): ComingLine => ({
  line,
  name: line,
  pack: 'pack',
  supplier: supplier.id,
  supplierReference: 'GL-1',
  reference: 'ours-1',
  asked: 2,
  given: 2,
  packWords: say('pack.named', { count: 2, name: line }),
  day: '2027-01-12',
  ...rest,
});
const found = (lines: ComingLine[], today: string | undefined, of = doc) => parcelFindings(resolved(of), lines, today); // prettier-ignore

describe('a parcel with something living', () => {
  it('asks who opens it in the week before it comes, once', () => {
    const [said, ...rest] = found([coming(plant.id), coming(plant.id, { pack: 'other' })], '2027-01-08');
    expect(rest).toEqual([]);
    expect(said).toMatchObject({ id: 'order.opens', measured: 4, at: { supplier: supplier.id } });
    expect(inEnglish(said.says)).toContain('GL-1');
    for (const day of ['2027-01-04', '2027-01-13', undefined])
      expect(found([coming(plant.id)], day)).toEqual([]);
  });

  it('asks nothing of dry goods, of what does not come, of what was counted, or when somebody is named', () => {
    const received = { reference: 'ours-1', item: plant.id, pack: 'pack', came: 2, day: '2027-01-12' };
    for (const line of [
      coming('soil-granules'),
      coming(plant.id, { given: 0 }),
      coming(plant.id, { day: null }),
      coming(plant.id, { received }),
    ])
      // prettier-ignore
      expect(found([line], '2027-01-08')).toEqual([]);
    const named = withParcel(doc, 'ours-1', { openedBy: 'Ines' });
    expect(found([coming(plant.id)], '2027-01-08', named)).toEqual([]);
    // Where it stands says nothing of who is there.
    const stands = withParcel(doc, 'ours-1', { standsIn: 'tub by the window' });
    expect(found([coming(plant.id)], '2027-01-08', stands)).toHaveLength(1);
  });

  it('is said of once: by its reference, changed where it was, refused where it is there twice', () => {
    const named = withParcel(withParcel(doc, 'a', { openedBy: 'Ines' }), 'a', { standsIn: 'tub' });
    expect(named.parcels).toEqual([{ reference: 'a', openedBy: 'Ines', standsIn: 'tub' }]);
    expect(withParcel(named, 'a', { openedBy: undefined }).parcels).toEqual([
      { reference: 'a', standsIn: 'tub' },
    ]);
    const twice = { ...doc, parcels: [{ reference: 'a' }, { reference: 'a' }] };
    expect(receivedFaults(twice).map((f) => f.path)).toEqual(['parcels[1].reference']);
    expect(plan(named, { today: '2027-01-08' }).findings.map((f) => f.id)).not.toContain('order.opens');
  });
});
