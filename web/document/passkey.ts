import { wording } from '../words/wording';
import { people } from './people';

/*
 * Passkeys in this browser. They belong to a name: where a page was opened by the figures of an address, or without a safe
 * connection, no browser makes one.
 */

const FIGURES = /^[\d.]+$|:/;
/** Whether this browser can make and show passkeys for this page. */
export const canPasskey = () =>
  window.isSecureContext && 'PublicKeyCredential' in window && !FIGURES.test(window.location.hostname);

/** The library is fetched by who wants one. */
const library = () => import('@simplewebauthn/browser');

/** What a browser says of a device that makes none, or of somebody who thought better of it, is for programmers. */
async function asked<T>(answer: Promise<T>): Promise<T> {
  return answer.catch(() => {
    throw new Error(wording('people.passkey.none'));
  });
}

/** Makes a passkey and has the server keep it. Throws where the device makes none, or the person thinks better of it. */
export async function addPasskey(name: string, password: string): Promise<void> {
  const optionsJSON = await people.keyAsk(password);
  const { startRegistration } = await library();
  await people.addKey(name, await asked(startRegistration({ optionsJSON })));
}

/** Signs in with a passkey that the device has for this page. */
export async function signInWithPasskey(): Promise<void> {
  const optionsJSON = await people.signInAsk();
  const { startAuthentication } = await library();
  await people.signInKey(await asked(startAuthentication({ optionsJSON })));
}
