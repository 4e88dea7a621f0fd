import type { Animal } from '../../../core/commission/schema';

/** What is said of an animal before it has an id of its own. */
export type NewAnimal = Pick<Animal, 'name' | 'kind' | 'adultMm' | 'group' | 'tempC'>;
