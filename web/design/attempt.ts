import { ref } from 'vue';

/** Something that is asked of the server by a press: one at a time, and what was refused is said where it was pressed. */
export function useAttempt() {
  const fault = ref('');
  const busy = ref(false);
  /** True where it was done. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false;
    [busy.value, fault.value] = [true, ''];
    try {
      await work();
      return true;
    } catch (error) {
      fault.value = error instanceof Error ? error.message : String(error);
      return false;
    } finally {
      busy.value = false;
    }
  }
  return { fault, busy, attempt };
}
