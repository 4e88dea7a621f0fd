import { ref } from 'vue';
import { changesBetween } from '../../core/commission/changes';
import { merged } from '../../core/commission/merge';
import { api, ApiProblem, type Gone } from './api';
import { today } from '../units/days';
import { allDrafts, dropDraft, dropOldHistories, forget, keptCommissions, type Draft } from './journal';
import { livingTabs, tabName } from './tab';

/*
 * Sends what waits of commissions that are not open: typed while the server was away, or in a tab that was
 * closed. One tab of a browser does it at a time.
 */

const FIRST_MS = 1_500;
const AGAIN_MS = 20_000;
/** Saves that race with somebody else's, before it is left for later. */
const TRIES = 3;
/** Days after which a draft of a commission that this server never had is let go. */
const STRANGE_DAYS = 30;
/** How often it is asked what became of a commission of which something is kept here. */
const ASKED_AGAIN_MS = 3_600_000;

/** Commissions of which something waits here and could not be sent. */
export const waitingHere = ref<string[]>([]);

let openNow = () => '';
/** Says which commission is open in this tab: its draft is looked after by the tab itself. */
export function openIs(asked: () => string): void {
  openNow = asked;
}

/** Sends the waiting drafts of one commission, or of all. */
export async function sendWaiting(only?: string): Promise<void> {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  const work = () => sendAll(only).catch(() => {});
  if (locks) await locks.request('utsuwa outbox', work);
  else await work();
}

async function sendAll(only?: string): Promise<void> {
  const [tab, living] = await Promise.all([tabName(), livingTabs()]);
  const mine = (await allDrafts()).filter(
    (d) => d.commission !== openNow() && (d.tab === tab || !living.has(d.tab)),
  );
  const left: string[] = [];
  for (const draft of mine) {
    if (only !== undefined && draft.commission !== only) left.push(draft.commission);
    else if (!(await sent(draft))) left.push(draft.commission);
  }
  waitingHere.value = [...new Set(left)];
  if (only === undefined) await forgetGone();
}

/** When each commission of which something is kept here was last asked about. */
const askedAt = new Map<string, number>();

/** What was erased or deleted elsewhere leaves nothing in this browser, though nothing of it waited to be sent. */
async function forgetGone(): Promise<void> {
  await dropOldHistories(today());
  for (const id of await keptCommissions()) {
    if (id === openNow() || Date.now() - (askedAt.get(id) ?? 0) < ASKED_AGAIN_MS) continue;
    askedAt.set(id, Date.now());
    const gone = await api.orders(id).then(() => undefined, goneFor);
    if (gone && gone !== 'removed') await forget(id);
  }
}

/** What became of the commission that an answer was about. */
function goneFor(error: unknown): Gone | undefined {
  return error instanceof ApiProblem && error.status === 410 ? error.body.gone : undefined;
}

/** True when nothing of the draft waits any more. */
async function sent(draft: Draft): Promise<boolean> {
  const { commission, tab } = draft;
  for (let attempt = 0; attempt < TRIES; attempt++) {
    try {
      const stored = await api.read(commission);
      const { document, clashes } = merged(stored.document, draft.changes);
      // Two people in one thing: asked about when the commission is opened.
      if (clashes.length > 0 || stored.removedAt) return false;
      if (changesBetween(stored.document, document).length > 0)
        await api.save(commission, stored.revision, document, stored.document);
      dropDraft(commission, tab);
      return true;
    } catch (error) {
      const status = error instanceof ApiProblem ? error.status : 0;
      const gone = goneFor(error);
      if (status === 409) continue;
      if (gone && gone !== 'removed') {
        await forget(commission);
        return true;
      }
      if (status === 404 && Date.now() - draft.at > STRANGE_DAYS * 86_400_000) dropDraft(commission, tab);
      return false;
    }
  }
  return false;
}

/** Sends at once, when the network is back, and every now and then. */
export function keepSending(): void {
  // The commission that is being opened is looked after by its own tab, which must get there first.
  setTimeout(() => void sendWaiting(), FIRST_MS);
  window.addEventListener('online', () => void sendWaiting());
  setInterval(() => void sendWaiting(), AGAIN_MS);
}
