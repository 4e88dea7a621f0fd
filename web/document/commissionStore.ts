import { defineStore } from 'pinia';
import { ref } from 'vue';
import { changesBetween, inverse, type Change } from '../../core/commission/changes';
import { faultsOfChange } from '../../core/commission/change';
import { merged } from '../../core/commission/merge';
import { mayChange } from '../../core/commission/sight';
import { withScape } from '../../core/commission/scapes';
import type { Commission, Option } from '../../core/commission/schema';
import { api, ApiProblem, type Stored } from './api';
import { today } from '../units/days';
import { useFigures } from '../units/figures';
import { draftsFor, useDrafts } from './drafts';
import { onErased } from './erased';
import { dropDraft, forget, lastHistory, readHistory } from './journal';
import { keepOptionInSight, openState } from './openState';
import { openIs, sendWaiting } from './outbox';
import { mySight } from './people';
import { useSaving } from './saving';
import { wording } from '../words/wording';
import { livingTabs, tabName } from './tab';

/** How often it is looked whether a save was answered, ms. */
const ANSWERED_MS = 60;

export type { SaveState } from './openState';

/**
 * The commission that is open: its document, how it is edited, and what can be undone. Documents are never
 * changed in place; every edit replaces what it changes. What waits for the server is kept as changes to the
 * confirmed document (`drafts.ts`), which are laid over whatever the server has by then (`saving.ts`).
 */
