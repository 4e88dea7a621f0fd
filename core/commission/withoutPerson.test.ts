import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { parseCommission } from './parse';
import type { Commission } from './schema';
import { clientKey, withoutPerson } from './withoutPerson';

/** A document in which a client stands wherever anybody might write them. */
function ofCedar(): Commission {
  const d = structuredClone(example('held-root')) as any;
  d.title = 'Mrs Cedar, hall';
  d.brief.client = { name: 'Mrs Cedar', place: 'Linden Way 4', contact: '01 632 960 001' };
  d.brief.keeper = 'Mrs Cedar';
  d.options[0].title = 'Stones as MRS CEDAR wished';
  d.options[0].whoAsked = 'Mrs Cedar';
  d.options[0].pieces[0].notes = 'from Mrs Cedar’s garden';
  d.options[0].pieces[0].shape.found = 'Linden Way 4';
  d.options[0].plants[0].notes = 'her favourite';
  d.catalogue.materials[0].notes = 'Mrs Cedar has a bag of it';
  d.catalogue.materials[0].name = 'Slate of mrs cedar';
  d.catalogue.plants[0].notes = 'rang 01 632 960 001';
  d.vessel.fixed = [{ id: 'w', title: 'Cedar’s weir', at: [0, 0], sizeMm: [20, 20, 20] }];
  d.brief.sittings = [
    {
      id: 'h',
      kind: 'hardscape',
      day: '2027-01-12',
      title: 'Evening at Cedar’s',
      note: 'Mrs Cedar opens',
      tasks: ['stones'],
    },
  ];
  d.options[0].pieces[0].sitting = 'h';
  d.somewhere = { else: ['Mrs Cedar'] };
  return d;
}

describe('a document without its client', () => {
  it('says nothing of them, in whatever field they stood, and is one still', () => {
    const left = withoutPerson(ofCedar());
    expect(JSON.stringify(left)).not.toMatch(/cedar|linden|632 960|favourite|garden/i);
    expect(parseCommission(left)).toMatchObject({ ok: true });
    expect(left.brief.sittings).toEqual([
      { id: 'h', kind: 'hardscape', day: '2027-01-12', tasks: ['stones'] },
    ]);
  });

  it('keeps what the books need: sizes, packs, prices, places of stones', () => {
    const before = example('held-root');
    const left = withoutPerson({ ...structuredClone(before), brief: { ...before.brief, client: { name: 'Mrs Cedar' } } }); // prettier-ignore
    const packs = (d: Commission) => d.catalogue.materials.map((m) => [m.name, m.packs]);
    expect(packs(left)).toEqual(packs(before));
    expect(left.options[0].pieces.map((p) => p.at)).toEqual(before.options[0].pieces.map((p) => p.at));
    expect(left.vessel.innerMm).toEqual(before.vessel.innerMm);
    expect(left.brief.buildDay).toBe(before.brief.buildDay);
  });
});

describe('a client’s name', () => {
  it('is the same in any case, with any blanks, its accents written either way', () => {
    expect(clientKey(' Mrs\u00a0 CEDAR\t')).toBe(clientKey('mrs cedar'));
    expect(clientKey('Re\u0301mi')).toBe(clientKey('RÉMI'));
    expect(clientKey('Mr Cedar')).not.toBe(clientKey('Mrs Cedar'));
  });
});
