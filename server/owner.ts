import { stdin, stdout } from 'node:process';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { z } from 'zod';
import { dataFolder } from './dataFolder';
import { openAuth } from './people/auth';
import { addPerson, personOf, resetPassword } from './people/people';
import { passwordFault } from './people/passwords';
import { openStore } from './store/store';

/*
 * npm run owner -- "NAME" ADDRESS: makes the first account, or another owner's, here on the machine; where that address has one
 * already it gets a new password and is signed out everywhere. The password is asked for, or read from what is piped in.
 */

async function main(): Promise<void> {
  const [name, address] = process.argv.slice(2);
  const email = z.email().safeParse(address);
  if (!name?.trim() || !email.success)
    throw new Error('Say who: npm run owner -- "Your name" you@example.com. The password is asked for then.');
  const store = await openStore(dataFolder());
  try {
    const auth = await openAuth(store, { isSecure: false });
    const known = await personOf(store, email.data);
    if (known) stdout.write(`${email.data} has an account already: it gets a new password.\n`);
    const password = await passwordAsked();
    if (known) {
      await resetPassword(store, auth, known.id, password);
      stdout.write(
        `${known.name} has a new password and is signed out everywhere; codes and passkeys are set up anew.\n`,
      );
    } else {
      await addPerson(store, auth, { name: name.trim().slice(0, 200), email: email.data, role: 'owner', password }); // prettier-ignore
      stdout.write(`${name.trim()} is an owner of this studio. From now on everybody signs in, here too.\n`);
    }
  } finally {
    await store.close();
  }
}

/** Typed twice without being shown; or one line of what is piped in. */
async function passwordAsked(): Promise<string> {
  const first = await line('Password, three or four words: ');
  const fault = passwordFault(first);
  if (fault) throw new Error(fault);
  if (stdin.isTTY && (await line('The same once more: ')) !== first)
    throw new Error('The two are not the same. Nothing was changed.');
  return first;
}

async function line(asks: string): Promise<string> {
  if (!stdin.isTTY) {
    let text = '';
    for await (const part of stdin) text += String(part);
    return text.split(/\r?\n/)[0];
  }
  stdout.write(asks);
  const unseen = new Writable({ write: (_part, _encoding, done) => done() });
  const prompt = createInterface({ input: stdin, output: unseen, terminal: true });
  const answer = await prompt.question('');
  prompt.close();
  stdout.write('\n');
  return answer;
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
