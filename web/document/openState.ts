import { computed, ref, shallowRef } from 'vue';
import type { Fault } from '../../core/commission/fault';
import type { Spoken } from '../../core/words/english';
import type { Clash } from '../../core/commission/merge';
import { scapeOf } from '../../core/commission/scapes';
import type { Commission } from '../../core/commission/schema';
import type { Gone, Stored } from './api';
import { useSteps } from './steps';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'refused' | 'conflict' | 'gone';

/** The commission that is open, and how far it has come on its way to the server: what drafts and saving share. */
export function openState() {
  const id = ref('');
  const document = shallowRef<Commission>();
  const optionId = ref('');
  return {
    id,
    document,
    optionId,
    option: computed(() => document.value && scapeOf(document.value, optionId.value)),
    revision: ref(0),
    state: ref<SaveState>('saved'),
    savedAt: ref<string>(),
    message: ref(''),
    /** Whether the server gave no answer at all, as against one that it could not save. */
    unreached: ref(false),
    faults: shallowRef<Spoken<Fault>[]>([]),
    /** What was changed here and elsewhere alike, while it waits for somebody to choose. */
    clashes: shallowRef<Clash[]>([]),
    theirs: shallowRef<Stored>(),
    gone: ref<Gone>(),
    steps: useSteps(),
    /** Not watched by anything that is drawn. */
    quiet: {
      tab: '',
      /** As the server has it at `revision`, and what was sent since without an answer. */
      confirmed: undefined as Commission | undefined,
      unanswered: [] as Commission[],
      /** What the document becomes with what is being typed and has not been left yet. */
      foreseen: undefined as Commission | undefined,
      /** Counts the openings: what was asked for before the last one is not for this commission. */
      opening: 0,
    },
  };
}

export type OpenState = ReturnType<typeof openState>;

/** Options come and go; the one that is looked at must be one of them. */
export function keepOptionInSight({ document, optionId }: OpenState): void {
  if (!scapeOf(document.value!, optionId.value)) optionId.value = document.value!.chosen;
}

/** While two versions meet, and when it is no more, nothing is sent and drafts stay as they were. */
export function isHeld({ state }: OpenState): boolean {
  return state.value === 'conflict' || state.value === 'gone';
}
