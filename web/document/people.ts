import { shallowRef } from 'vue';
import type {
  PublicKeyCredentialCreationOptionsJSON as NewKeyQuestion,
  PublicKeyCredentialRequestOptionsJSON as SignInQuestion,
} from '@simplewebauthn/browser';
import { SIGHTS, type Sight } from '../../core/commission/sight';
import { wording } from '../words/wording';
import { call, mustSignIn } from './api';

/* Who is here, and what they may: asked of the server once, and again when somebody has signed in or out. */

export type Role = 'owner' | 'designer' | Sight;
/** What not everybody may. */
type Told =
  | 'house'
  | 'kept'
  | 'priceLists'
  | 'erase'
  | 'standIns'
  | 'people'
  | 'members'
  | 'history'
  | 'links'
  | 'create'
  | 'change'
  | 'week'
  | 'studio'
  | 'prices'
  | 'glances'
  | 'order'
  | 'photograph'
  | 'pictures';
export interface Person {
  id: string;
  name: string;
  email: string;
  role: Role;
}
interface Me {
  /** Nobody has an account: whoever sits at the machine may do everything. */
  open: boolean;
  person?: Person;
  may?: Told[];
}

export const me = shallowRef<Me>();
let asking: Promise<void> | undefined;

/** Asks who is here, once. Without an answer everything is shown; the server decides all the same. */
export function lookWhoIsHere(): Promise<void> {
  return (asking ??= call<Me>('GET', '/people/me').then(
    (answer) => {
      me.value = answer;
      if (!answer.open && !answer.person) mustSignIn.value = true;
    },
    () => (asking = undefined),
  ));
}

/**
 * Looks whether whoever was let in is in: a browser that takes no cookies would ask for the password for ever.
 *
 * @throws an Error in words where it is so
 */
export async function mustBeIn(): Promise<void> {
  const { open, person } = await call<Me>('GET', '/people/me');
  if (!open && !person) throw new Error(wording('people.noCookies'));
}

/** Whether somebody may do something, as the server's table has it; what is not known yet is not hidden. */
export const may = (what: Told) => me.value?.may?.includes(what) ?? true;

/** With how much in it whoever is here sees a commission; undefined for all of it. */
export const mySight = (): Sight | undefined => SIGHTS.find((s) => s === me.value?.person?.role);

/** A device on which one is signed in. */
export interface Device {
  id: string;
  since: string;
  used: string;
  device: string | null;
  isThis: boolean;
}
export interface Waiting {
  id: string;
  name: string;
  role: Role;
  until: string;
  /** Who has an account already and gets in again with it. */
  personId: string | null;
}
/** A passkey of one's own. */
export interface Passkey {
  id: string;
  name: string;
  madeAt: string;
  usedAt: string | null;
}
/** What can happen with accounts and links, as the server's journal has it. */
export type Done =
  | 'made'
  | 'signed-in'
  | 'invited'
  | 'invitation-withdrawn'
  | 'role-changed'
  | 'removed'
  | 'password-changed'
  | 'password-set-on-machine'
  | 'all-signed-out'
  | 'link-given'
  | 'link-withdrawn'
  | 'put-on'
  | 'taken-off'
  | 'file-taken'
  | 'studio-taken'
  | 'client-handed-over'
  | 'client-erased'
  | 'codes-on'
  | 'codes-off'
  | 'codes-lost'
  | 'key-added'
  | 'key-removed'
  | 'let-in-again'
  | 'got-in-again';
/** Somebody who can be on a commission. */
export interface Member {
  id: string;
  name: string;
  role: Role;
  on: boolean;
}
export interface JournalLine {
  at: string;
  what: Done;
  who: string | null;
}

const json = JSON.stringify;
const on = (id: string) => `/commissions/${encodeURIComponent(id)}/people`;
export const people = {
  /** Says where a code is asked for besides. */
  signIn: (email: string, password: string) =>
    call<{ code?: true } | undefined>('POST', '/people/sign-in', json({ email, password })),
  signInCode: (code: string) => call('POST', '/people/sign-in/code', json({ code })),
  signInAsk: () => call<SignInQuestion>('POST', '/people/sign-in/key/ask', '{}'),
  signInKey: (response: object) => call('POST', '/people/sign-in/key', json({ response })),
  keys: () => call<{ keys: Passkey[]; codes: boolean }>('GET', '/people/keys'),
  keyAsk: (password: string) => call<NewKeyQuestion>('POST', '/people/keys/ask', json({ password })),
  addKey: (name: string, response: object) => call('POST', '/people/keys', json({ name, response })),
  dropKey: (id: string) => call('DELETE', `/people/keys/${encodeURIComponent(id)}`),
  beginCodes: (password: string) => call<{ uri: string; paper: string[] }>('POST', '/people/codes', json({ password })), // prettier-ignore
  codesOn: (code: string) => call('POST', '/people/codes/on', json({ code })),
  codesOff: (password: string) => call('POST', '/people/codes/off', json({ password })),
  letInAgain: (id: string) =>
    call<{ secret: string }>('POST', `/people/${encodeURIComponent(id)}/again`, '{}'),
  again: (secret: string, password: string) => call('POST', '/people/again', json({ secret, password })),
  members: (id: string) => call<{ people: Member[] }>('GET', `${on(id)}`),
  setOn: (id: string, person: string, isOn: boolean) => call(isOn ? 'PUT' : 'DELETE', `${on(id)}/${encodeURIComponent(person)}`), // prettier-ignore
  signOut: () => call('POST', '/people/sign-out', '{}'),
  invited: (secret: string) => call<{ name: string; role: Role; isAgain: boolean }>('POST', '/people/invitation', json({ secret })), // prettier-ignore
  join: (asked: { secret: string; name: string; email: string; password: string }) => call('POST', '/people/join', json(asked)), // prettier-ignore
  password: (current: string, next: string) => call('POST', '/people/password', json({ current, next })),
  devices: () => call<{ sessions: Device[] }>('GET', '/people/sessions'),
  signOutThere: (id: string) => call('DELETE', `/people/sessions/${encodeURIComponent(id)}`),
  all: () => call<{ people: (Person & { since: string })[]; invitations: Waiting[] }>('GET', '/people'),
  invite: (name: string, role: Role) => call<{ secret: string }>('POST', '/people/invitations', json({ name, role })), // prettier-ignore
  withdraw: (id: string) => call('DELETE', `/people/invitations/${id}`),
  setRole: (id: string, role: Role) => call('PUT', `/people/${encodeURIComponent(id)}`, json({ role })),
  remove: (id: string) => call('DELETE', `/people/${encodeURIComponent(id)}`),
  journal: () => call<{ lines: JournalLine[] }>('GET', '/people/journal'),
};
