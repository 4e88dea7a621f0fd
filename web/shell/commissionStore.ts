import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { changesBetween, inverse, waitingChanges, type Change } from '../../core/commission/changes';
import { faultsOfChange } from '../../core/commission/change';
import type { Fault } from '../../core/commission/fault';
import { fitting } from '../../core/commission/fitting';
import { merged, type Clash } from '../../core/commission/merge';
import type { Commission, Option } from '../../core/commission/schema';
import { api, ApiProblem, type Gone, type Stored } from './api';
import { today } from './days';
import { allDrafts, dropDraft, forget, keepDraft, keepHistory, lastHistory, readHistory } from './journal';
import { openIs, sendWaiting } from './outbox';
import { useSteps } from './steps';
import { livingTabs, tabName } from './tab';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'refused' | 'conflict' | 'gone';

const SAVE_AFTER_MS = 600;
const HISTORY_AFTER_MS = 150;
const RETRY_MS = 3_000;

/**
 * The commission that is open: its document, what can be undone, and its way to the server. Documents are
 * never changed in place; every edit replaces what it changes. What waits for the server is kept as changes
 * to the confirmed document, which are laid over whatever the server has by then.
 */
export const useCommission = defineStore('commission', () => {
  const id = ref('');
  const document = shallowRef<Commission>();
  const revision = ref(0);
  const state = ref<SaveState>('saved');
  const savedAt = ref<string>();
  const message = ref('');
  /** Whether the server gave no answer at all, as against one that it could not save. */
  const unreached = ref(false);
  const faults = shallowRef<Fault[]>([]);
  /** What was changed here and elsewhere alike, while it waits for somebody to choose. */
  const clashes = shallowRef<Clash[]>([]);
  const theirs = shallowRef<Stored>();
  const gone = ref<Gone>();
  const steps = useSteps();
  const { past, future } = steps;
  const optionId = ref('');

  let tab = '';
  /** As the server has it at `revision`, and what was sent since without an answer. */
  let confirmedDocument: Commission | undefined;
  let unanswered: Commission[] = [];
  /** What the document becomes with what is being typed and has not been left yet. */
  let foreseen: Commission | undefined;
  let foreseeing = false;
  let seq = 0;
  let opening = 0;
  let saveTimer: ReturnType<typeof setTimeout> | undefined;
  let historyTimer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;
  openIs(() => id.value);
  const option = computed(() => document.value?.options.find((o) => o.id === optionId.value));

  async function open(newId: string): Promise<void> {
    leave();
    const turn = ++opening;
    sending = false;
    id.value = newId;
    document.value = undefined;
    tab = await tabName();
    confirmedDocument = undefined;
    const mine = [tab, await livingTabs()] as const;
    const [stored, drafts] = await Promise.all([
      api.read(newId).catch((error: unknown) => {
        if (turn === opening) left(error);
        throw error;
      }),
      draftsFor(newId, ...mine),
    ]);
    const history = (await readHistory(newId, tab)) ?? (await lastHistory(newId, mine[1]));
    if (turn !== opening) return;
    reset(stored);
    if (history?.day === today()) [past.value, future.value] = [history.past, history.future];
    // Typed before a page went away: it is still there, and goes to the server now.
    takeUp(drafts.flatMap((d) => d.changes));
    for (const draft of drafts) if (draft.tab !== tab) dropDraft(newId, draft.tab);
    if (drafts.length > 0 && state.value === 'saved') dropDraft(newId, tab);
    if (stored.removedAt) missing('removed');
  }

  function reset(stored: Stored): void {
    revision.value = stored.revision;
    savedAt.value = stored.updatedAt;
    confirmedDocument = stored.document;
    document.value = stored.document;
    optionId.value = stored.document.chosen;
    [theirs.value, gone.value, clashes.value, faults.value] = [undefined, undefined, [], []];
    steps.clear();
    [unanswered, foreseen] = [[], undefined];
    state.value = 'saved';
    message.value = '';
  }

  /** Lays changes that waited over what the server has now; what meets there is asked about. */
  function takeUp(changes: Change[]): void {
    const base = confirmedDocument!;
    const result = fitting(base, changes);
    document.value = result.document;
    keepOptionInSight();
    // Another tab may find the same draft and send it: then this state is one's own, too.
    unanswered = result.document === base ? [] : [result.document];
    if (result.clashes.length > 0) return meet(result.clashes, changes);
    if (changesBetween(base, result.document).length > 0) changed();
    else {
      state.value = 'saved';
      dropDraft(id.value, tab);
    }
  }

  /** Replaces the document. Steps with the same key in quick succession are undone as one. */
  function edit(key: string, change: (document: Commission) => Commission): void {
    const before = document.value;
    if (!before) return;
    const next = change(before);
    if (foreseeing) return foresee(next);
    foreseen = undefined;
    if (next === before) return;
    steps.note(key, before, next);
    document.value = next;
    changed();
  }

  function foresee(next: Commission): void {
    foreseen = next;
    keep();
  }

  /**
   * What is being typed, with every key: nothing changes on the screen yet, but should the page or the
   * browser go now it is kept as if the field had been left.
   */
  function typing(apply: () => unknown): void {
    foreseeing = true;
    foreseen = undefined;
    try {
      apply();
    } finally {
      foreseeing = false;
    }
    // What is not allowed, or is what stands there anyway, leaves nothing to keep but what was there before.
    if (!foreseen) keep();
  }

  /** The same for something typed: what the format does not allow is said, and nothing is changed. */
  function tryEdit(key: string, change: (document: Commission) => Commission): string | undefined {
    if (!document.value) return undefined;
    const next = change(document.value);
    const [fault] = faultsOfChange(document.value, next);
    if (fault) return fault.says;
    edit(key, () => next);
    return undefined;
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
    foreseen = undefined;
    keepOptionInSight();
    changed();
  }

  function keepOptionInSight(): void {
    const { options, chosen } = document.value!;
    if (!options.some((o) => o.id === optionId.value)) optionId.value = chosen;
  }

  function changed(): void {
    clearTimeout(historyTimer);
    historyTimer = setTimeout(keepUndo, HISTORY_AFTER_MS);
    if (state.value === 'conflict' || state.value === 'gone') return;
    state.value = 'unsaved';
    keep();
    clearTimeout(saveTimer);
    saveTimer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }

  function keepUndo(): void {
    // What was erased or deleted elsewhere leaves nothing behind, its steps neither.
    if (gone.value && gone.value !== 'removed') return;
    if (id.value && tab) keepHistory(id.value, tab, { day: today(), past: past.value, future: future.value });
  }

  /** What the server does not have yet, with what is being typed. */
  function waiting(): Change[] {
    const present = foreseen ?? document.value;
    return confirmedDocument && present ? waitingChanges(confirmedDocument, unanswered, present) : [];
  }

  /** Keeps in this browser what waits; nothing, where nothing does. While two versions meet it stays as it was. */
  function keep(): void {
    if (!id.value || !tab || state.value === 'conflict' || state.value === 'gone') return;
    const changes = waiting();
    if (changes.length === 0) return dropDraft(id.value, tab);
    keepDraft({ commission: id.value, tab, seq: ++seq, at: Date.now(), revision: revision.value, changes });
  }

  async function save(): Promise<void> {
    const sent = document.value;
    const sentId = id.value;
    const turn = opening;
    // One save at a time: the next is based on the revision that this one brings back.
    if (!sent || sending || state.value === 'conflict' || state.value === 'gone') return;
    sending = true;
    state.value = 'saving';
    unanswered.push(sent);
    try {
      const answer = await api.save(sentId, revision.value, sent, confirmedDocument!);
      if (turn !== opening) return void sendWaiting(sentId);
      sending = false;
      confirmed({ ...answer, document: sent });
    } catch (error) {
      if (turn !== opening) return void sendWaiting(sentId);
      sending = false;
      failed(error);
    }
  }

  function confirmed(stored: Stored): void {
    const wasAway = state.value === 'offline' || message.value !== '';
    revision.value = stored.revision;
    savedAt.value = stored.updatedAt;
    confirmedDocument = stored.document;
    unanswered = [];
    faults.value = [];
    message.value = '';
    const more = document.value !== stored.document;
    state.value = more ? 'unsaved' : 'saved';
    keep();
    if (more) void save();
    if (wasAway) void sendWaiting();
  }

  function failed(error: unknown): void {
    message.value = error instanceof Error ? error.message : String(error);
    const { status, body } =
      error instanceof ApiProblem ? error : { status: 0, body: {} as ApiProblem['body'] };
    if (status === 409 && body.theirs) {
      const changes = waitingChanges(confirmedDocument!, unanswered, document.value!);
      theirs.value = body.theirs;
      revision.value = body.theirs.revision;
      savedAt.value = body.theirs.updatedAt;
      confirmedDocument = body.theirs.document;
      message.value = '';
      takeUp(changes);
      if (state.value === 'saved') theirs.value = undefined;
    } else if (status === 410 && body.gone) missing(body.gone);
    else if (status >= 400 && status < 500 && status !== 408 && status !== 429) {
      faults.value = body.faults ?? [];
      unanswered.pop();
      state.value = 'refused';
    } else {
      state.value = 'offline';
      unreached.value = status === 0;
      clearTimeout(saveTimer);
      saveTimer = setTimeout(() => {
        state.value = 'unsaved';
        void save();
      }, RETRY_MS);
    }
  }

  function meet(found: Clash[], changes: Change[]): void {
    clashes.value = found;
    keepDraft({ commission: id.value, tab, seq: ++seq, at: Date.now(), revision: revision.value, changes });
    state.value = 'conflict';
  }

  /** Settles what met: `mine` says of each whether what was typed here is to stand. The other is one undo away. */
  function settle(mine: (clash: Clash, i: number) => boolean): void {
    const now = document.value;
    if (!now || state.value !== 'conflict') return;
    // What does not fit any more cannot be chosen; it is listed so that nobody misses it.
    const open = clashes.value.filter((c) => !c.unfit);
    const kept = open.filter(mine).map((c) => c.change);
    const others = open.map((c) => c.change).filter((c) => !kept.includes(c));
    const next = merged(now, kept, true).document;
    const other = merged(now, others, true).document;
    steps.add(changesBetween(other, next));
    [clashes.value, theirs.value, state.value] = [[], undefined, 'unsaved'];
    document.value = next;
    keepOptionInSight();
    if (changesBetween(confirmedDocument!, next).length > 0) return changed();
    state.value = 'saved';
    keep();
    keepUndo();
  }

  /** The commission is no more: what was kept of it here goes too, unless it can be brought back. */
  function missing(what: Gone): void {
    clearTimeout(saveTimer);
    clearTimeout(historyTimer);
    gone.value = what;
    state.value = 'gone';
    if (what !== 'removed') void forget(id.value);
  }

  function left(error: unknown): void {
    if (error instanceof ApiProblem && error.status === 410 && error.body.gone) missing(error.body.gone);
  }

  /** Brings a removed commission back and sends what was typed meanwhile. */
  async function bringBack(): Promise<void> {
    await api.restore(id.value);
    gone.value = undefined;
    state.value = 'unsaved';
    if (waiting().length > 0) changed();
    else state.value = 'saved';
  }

  /** Lets go of a commission that is no more: nothing of it is sent or kept from here. */
  function abandon(): void {
    clearTimeout(saveTimer);
    clearTimeout(historyTimer);
    if (id.value) void forget(id.value);
    state.value = 'saved';
    document.value = undefined;
    confirmedDocument = undefined;
    gone.value = undefined;
    id.value = '';
    steps.clear();
  }

  /** Sends what is still waiting. */
  async function flush(): Promise<void> {
    clearTimeout(saveTimer);
    if (state.value === 'unsaved') await save();
  }

  /** Another commission is opened: what waits of this one goes on by itself. */
  function leave(): void {
    clearTimeout(saveTimer);
    clearTimeout(historyTimer);
    if (!id.value || !document.value) return;
    keepUndo();
    keep();
    const waits = ['unsaved', 'offline'].includes(state.value) && !sending;
    const was = id.value;
    id.value = '';
    if (waits) void sendWaiting(was);
  }

  /** The page goes: what waits is written down before this returns, and sent if it is little. */
  function goes(): void {
    keep();
    const changes = waiting();
    const may = ['saved', 'unsaved', 'saving', 'offline'].includes(state.value);
    if (may && changes.length > 0) api.saveOnLeaving(id.value, revision.value, changes);
  }

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
    open,
    edit,
    typing,
    tryEdit,
    editOption,
    tryEditOption,
    beginStep,
    endStep,
    undo,
    redo,
    settle,
    flush,
    goes,
    bringBack,
    abandon,
  };
});

/** Drafts of a commission that are this tab's to take up: its own, and those of tabs that are no more. */
async function draftsFor(commission: string, tab: string, living: ReadonlySet<string>) {
  return (await allDrafts()).filter(
    (d) => d.commission === commission && (d.tab === tab || !living.has(d.tab)),
  );
}

function withOption(
  optionId: string,
  change: (option: Option) => Option,
): (document: Commission) => Commission {
  return (document) => {
    let same = true;
    const options = document.options.map((o) => {
      if (o.id !== optionId) return o;
      const next = change(o);
      if (next !== o) same = false;
      return next;
    });
    return same ? document : { ...document, options };
  };
}
