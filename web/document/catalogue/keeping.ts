import { ref } from 'vue';
import { api, ApiProblem, type EntryOf, type ListName } from '../api';
import { useStudio } from '../studioStore';
import { wording } from '../../words/wording';

/** One entry of a list kept for the studio by a press; what the server does not take is said. */
export function useKeeping<L extends ListName>(list: L) {
  const studio = useStudio();
  /** What was kept or refused last, in words. */
  const said = ref('');
  async function keep(entry: EntryOf[L]): Promise<void> {
    try {
      await api.keepEntry(list, entry);
      await studio.again();
      said.value = wording('entries.kept', { name: entry.name });
    } catch (error) {
      said.value = error instanceof ApiProblem ? error.message : wording('entries.notKept');
    }
  }
  return { said, keep };
}
