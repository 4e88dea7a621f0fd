import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { example } from '../../../core/testing/scape';
import type { Studio } from '../../../core/catalogue/studio';
import { pieceKey } from './pieceKeys';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';
import { useScapeEdit } from '../../document/scapeEdit';

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

let edit: ReturnType<typeof useScapeEdit>;
let commission: ReturnType<typeof useCommission>;
const piece = (id: string) => commission.option!.pieces.find((p) => p.id === id)!;

beforeEach(async () => {
  vi.useFakeTimers();
  setActivePinia(createPinia());
  commission = useCommission();
  await commission.open('c');
  edit = useScapeEdit();
});

describe('on the bench', () => {
  it('keeps a piece over the floor wherever it is pulled', () => {
    edit.place('S-1', -50, 999);
    expect(piece('S-1').at).toEqual([0, 360]);
    edit.nudge('S-1', 5, -20);
    expect(piece('S-1').at).toEqual([5, 340]);
  });

  it('lifts out of the bed or up in the water; what rests on another keeps its height', () => {
    edit.lift('S-1', 10);
    expect(piece('S-1').stand).toEqual({ kind: 'bed', buryMm: 20 });
    edit.tryPiece('S-1', 'stand', (p) => ({ ...p, stand: { kind: 'at', zMm: 100 } }));
    edit.lift('S-1', -30);
    expect(piece('S-1').stand).toEqual({ kind: 'at', zMm: 70 });
    const before = piece('R-1');
    edit.lift('R-1', 40);
    expect(piece('R-1')).toBe(before);
  });

  it('leaves what stays a shadow where it stood, until it is put back; what is fixed does not move', () => {
    edit.piece('S-1', 'origin', (p) => ({ ...p, origin: 'here' }));
    const was = piece('S-1').at;
    edit.place('S-1', was[0] + 60, was[1]);
    edit.place('S-1', was[0] + 90, was[1] - 20);
    expect(piece('S-1')).toMatchObject({ at: [was[0] + 90, was[1] - 20], wasAt: was });
    edit.place('S-1', was[0] + 2, was[1] + 1);
    expect(piece('S-1').at).toEqual(was);
    expect(piece('S-1').wasAt).toBeUndefined();
    edit.piece('S-1', 'fix', (p) => ({ ...p, fixed: true }));
    edit.place('S-1', 10, 10);
    expect(piece('S-1').at).toEqual(was);
  });

  it('turns within a full circle', () => {
    edit.turn('S-1', -15);
    expect(piece('S-1').turnDeg).toBe(345);
    edit.turn('S-1', 20);
    expect(piece('S-1').turnDeg).toBe(5);
  });

  it('takes a piece off with its joints, and sets down what rested on it', () => {
    edit.remove('S-1');
    expect(commission.option!.pieces.map((p) => [p.id, p.stand])).toEqual([
      ['R-1', { kind: 'bed', buryMm: 0 }],
    ]);
    expect(commission.option!.joints).toEqual([]);
    commission.undo();
    expect(commission.option!.pieces).toHaveLength(2);
  });

  it('brings a piece of the yard with its material, under a name of its own', () => {
    const cobble = { id: 'cobble', kind: 'stone' as const, name: 'Quartzite cobble', densityKgPerL: 2.62 };
    const catalogue = { materials: [cobble], plants: [], suppliers: [] };
    useStudio().studio = { name: 'Fenwick Row', currency: 'GBP', catalogue, yard: [] } satisfies Studio;
    const source = {
      id: 'S-1',
      material: 'cobble',
      shape: { kind: 'box' as const, sizeMm: [40, 30, 20] as [number, number, number] },
    };
    expect(edit.add(source, [100, 120])).toBe('S-1.2');
    expect(piece('S-1.2')).toMatchObject({ at: [100, 120], owned: true, stand: { kind: 'bed', buryMm: 20 } });
    expect(commission.document!.catalogue.materials.map((m) => m.id)).toContain('cobble');
    expect(edit.add(source)).toBe('S-1.3');
    expect(piece('S-1.3').at).toEqual([300, 180]);
  });

  it('joins two pieces, and parts them again', () => {
    edit.join('R-1', 'S-1');
    expect(commission.option!.joints).toEqual([]);
    edit.join('R-1', 'S-1');
    expect(commission.option!.joints).toEqual([{ id: 'J-1', pieces: ['R-1', 'S-1'], method: 'fibre-glue' }]);
  });

  it('refuses a typed value that the format does not allow, and changes nothing', () => {
    const says = edit.tryLayer('soil', 'top', (l) => ({ ...l, top: { kind: 'level', mm: -4 } }));
    expect(says).toBe('is -4, must be at least 0');
    expect(commission.option!.bed[0].top.kind).toBe('ramp');
    expect(edit.tryPiece('S-1', 'rest', (p) => ({ ...p, stand: { kind: 'on', piece: 'R-1' } }))).toMatch(
      /stand on itself/,
    );
  });
});

describe('keys on a piece', () => {
  const press = (key: string, shiftKey = false, view: 'front' | 'above' = 'above') => {
    const event = { key, shiftKey, preventDefault: vi.fn() } as unknown as KeyboardEvent;
    return [pieceKey(event, piece('S-1'), view, edit), vi.mocked(event.preventDefault).mock.calls.length];
  };

  it('nudge 5 mm, with Shift 20, and bury in the front view', () => {
    expect(press('ArrowRight')).toEqual([true, 1]);
    press('ArrowUp', true);
    expect(piece('S-1').at).toEqual([385, 240]);
    press('ArrowDown', false, 'front');
    expect(piece('S-1')).toMatchObject({ at: [385, 240], stand: { buryMm: 35 } });
  });

  it('turn by brackets, and leave other keys alone', () => {
    press(']');
    press('{', true);
    expect(piece('S-1').turnDeg).toBe(4);
    expect(press('q')).toEqual([false, 0]);
    press('Delete');
    expect(commission.option!.pieces.map((p) => p.id)).toEqual(['R-1']);
  });
});
