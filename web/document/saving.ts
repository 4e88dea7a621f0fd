import { changesBetween, waitingChanges, type Change } from '../../core/commission/changes';
import { fitting } from '../../core/commission/fitting';
import { merged, type Clash } from '../../core/commission/merge';
import { api, ApiProblem, type Gone, type Stored } from './api';
import type { Drafts } from './drafts';
import { forget } from './journal';
import { isHeld, keepOptionInSight, type OpenState } from './openState';
import { sendWaiting } from './outbox';
import { useStudio } from './studioStore';

const SAVE_AFTER_MS = 600;
const RETRY_MS = 3_000;

/** The way of the open commission to the server, and what comes of it. */
export function useSaving(s: OpenState, drafts: Drafts) {
  const { quiet } = s;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;

  /** After every change of the document: kept here at once, sent in a moment. */
  function changed(): void {
    drafts.keepUndoSoon();
    if (isHeld(s)) return;
    s.state.value = 'unsaved';
    drafts.keep();
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }

  async function save(): Promise<void> {
    const sent = s.document.value;
    const id = s.id.value;
    const turn = quiet.opening;
    // One save at a time: the next is based on the revision that this one brings back.
    if (!sent || sending || isHeld(s)) return;
    sending = true;
    s.state.value = 'saving';
    quiet.unanswered.push(sent);
    try {
      const answer = await api.save(id, s.revision.value, sent, quiet.confirmed!);
      if (turn !== quiet.opening) return void sendWaiting(id);
      sending = false;
      if (answer.also) useStudio().heard(answer.also);
      confirmed({ ...answer, document: sent });
    } catch (error) {
      if (turn !== quiet.opening) return void sendWaiting(id);
      sending = false;
      failed(error);
    }
  }

  function confirmed(stored: Stored): void {
    const wasAway = s.state.value === 'offline' || s.message.value !== '';
    standsAt(stored);
    quiet.unanswered = [];
    s.faults.value = [];
    s.message.value = '';
    const more = s.document.value !== stored.document;
    s.state.value = more ? 'unsaved' : 'saved';
    drafts.keep();
    if (more) void save();
    if (wasAway) void sendWaiting();
  }

  /** What the server has now. */
  function standsAt({ revision, updatedAt, document }: Stored): void {
    s.revision.value = revision;
    s.savedAt.value = updatedAt;
    quiet.confirmed = document;
  }

  function failed(error: unknown): void {
    s.message.value = error instanceof Error ? error.message : String(error);
    const { status, body } =
      error instanceof ApiProblem ? error : { status: 0, body: {} as ApiProblem['body'] };
    if (status === 409 && body.theirs) meetsTheirs(body.theirs);
    else if (status === 410 && body.gone) missing(body.gone);
    else if (status >= 400 && status < 500 && status !== 408 && status !== 429) {
      s.faults.value = body.faults ?? [];
      quiet.unanswered.pop();
      s.state.value = 'refused';
    } else {
      s.state.value = 'offline';
      s.unreached.value = status === 0;
      clearTimeout(timer);
      timer = setTimeout(() => {
        s.state.value = 'unsaved';
        void save();
      }, RETRY_MS);
    }
  }

  /** Somebody else saved meanwhile: what was changed here is laid over it. */
  function meetsTheirs(theirs: Stored): void {
    const changes = waitingChanges(quiet.confirmed!, quiet.unanswered, s.document.value!);
    s.theirs.value = theirs;
    standsAt(theirs);
    s.message.value = '';
    takeUp(changes);
    if (s.state.value === 'saved') s.theirs.value = undefined;
  }

  /** Lays changes that waited over what the server has now; what meets there is asked about. */
  function takeUp(changes: Change[]): void {
    const base = quiet.confirmed!;
    const result = fitting(base, changes);
    s.document.value = result.document;
    keepOptionInSight(s);
    // Another tab may find the same draft and send it: then this state is one's own, too.
    quiet.unanswered = result.document === base ? [] : [result.document];
    if (result.clashes.length > 0) return meet(result.clashes, changes);
    if (changesBetween(base, result.document).length > 0) changed();
    else {
      s.state.value = 'saved';
      drafts.drop();
    }
  }

  function meet(found: Clash[], changes: Change[]): void {
    s.clashes.value = found;
    drafts.put(changes);
    s.state.value = 'conflict';
  }

  /** Settles what met: `mine` says of each whether what was typed here is to stand. The other is one undo away. */
  function settle(mine: (clash: Clash, i: number) => boolean): void {
    const now = s.document.value;
    if (!now || s.state.value !== 'conflict') return;
    // What does not fit any more cannot be chosen; it is listed so that nobody misses it.
    const open = s.clashes.value.filter((c) => !c.unfit);
    const kept = open.filter(mine).map((c) => c.change);
    const others = open.map((c) => c.change).filter((c) => !kept.includes(c));
    const next = merged(now, kept, true).document;
    const other = merged(now, others, true).document;
    s.steps.add(changesBetween(other, next));
    [s.clashes.value, s.theirs.value, s.state.value] = [[], undefined, 'unsaved'];
    s.document.value = next;
    keepOptionInSight(s);
    if (changesBetween(quiet.confirmed!, next).length > 0) return changed();
    s.state.value = 'saved';
    drafts.keep();
    drafts.keepUndo();
  }

  /** The commission is no more: what was kept of it here goes too, unless it can be brought back. */
  function missing(what: Gone): void {
    stop();
    drafts.stop();
    s.gone.value = what;
    s.state.value = 'gone';
    if (what === 'removed') return;
    void forget(s.id.value);
    // Nothing of it stays on the screen or at hand either.
    [s.document.value, quiet.confirmed, quiet.foreseen, quiet.unanswered] = [
      undefined,
      undefined,
      undefined,
      [],
    ];
    [s.theirs.value, s.clashes.value, s.faults.value] = [undefined, [], []];
    s.steps.clear();
  }

  /** Brings a removed commission back and sends what was typed meanwhile. */
  async function bringBack(): Promise<void> {
    await api.restore(s.id.value);
    s.gone.value = undefined;
    s.state.value = 'unsaved';
    if (drafts.waiting().length > 0) changed();
    else s.state.value = 'saved';
  }

  /** Sends what is still waiting. */
  async function flush(): Promise<void> {
    clearTimeout(timer);
    if (s.state.value === 'unsaved') await save();
  }

  const stop = () => clearTimeout(timer);
  return {
    changed,
    standsAt,
    takeUp,
    meetsTheirs,
    settle,
    missing,
    bringBack,
    flush,
    stop,
    /** Another commission is opened: an answer that is still to come is not for it. */
    begin: () => (sending = false),
    isSending: () => sending,
  };
}
