import type { Animal, Commission } from '../commission/schema';
import { speciesIn } from '../livestock/known';
import { SPECIES } from '../livestock/species';
import { freshId, idOfName } from './ids';

/** A commission that asks for an animal of the list, or of its own, in a group as it is kept; asked for already, it stays as it is. */
export function withSpecies(commission: Commission, id: string): Commission {
  const species = speciesIn(commission, id);
  const wished = commission.brief.livestock ?? [];
  if (!species || wished.some((s) => s.species === id)) return commission;
  const livestock = [...wished, { species: id, count: species.group }];
  return { ...commission, brief: { ...commission.brief, livestock } };
}

/** A commission that knows an animal which the list does not have, and asks for it. Without an id it gets one of its name. */
export function withAnimal(
  commission: Commission,
  animal: Pick<Animal, 'name' | 'kind' | 'group'> & Partial<Pick<Animal, 'id'>>,
): Commission {
  const own = commission.catalogue.animals ?? [];
  const id = animal.id ?? freshId(idOfName(animal.name, 'animal'), [...own, ...SPECIES]);
  const animals = own.some((a) => a.id === id) ? own : [...own, { ...animal, id } as Animal];
  return withSpecies({ ...commission, catalogue: { ...commission.catalogue, animals } }, id);
}