export const useCommission = defineStore('commission', () => {
  const { words } = useFigures();
  const s = openState();
  const { id, document, optionId, steps, state, quiet } = s;
  const { past, future } = steps;
  const drafts = useDrafts(s);
  const saving = useSaving(s, drafts);
  let foreseeing = false;
  /** The last edit was of something that whoever is here may not change: it was not made. */
  const refused = ref(false);
  openIs(() => id.value);
  onErased((ids) => ids.includes(id.value) && saving.missing('erased'));

  async function open(newId: string): Promise<void> {
    leave();
    const turn = ++quiet.opening;
    saving.begin();
    id.value = newId;
    document.value = undefined;
    const [tab, living] = await Promise.all([tabName(), livingTabs()]);
    quiet.tab = tab;
    quiet.confirmed = undefined;
    // All at once: each is an answer for which a page that is being drawn waits a turn.
    const [stored, found, own, lasting] = await Promise.all([
      api.read(newId).catch((error: unknown) => {
        if (turn === quiet.opening) left(error);
        throw error;
      }),
      draftsFor(newId, tab, living),
      readHistory(newId, tab),
      lastHistory(newId, living),
    ]);
    const history = own ?? lasting;
    if (turn !== quiet.opening) return;
    reset(stored);
    if (history?.day === today()) [past.value, future.value] = [history.past, history.future];
    // Typed before a page went away: it is still there, and goes to the server now.
    saving.takeUp(found.flatMap((d) => d.changes));
    for (const draft of found) if (draft.tab !== quiet.tab) dropDraft(newId, draft.tab);
    if (found.length > 0 && state.value === 'saved') drafts.drop();
    if (stored.removedAt) saving.missing('removed');
  }

  function reset(stored: Stored): void {
    saving.standsAt(stored);
    document.value = stored.document;
    optionId.value = stored.document.chosen;
    [s.theirs.value, s.gone.value, s.clashes.value, s.faults.value] = [undefined, undefined, [], []];
    steps.clear();
    [quiet.unanswered, quiet.foreseen] = [[], undefined];
    state.value = 'saved';
    s.message.value = '';
  }

  function left(error: unknown): void {
    if (error instanceof ApiProblem && error.status === 410 && error.body.gone)
      saving.missing(error.body.gone);
  }

  /** Asks whether it is still there: an open page shows nothing for long of what was erased or removed elsewhere. */
  async function look(): Promise<void> {
    const asked = id.value;
    if (!asked || state.value === 'gone') return;
    try {
      const { removedAt } = await api.head(asked);
      if (removedAt && asked === id.value) saving.missing('removed');
    } catch (error) {
      if (asked === id.value) left(error);
    }
  }

  /** Somebody else may have saved, up to a revision where it is known: what they changed comes under what was changed here. */
  async function catchUp(upTo?: number): Promise<void> {
    const [asked, turn] = [id.value, quiet.opening];
    const isOpen = () =>
      asked !== '' && turn === quiet.opening && ['saved', 'unsaved', 'saving'].includes(state.value);
    // What is on its way brings its own revision back.
    while (isOpen() && saving.isSending()) await new Promise((resolve) => setTimeout(resolve, ANSWERED_MS));
    if (!isOpen() || (upTo !== undefined && upTo <= s.revision.value)) return;
    try {
      if (upTo === undefined && (await api.head(asked)).revision <= s.revision.value) return;
      const theirs = await api.read(asked);
      if (isOpen() && !saving.isSending() && theirs.revision > s.revision.value) saving.meetsTheirs(theirs);
    } catch (error) {
      if (isOpen()) left(error);
    }
  }

  /** Replaces the document. Steps with the same key in quick succession are undone as one. */
  function edit(key: string, change: (document: Commission) => Commission): void {
    const before = document.value;
    if (!before) return;
    const next = change(before);
    if (foreseeing) return foresee(next);
    quiet.foreseen = undefined;
    if (next === before) return;
    const sight = mySight();
    // What the server would refuse is not made here either: it would stand on the screen and be lost.
    if (sight && !mayChange(sight, changesBetween(before, next))) return void (refused.value = true);
    refused.value = false;
    steps.note(key, before, next);
    document.value = next;
    saving.changed();
  }

  /**
   * Changes what follows of itself from the last edit, and is undone with it. With a `step`, as `stepNow` named it when it was
   * made, only where that is the last one still; false where it is not.
   */
  function follow(change: (document: Commission) => Commission, step = steps.turn()): boolean {
    const before = document.value;
    if (step !== steps.turn()) return false;
    if (!before || foreseeing || mySight()) return true;
    const next = change(before);
    if (next === before || faultsOfChange(before, next).length > 0) return true;
    steps.more(changesBetween(before, next));
    document.value = next;
    saving.changed();
    return true;
  }

  function foresee(next: Commission): void {
    quiet.foreseen = next;
    drafts.keep();
  }

  /**
   * What is being typed, with every key: nothing changes on the screen yet, but should the page or the
   * browser go now it is kept as if the field had been left.
   */
  function typing(apply: () => unknown): void {
    foreseeing = true;
    quiet.foreseen = undefined;
    try {
      apply();
    } finally {
      foreseeing = false;
    }
    // What is not allowed, or is what stands there anyway, leaves nothing to keep but what was there before.
    if (!quiet.foreseen) drafts.keep();
  }

  /** The same for something typed: what the format does not allow is said, and nothing is changed. */
  function tryEdit(key: string, change: (document: Commission) => Commission): string | undefined {
    if (!document.value) return undefined;
    const next = change(document.value);
    const [fault] = faultsOfChange(document.value, next);
    if (fault) return words(fault.says);
    edit(key, () => next);
    return refused.value ? wording('commissionStore.notYours') : undefined;
  }

  function editOption(key: string, change: (option: Option) => Option): void {
    edit(key, withOption(optionId.value, change));
  }

  function tryEditOption(key: string, change: (option: Option) => Option): string | undefined {
    return tryEdit(key, withOption(optionId.value, change));
  }

  /** Everything until `endStep` is one step, whatever it changes: a drag that moves and buries. */
  function beginStep(): void {
    if (!foreseeing) steps.begin();
  }

  /** The next change is a step of its own. */
  function endStep(): void {
    if (!foreseeing) steps.end();
  }

  function undo(): void {
    step(past, future, inverse);
  }

  function redo(): void {
    step(future, past, (changes) => changes);
  }

  /** Takes one's own step back, or makes it again; what somebody else changed meanwhile stays. */
  function step(from: typeof past, to: typeof past, turned: (step: Change[]) => Change[]): void {
    const changes = document.value && steps.shift(from, to);
    if (!changes || !document.value) return;
    document.value = merged(document.value, turned(changes), true).document;
    quiet.foreseen = undefined;
    keepOptionInSight(s);
    saving.changed();
  }

  /** Lets go of a commission that is no more: nothing of it is sent or kept from here. */
  function abandon(): void {
    saving.stop();
    drafts.stop();
    if (id.value) void forget(id.value);
    state.value = 'saved';
    document.value = undefined;
    quiet.confirmed = undefined;
    s.gone.value = undefined;
    id.value = '';
    steps.clear();
  }

  /** Another commission is opened: what waits of this one goes on by itself. */
  function leave(): void {
    saving.stop();
    drafts.stop();
    if (!id.value || !document.value) return;
    drafts.keepUndo();
    drafts.keep();
    const waits = ['unsaved', 'offline'].includes(state.value) && !saving.isSending();
    const was = id.value;
    id.value = '';
    if (waits) void sendWaiting(was);
  }

  const { revision, savedAt, message, unreached, faults, clashes, theirs, gone, option } = s;
  const { settle, flush, bringBack } = saving;
  return {
    id,
    document,
    revision,
    state,
    savedAt,
    message,
    unreached,
    faults,
    clashes,
    theirs,
    gone,
    past,
    future,
    optionId,
    option,
    refused,
    open,
    look,
    catchUp,
    edit,
    typing,
    tryEdit,
    follow,
    stepNow: steps.turn,
    editOption,
    tryEditOption,
    beginStep,
    endStep,
    undo,
    redo,
    settle,
    flush,
    goes: drafts.goes,
    bringBack,
    abandon,
  };
});

function withOption(
  optionId: string,
  change: (option: Option) => Option,
): (document: Commission) => Commission {
  return (document) => withScape(document, optionId, change);
}
