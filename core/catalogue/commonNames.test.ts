import { describe, expect, it } from 'vitest';
import { SPECIES } from '../livestock/species';
import { commonNames, isCalled, NAMED } from './commonNames';
import { KNOWN_PLANTS } from './knownPlants';

const ALL = [...SPECIES, ...KNOWN_PLANTS].map((entry) => entry.name);
const called = (words: string) => ALL.filter((name) => isCalled(name, words));

describe('the names people use', () => {
  it.each([
    [
      'shrimp',
      ['Neocaridina davidi', 'Caridina cantonensis', 'Caridina multidentata', 'Atyopsis moluccensis'],
    ],
    ['cherry shrimp', ['Neocaridina davidi']],
    ['java fern', ['Microsorum pteropus', "Microsorum pteropus 'Trident'"]],
    ['Neon', ['Paracheirodon innesi', 'Paracheirodon axelrodi', 'Paracheirodon simulans', 'Hyphessobrycon herbertaxelrodi', 'Pseudomugil luminatus', 'Melanotaenia praecox']], // prettier-ignore
    ['harlequin', ['Trigonostigma heteromorpha']],
    ['java moss', ['Taxiphyllum barbieri']],
    ['eleocharis hairgrass', ['Eleocharis pusilla', 'Eleocharis acicularis', 'Eleocharis vivipara']],
    ['zebra fern', []],
  ])('%s finds what is meant', (words, names) => {
    expect(called(words)).toEqual(names);
  });

  it('all belong to something that is on a list, and every fish has one', () => {
    for (const name of NAMED) expect(ALL.some((known) => known.startsWith(name)), name).toBe(true); // prettier-ignore
    expect(SPECIES.filter((s) => commonNames(s.name) === '').map((s) => s.name)).toEqual([]);
  });
});
