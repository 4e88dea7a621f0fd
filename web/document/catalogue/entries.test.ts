import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Animal } from '../../../core/commission/schema';
import { api, ApiProblem } from '../api';
import { useStudio } from '../studioStore';
import { useEntries } from './entries';

const crab: Animal = { id: 'moss-crab', name: 'Moss crab', kind: 'shrimp' };
let answers: { entry: Animal; take: () => void; refuse: () => void }[] = [];

beforeEach(() => {
  setActivePinia(createPinia());
  answers = [];
  vi.spyOn(api, 'entries').mockResolvedValue({ entries: [crab], total: 1 } as never);
  vi.spyOn(useStudio(), 'again').mockResolvedValue(undefined as never);
  vi.spyOn(api, 'keepEntry').mockImplementation(
    (_list, entry) =>
      new Promise((resolve, reject) => {
        answers.push({
          entry: entry as Animal,
          take: () => resolve(undefined as never),
          refuse: () => reject(new ApiProblem(400, { error: 'it is refused' } as never)),
        });
      }),
  );
});
afterEach(() => void vi.restoreAllMocks());
const shown = async () => {
  const list = useEntries('animals');
  await vi.waitFor(() => expect(list.rows.value).toHaveLength(1));
  return list;
};

describe('an entry that is changed field by field', () => {
  it('has what was just typed while that is on its way: the next field changes it, and not what stood before', async () => {
    const { rows, keep } = await shown();
    const first = keep({ ...rows.value![0], adultMm: 20 });
    const second = keep({ ...rows.value![0], group: 6 });
    expect(rows.value![0]).toEqual({ ...crab, adultMm: 20, group: 6 });
    // One after the other, as they were made.
    await vi.waitFor(() => expect(answers).toHaveLength(1));
    answers[0].take();
    await first;
    await vi.waitFor(() => expect(answers).toHaveLength(2));
    expect(answers.map((a) => a.entry)).toEqual([
      { ...crab, adultMm: 20 },
      { ...crab, adultMm: 20, group: 6 },
    ]);
    answers[1].take();
    await second;
  });

  it('is not what an older answer of the list has it to be', async () => {
    const { rows, keep, load } = await shown();
    let answer = () => {};
    vi.mocked(api.entries).mockImplementationOnce(() => new Promise((resolve) => (answer = () => resolve({ entries: [crab], total: 1 } as never)))); // prettier-ignore
    const changed = { ...crab, adultMm: 20 };
    vi.mocked(api.entries).mockResolvedValue({ entries: [changed], total: 1 } as never);
    const loaded = load();
    await vi.waitFor(() => expect(api.entries).toHaveBeenCalledTimes(2));
    const kept = keep({ ...rows.value![0], adultMm: 20 });
    answer();
    await vi.waitFor(() => expect(answers).toHaveLength(1));
    expect(rows.value![0]).toEqual(changed);
    answers[0].take();
    await Promise.all([kept, loaded]);
    expect(rows.value![0]).toEqual(changed);
  });

  it('is as it was where the change is refused, and it is said', async () => {
    const { rows, keep, said } = await shown();
    const kept = keep({ ...rows.value![0], adultMm: 20 });
    await vi.waitFor(() => expect(answers).toHaveLength(1));
    answers[0].refuse();
    await kept;
    expect(rows.value![0]).toEqual(crab);
    expect(said.value).not.toBe('');
  });
});
