import { openAuth } from '../server/people/auth';
import { addPerson, personOf } from '../server/people/people';
import type { Store } from '../server/store/store';

/** Three made-up people, all with one password that is told: a second door to try, nothing for real work. */
const PASSWORD = 'slow river over slate';
const PEOPLE = [
  { name: 'Ines Hollow', email: 'ines@fenwick.example', role: 'owner' },
  { name: 'Tom Reed', email: 'tom@fenwick.example', role: 'designer' },
  { name: 'Ruth Marl', email: 'ruth@fenwick.example', role: 'designer' },
] as const;

/** Gives the demo's studio accounts; the lines that say how to get in. */
export async function peopleOfDemo(store: Store): Promise<string[]> {
  const auth = await openAuth(store, { isSecure: false });
  for (const person of PEOPLE)
    if (!(await personOf(store, person.email)))
      await addPerson(store, auth, { ...person, password: PASSWORD });
  return [
    ...PEOPLE.map((p) => `  ${p.email}, ${p.name}, ${p.role}`),
    `The password of all three: ${PASSWORD}`,
  ];
}
