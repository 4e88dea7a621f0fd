import { waitingChanges, type Change } from '../../core/commission/changes';
import { api } from './api';
import { today } from '../units/days';
import { allDrafts, dropDraft, keepDraft, keepHistory, type Draft } from './journal';
import { lastSteps } from './stepSize';
import { isHeld, type OpenState } from './openState';

const HISTORY_AFTER_MS = 150;
/** Of the steps of undo, what a page finds again that is opened anew: they are written down after every edit. */
const KEPT_STEPS = 80;
const KEPT_BYTES = 2 * 1024 * 1024;

/** What this browser keeps of the open commission until the server has it, and what can be undone. */
export function useDrafts(s: OpenState) {
  const { quiet } = s;
  let seq = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** What the server does not have yet, with what is being typed. */
  function waiting(): Change[] {
    const present = quiet.foreseen ?? s.document.value;
    return quiet.confirmed && present ? waitingChanges(quiet.confirmed, quiet.unanswered, present) : [];
  }

  /** Keeps what waits; nothing, where nothing does. */
  function keep(): void {
    if (!s.id.value || !quiet.tab || isHeld(s)) return;
    const changes = waiting();
    if (changes.length === 0) dropDraft(s.id.value, quiet.tab);
    else put(changes);
  }

  function put(changes: Change[]): void {
    keepDraft({
      commission: s.id.value,
      tab: quiet.tab,
      seq: ++seq,
      at: Date.now(),
      revision: s.revision.value,
      changes,
    });
  }

  function drop(): void {
    dropDraft(s.id.value, quiet.tab);
  }

  /** The steps of undo, now or in a moment. */
  function keepUndo(): void {
    // What was erased or deleted elsewhere leaves nothing behind, its steps neither.
    if (s.gone.value && s.gone.value !== 'removed') return;
    if (!s.id.value || !quiet.tab) return;
    const [past, future] = [s.steps.past, s.steps.future].map(({ value }) =>
      lastSteps(value, KEPT_STEPS, KEPT_BYTES),
    );
    keepHistory(s.id.value, quiet.tab, { day: today(), past, future });
  }

  function keepUndoSoon(): void {
    clearTimeout(timer);
    timer = setTimeout(keepUndo, HISTORY_AFTER_MS);
  }

  /** The page goes: what waits is written down before this returns, and sent if it is little. */
  function goes(): void {
    keep();
    const changes = waiting();
    const may = ['saved', 'unsaved', 'saving', 'offline'].includes(s.state.value);
    if (may && changes.length > 0) api.saveOnLeaving(s.id.value, s.revision.value, changes);
  }

  const stop = () => clearTimeout(timer);
  return { waiting, keep, put, drop, keepUndo, keepUndoSoon, goes, stop };
}

export type Drafts = ReturnType<typeof useDrafts>;

/** Drafts of a commission that are this tab's to take up: its own, and those of tabs that are no more. */
export async function draftsFor(
  commission: string,
  tab: string,
  living: ReadonlySet<string>,
): Promise<Draft[]> {
  return (await allDrafts()).filter(
    (d) => d.commission === commission && (d.tab === tab || !living.has(d.tab)),
  );
}
