import { ref } from 'vue';
import { changesBetween } from '../../core/commission/changes';
import { merged } from '../../core/commission/merge';
import { api, ApiProblem } from './api';
import { allDrafts, dropDraft, forget, type Draft } from './journal';
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
      const { status, body } =
        error instanceof ApiProblem ? error : { status: 0, body: {} as ApiProblem['body'] };
      if (status === 409) continue;
      if (status === 410 && body.gone && body.gone !== 'removed') {
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
