import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { withAnimal, withSpecies } from './animals';

const empty = example('level-cube');

describe('an animal that is asked for', () => {
  it('comes in a group as it is kept, once', () => {
    const asked = withSpecies(empty, 'paracheirodon-innesi');
    expect(asked.brief.livestock).toEqual([{ species: 'paracheirodon-innesi', count: 10 }]);
    expect(withSpecies(asked, 'paracheirodon-innesi')).toBe(asked);
    expect(withSpecies(empty, 'nobody')).toBe(empty);
  });

  it('is known to the commission from then on where the list does not have it, under an id of its own', () => {
    const asked = withAnimal(empty, { name: 'Moss crab', kind: 'shrimp', group: 3 });
    expect(asked.catalogue.animals).toEqual([
      { id: 'moss-crab', name: 'Moss crab', kind: 'shrimp', group: 3 },
    ]);
    expect(asked.brief.livestock).toEqual([{ species: 'moss-crab', count: 3 }]);
    const two = withAnimal(asked, { name: 'Moss crab', kind: 'shrimp' });
    expect(two.catalogue.animals!.map((a) => a.id)).toEqual(['moss-crab', 'moss-crab-2']);
    // The studio's own keeps its id, and what the commission knows of it already.
    const again = withAnimal(asked, { id: 'moss-crab', name: 'Moss crab', kind: 'fish' });
    expect(again.catalogue.animals).toEqual(asked.catalogue.animals);
  });
});
