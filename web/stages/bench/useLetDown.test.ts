import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Piece } from '../../../core/commission/schema';
import { example } from '../../../core/testing/scape';
import { useCommission } from '../../document/commissionStore';
import { useScapeEdit } from '../../document/scapeEdit';
import { useLetDown } from './useLetDown';

vi.mock('../../document/api', async (original) => ({
  ...(await original<typeof import('../../document/api')>()),
  api: {
    read: vi.fn(async () => ({ revision: 1, document: example('held-root'), removedAt: null })),
    save: vi.fn(async (_id: string, revision: number) => ({ revision: revision + 1, updatedAt: '' })),
    studio: vi.fn(),
  },
}));
vi.mock('../../document/journal', () => ({
  allDrafts: vi.fn(async () => []),
  readHistory: vi.fn(),
  lastHistory: vi.fn(),
  keepHistory: vi.fn(),
  keepDraft: vi.fn(),
  dropDraft: vi.fn(),
  forget: vi.fn(),
}));

const DOWN: Piece['stand'] = { kind: 'bed', buryMm: 12 };
let commission: ReturnType<typeof useCommission>;
const stand = () => commission.option!.pieces.find((p) => p.id === 'S-1')!.stand;
/** S-1 moved, and let down in a step that is answered later than steps of one key are taken for one. */
async function movedAndLetDown(meanwhile: () => void): Promise<void> {
  useScapeEdit().place('S-1', 100, 100);
  const letDown = useLetDown(async () => {
    vi.advanceTimersByTime(5_000);
    return DOWN;
  });
  const step = commission.stepNow();
  meanwhile();
  await letDown('S-1', step);
}

beforeEach(async () => {
  vi.useFakeTimers();
  setActivePinia(createPinia());
  commission = useCommission();
  await commission.open('c');
});

it('is undone with the step that set the piece, however long it took', async () => {
  const before = commission.document;
  await movedAndLetDown(() => {});
  expect(stand()).toEqual(DOWN);
  commission.undo();
  expect(commission.document).toEqual(before);
  commission.redo();
  expect(stand()).toEqual(DOWN);
});

it('is a step of its own once something else was done, or by itself', async () => {
  await movedAndLetDown(() => useScapeEdit().turn('S-1', 10));
  commission.undo();
  expect(stand()).not.toEqual(DOWN);
  expect(commission.past).toHaveLength(2);
  await useLetDown(async () => DOWN)('S-1');
  expect(commission.past).toHaveLength(3);
});

it('is a step of its own where the one that set the piece was taken back; nothing of a piece that is gone', async () => {
  const before = commission.document;
  await movedAndLetDown(() => commission.undo());
  expect(commission.past.length).toBe(1);
  commission.undo();
  expect(commission.document).toEqual(before);
  await useLetDown(async () => DOWN)('S-99');
  expect(commission.document).toEqual(before);
});
