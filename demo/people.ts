import { openAuth } from '../server/people/auth';
import { addMember } from '../server/people/members';
import { addPerson, personOf } from '../server/people/people';
import type { Store } from '../server/store/store';

/** Made-up people, one of each kind, all with one password that is told: a second door to try, nothing for real work. */
const PASSWORD = 'slow river over slate';
const PEOPLE = [
  { name: 'Ines Hollow', email: 'ines@fenwick.example', role: 'owner' },
  { name: 'Tom Reed', email: 'tom@fenwick.example', role: 'designer' },
  { name: 'Ruth Marl', email: 'ruth@fenwick.example', role: 'books' },
  { name: 'Jo Alder', email: 'jo@fenwick.example', role: 'crew' },
  { name: 'Pim Sorrel', email: 'pim@fenwick.example', role: 'guest' },
] as const;

/** The commissions that they are put on. */
const ON = { 'jo@fenwick.example': ['demo-valley', 'demo-rescape'], 'pim@fenwick.example': ['demo-valley'] };

/** Gives the demo's studio accounts; the lines that say how to get in. */
export async function peopleOfDemo(store: Store): Promise<string[]> {
  const auth = await openAuth(store, { isSecure: false });
  for (const person of PEOPLE)
    if (!(await personOf(store, person.email)))
      await addPerson(store, auth, { ...person, password: PASSWORD });
  for (const [email, commissions] of Object.entries(ON)) {
    const { id } = (await personOf(store, email))!;
    for (const commission of commissions) await addMember(store, commission, id);
  }
  return [
    ...PEOPLE.map((p) => `  ${p.email}, ${p.name}, ${p.role}`),
    `The password of all of them: ${PASSWORD}`,
  ];
}
