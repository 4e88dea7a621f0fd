import equal from 'fast-deep-equal';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Fault } from '../../core/commission/fault';
import { faultsOfChange } from '../../core/commission/change';
import type { Commission, Option } from '../../core/commission/schema';
import { api, ApiProblem, type Stored } from './api';
import { today } from './days';
import { readDraft, writeDraft } from './drafts';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'refused' | 'conflict';

const SAVE_AFTER_MS = 600;
const DRAFT_AFTER_MS = 150;
const RETRY_MS = 3_000;
const MOST_STEPS = 80;
/** Steps of one gesture or of one field within this time are undone as one. */
const SAME_STEP_MS = 1_200;

/**
 * The commission that is open: its document, what can be undone, and its way to the server. Documents are
 * never changed in place; every edit replaces what it changes.
 */
export const useCommission = defineStore('commission', () => {
  const id = ref('');
  const document = shallowRef<Commission>();
  const revision = ref(0);
  const state = ref<SaveState>('saved');
  const savedAt = ref<string>();
  const message = ref('');
  const faults = shallowRef<Fault[]>([]);
  const theirs = shallowRef<Stored>();
  const past = shallowRef<Commission[]>([]);
  const future = shallowRef<Commission[]>([]);
  const optionId = ref('');

  let saveTimer: ReturnType<typeof setTimeout> | undefined;
  let draftTimer: ReturnType<typeof setTimeout> | undefined;
  let lastStep = { key: '', at: 0 };
  let sending = false;
  /** While a hand drags: whether its first change has been noted as a step yet. */
  let gesture: 'none' | 'begun' | 'noted' = 'none';

  const option = computed(() => document.value?.options.find((o) => o.id === optionId.value));

  async function open(newId: string): Promise<void> {
    await flush();
    id.value = newId;
    document.value = undefined;
    const [stored, draft] = await Promise.all([api.read(newId), readDraft(newId)]);
    revision.value = stored.revision;
    savedAt.value = stored.updatedAt;
    theirs.value = undefined;
    faults.value = [];
    state.value = 'saved';
    const ofToday = draft?.day === today();
    // What the server has may be our own save whose answer never came: the page was left meanwhile.
    const sameRevision =
      draft !== undefined &&
      (draft.revision === stored.revision ||
        (draft.open && [...draft.past].reverse().some((mine) => sameAs(mine, stored.document))));
    past.value = draft && ofToday && (sameRevision || draft.open) ? draft.past : [];
    future.value = draft && ofToday && sameRevision ? draft.future : [];
    const restored = draft?.open && !sameAs(draft.document, stored.document);
    document.value = restored ? draft.document : stored.document;
    optionId.value = document.value.chosen;
    if (!restored) return;
    // Typed before the page went away: it is still there, and goes to the server now.
    if (sameRevision) changed();
    else meet({ revision: stored.revision, document: stored.document, updatedAt: stored.updatedAt });
  }

  /** Replaces the document. Steps with the same key in quick succession are undone as one. */
  function edit(key: string, change: (document: Commission) => Commission): void {
    const before = document.value;
    if (!before) return;
    const next = change(before);
    if (next === before) return;
    if (beginsStep(key)) past.value = [...past.value, before].slice(-MOST_STEPS);
    future.value = [];
    document.value = next;
    changed();
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

  function beginsStep(key: string): boolean {
    const now = Date.now();
    const same = key === lastStep.key && now - lastStep.at <= SAME_STEP_MS;
    lastStep = { key, at: now };
    if (gesture === 'none') return !same;
    const first = gesture === 'begun';
    gesture = 'noted';
    return first;
  }

  /** Everything until `endStep` is one step, whatever it changes: a drag that moves and buries. */
  function beginStep(): void {
    gesture = 'begun';
  }

  /** The next change is a step of its own. */
  function endStep(): void {
    gesture = 'none';
    lastStep = { key: '', at: 0 };
  }

  function undo(): void {
    step(past, future);
  }

  function redo(): void {
    step(future, past);
  }

  function step(from: typeof past, to: typeof past): void {
    const next = from.value.at(-1);
    if (!next || !document.value) return;
    to.value = [...to.value, document.value];
    from.value = from.value.slice(0, -1);
    document.value = next;
    if (!next.options.some((o) => o.id === optionId.value)) optionId.value = next.chosen;
    endStep();
    changed();
  }

  function changed(): void {
    if (state.value !== 'conflict') state.value = 'unsaved';
    clearTimeout(draftTimer);
    draftTimer = setTimeout(() => void keep(true), DRAFT_AFTER_MS);
    if (state.value === 'conflict') return;
    clearTimeout(saveTimer);
    saveTimer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }

  function keep(openDraft: boolean): Promise<boolean> {
    if (!document.value) return Promise.resolve(false);
    return writeDraft(id.value, {
      day: today(),
      revision: revision.value,
      document: document.value,
      open: openDraft,
      past: past.value,
      future: future.value,
    });
  }

  async function save(): Promise<void> {
    const sent = document.value;
    const sentId = id.value;
    // One save at a time: the next is based on the revision that this one brings back.
    if (!sent || sending || state.value === 'conflict') return;
    sending = true;
    state.value = 'saving';
    try {
      const answer = await api.save(sentId, revision.value, sent);
      sending = false;
      if (sentId === id.value) confirmed(answer.revision, answer.updatedAt, sent);
    } catch (error) {
      sending = false;
      if (sentId === id.value) failed(error, sent);
    }
  }

  function confirmed(newRevision: number, at: string | undefined, sent: Commission): void {
    revision.value = newRevision;
    savedAt.value = at;
    faults.value = [];
    message.value = '';
    const more = document.value !== sent;
    state.value = more ? 'unsaved' : 'saved';
    clearTimeout(draftTimer);
    void keep(more);
    if (more) void save();
  }

  function failed(error: unknown, sent: Commission): void {
    message.value = error instanceof Error ? error.message : String(error);
    if (error instanceof ApiProblem && error.status === 409 && error.body.theirs) {
      const stored = error.body.theirs;
      // Our own save had arrived, only its answer was lost.
      if (sameAs(sent, stored.document)) confirmed(stored.revision, stored.updatedAt, sent);
      else meet(stored);
    } else if (error instanceof ApiProblem && error.status >= 400 && error.status < 500) {
      faults.value = error.body.faults ?? [];
      state.value = 'refused';
    } else {
      state.value = 'offline';
      clearTimeout(saveTimer);
      saveTimer = setTimeout(() => {
        state.value = 'unsaved';
        void save();
      }, RETRY_MS);
    }
  }

  function meet(stored: Stored): void {
    theirs.value = stored;
    state.value = 'conflict';
  }

  /** Settles a conflict. The version that is not kept can be brought back by undo. */
  function settle(which: 'mine' | 'theirs'): void {
    const other = theirs.value;
    const mine = document.value;
    if (!other || !mine) return;
    revision.value = other.revision;
    theirs.value = undefined;
    past.value = [...past.value, which === 'mine' ? other.document : mine].slice(-MOST_STEPS);
    future.value = [];
    endStep();
    state.value = 'unsaved';
    if (which === 'mine') return void changed();
    document.value = other.document;
    if (!other.document.options.some((o) => o.id === optionId.value)) optionId.value = other.document.chosen;
    savedAt.value = other.updatedAt;
    state.value = 'saved';
    void keep(false);
  }

  /** Lets go of a commission that is no more: nothing of it is sent or kept from here. */
  function abandon(): void {
    clearTimeout(saveTimer);
    clearTimeout(draftTimer);
    state.value = 'saved';
    document.value = undefined;
    id.value = '';
    [past.value, future.value] = [[], []];
  }

  /** Sends what is still waiting, before another commission is opened or the page goes. */
  async function flush(): Promise<void> {
    clearTimeout(saveTimer);
    if (state.value === 'unsaved') await save();
  }

  return {
    id,
    document,
    revision,
    state,
    savedAt,
    message,
    faults,
    theirs,
    past,
    future,
    optionId,
    option,
    open,
    edit,
    tryEdit,
    editOption,
    tryEditOption,
    beginStep,
    endStep,
    undo,
    redo,
    settle,
    flush,
    abandon,
    keep,
  };
});

/** Whether a document of ours is what the server keeps, which knows no undefined fields and no order of them. */
function sameAs(ours: Commission, kept: Commission): boolean {
  return equal(JSON.parse(JSON.stringify(ours)), kept);
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
