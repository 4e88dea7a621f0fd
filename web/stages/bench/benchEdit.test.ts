import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { toRaw } from 'vue';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { example } from '../../../core/testing/scape';
import type { Studio } from '../../../core/catalogue/studio';
import type { Piece } from '../../../core/commission/schema';
import { pieceKey } from './pieceKeys';
import { useLetDown } from './useLetDown';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';
import { useBedEdit } from '../../document/bedEdit';
import { usePocketEdit } from '../../document/pocketEdit';
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
    expect(says).toBe('is -4 mm, must be at least 0 mm');
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

describe('several pieces', () => {
  it('are copied clear of themselves, bought, with the joints between them', () => {
    const ids = edit.copy(['S-1', 'R-1']);
    expect(ids).toEqual(['N-1', 'N-2']);
    expect(Math.abs(piece('N-1').at[0] - piece('S-1').at[0])).toBeGreaterThan(25);
    const { length } = commission.document!.vessel.innerMm;
    expect(commission.option!.pieces.every((p) => p.at[0] >= 0 && p.at[0] <= length)).toBe(true);
    expect(piece('N-1')).toMatchObject({ origin: 'bought' });
    expect(piece('N-1').massKg).toBeUndefined();
    const joint = commission.option!.joints.at(-1)!;
    expect([...joint.pieces].sort()).toEqual(['N-1', 'N-2']);
  });

  it('are turned about their common middle, mirrored across the tank, and moved together', () => {
    edit.copy(['S-1']);
    edit.place('S-1', 200, 180);
    edit.place('N-1', 400, 180);
    edit.turnAll(['S-1', 'N-1'], 'z', 90);
    expect([piece('S-1').at, piece('N-1').at]).toEqual([[300, 80], [300, 280]]); // prettier-ignore
    edit.moveAll([piece('S-1'), piece('N-1')], 50, -10);
    expect([piece('S-1').at, piece('N-1').at]).toEqual([[350, 70], [350, 270]]); // prettier-ignore
    const { length } = commission.document!.vessel.innerMm;
    edit.mirrorAll(['S-1']);
    expect(piece('S-1').at).toEqual([length - 350, 70]);
  });

  it('lean about the axes of the room, however they are turned', () => {
    edit.tryPiece('S-1', 'turn', (p) => ({ ...p, turnDeg: 90, tiltDeg: undefined }));
    edit.turnAll(['S-1'], 'y', 30);
    // Turned by 90° its own y points to the left of the room: it leans about its own x.
    expect(piece('S-1')).toMatchObject({ turnDeg: 90, tiltDeg: [30, 0] });
  });

  it('give their place to another of the yard, with turn, joints and what rests on them', () => {
    const before = piece('S-1');
    const to = edit.swap('S-1', { id: 'S-77', material: before.material, shape: { kind: 'box', sizeMm: [90, 80, 70] } }); // prettier-ignore
    expect(to).toBe('S-77');
    expect(piece('S-77')).toMatchObject({ at: before.at, turnDeg: before.turnDeg, stand: before.stand, origin: 'stock' }); // prettier-ignore
    expect(commission.option!.joints.flatMap((j) => j.pieces)).not.toContain('S-1');
    expect(commission.option!.pieces.every((p) => p.stand.kind !== 'on' || p.stand.piece !== 'S-1')).toBe(
      true,
    );
  });
});

describe('soil heaped on a piece', () => {
  const heaps = () => (commission.option!.pockets ?? []).map(({ on, offsetMm }) => [on, ...offsetMm]);

  it('is mirrored with it, goes to what takes its place, and goes when it goes or a start takes all', () => {
    const pockets = usePocketEdit();
    pockets.addOn('S-1');
    const [{ id }] = commission.option!.pockets!;
    expect(pockets.change(id, 'right', { offsetMm: [12, 5] })).toBeUndefined();
    expect(pockets.change(id, 'high', { heightMm: -3 })).toMatch(/must be at least 1/);
    edit.mirrorAll(['S-1']);
    expect(heaps()).toEqual([['S-1', -12, 5]]);
    const source = { id: 'S-77', material: piece('S-1').material, shape: piece('S-1').shape, grainDeg: 40 };
    edit.swap('S-1', source);
    expect(heaps()).toEqual([['S-77', -12, 5]]);
    expect(piece('S-77').grainDeg).toBe(40);
    commission.endStep();
    edit.takeStart({ style: 'three', pieces: [], mounds: [], rules: [] });
    expect(commission.option!.pockets).toBeUndefined();
    commission.undo();
    edit.remove('S-77');
    expect(commission.option).not.toHaveProperty('pockets');
  });
});

describe('the layers of the bed', () => {
  const bed = () => commission.option!.bed;
  const own = () => useBedEdit();

  it('are laid on where they belong, moved, given another material and taken away', () => {
    const [soil] = bed();
    const id = own().add(soil.material);
    expect(bed().map((l) => l.id)).toEqual([soil.id, id]);
    own().move(id, -1);
    expect(bed().map((l) => l.id)).toEqual([id, soil.id]);
    own().move(id, -1);
    expect(bed()[0].id).toBe(id);
    own().drop(id);
    expect(bed()).toHaveLength(1);
    commission.undo();
    expect(bed()).toHaveLength(2);
  });

  it('are sculpted by touches that keep their hills, and a path lies only where there is floor', () => {
    const [soil] = bed();
    own().touch(soil.id, { brush: 'raise', at: [100, 100], radiusMm: 60, strengthMm: 10 });
    expect(bed()[0].top.kind).toBe('grid');
    expect(bed()[0].mounds).toBeUndefined();
    expect(own().addPath([[9000, 0], [9000, 50]], soil.material)).toBeUndefined(); // prettier-ignore
    expect(bed()).toHaveLength(1);
    const path = own().addPath([[300, 0], [300, 200]], soil.material)!; // prettier-ignore
    own().addEdge(path, soil.material);
    expect(bed().map((l) => [l.id, l.cuts, (l.region ?? []).length > 3])).toEqual([
      [soil.id, undefined, false],
      [`${path}-edge`, true, true],
      [path, true, true],
    ]);
    own().drop(path);
    expect(bed()).toHaveLength(1);
  });
});

describe('undo', () => {
  /** Acts at the bench by number: what a hand does in any order. */
  const acts: ((
    edit: ReturnType<typeof useScapeEdit>,
    pick: (n: number) => string,
    mm: number,
  ) => unknown)[] = [
    (e, pick, mm) => e.place(pick(mm), mm * 7, mm * 3),
    (e, pick, mm) => e.nudge(pick(mm), mm - 50, 5),
    (e, pick, mm) => e.lift(pick(mm), mm - 50),
    (e, pick, mm) => e.turnAll([pick(mm), pick(mm + 1)], 'z', mm),
    (e, pick, mm) => e.turnAll([pick(mm)], 'x', 5),
    (e, pick) => e.mirrorAll([pick(0), pick(1)]),
    (e, pick, mm) => e.copy([pick(mm), pick(mm + 1)]),
    (e, pick, mm) => e.remove(pick(mm)),
    (e, pick, mm) => e.join(pick(mm), pick(mm + 1)),
    (e, pick, mm) => e.tryPiece(pick(mm), 'stand', (p) => ({ ...p, stand: { kind: 'at', zMm: mm } })),
    (e, _pick, mm) => e.takeStart({ style: 'three', pieces: [], mounds: [{ at: [mm, mm], radiusMm: 50, heightMm: 20 }], rules: [] }), // prettier-ignore
    (_e, pick, mm) => usePocketEdit().addOn(pick(mm)),
    () => useBedEdit().add('soil-granules'),
    () => useBedEdit().addPath([[100, 0], [200, 360]], 'soil-granules'), // prettier-ignore
    (_e, _pick, mm) => commission.option!.bed[0] && useBedEdit().drop(commission.option!.bed[mm % commission.option!.bed.length].id), // prettier-ignore
  ];

  it('of any sequence restores the document exactly, and redo brings it back', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(acts.length - 1), fc.nat(100)), { minLength: 1, maxLength: 25 }),
        async (sequence) => {
          setActivePinia(createPinia());
          commission = useCommission();
          await commission.open('c');
          edit = useScapeEdit();
          const before = structuredClone(toRaw(commission.document));
          for (const [act, mm] of sequence) {
            const pick = (n: number) => {
              const { pieces } = commission.option!;
              return pieces[n % Math.max(1, pieces.length)]?.id ?? 'none';
            };
            acts[act](edit, pick, mm);
            commission.endStep();
          }
          const after = structuredClone(toRaw(commission.document));
          let undone = 0;
          while (commission.past.length > 0) {
            commission.undo();
            undone++;
          }
          expect(toRaw(commission.document)).toEqual(before);
          for (let n = 0; n < undone; n++) commission.redo();
          expect(toRaw(commission.document)).toEqual(after);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a piece that is let down', () => {
  const DOWN: Piece['stand'] = { kind: 'bed', buryMm: 12 };
  /** S-1 moved, and let down in a step that is answered later than steps of one key are taken for one. */
  async function movedAndLetDown(meanwhile: () => void): Promise<void> {
    edit.place('S-1', 100, 100);
    const letDown = useLetDown(async () => {
      vi.advanceTimersByTime(5_000);
      return DOWN;
    });
    const step = commission.stepNow();
    meanwhile();
    await letDown('S-1', step);
  }

  it('is undone with the step that set the piece, however long it took', async () => {
    const before = commission.document;
    await movedAndLetDown(() => {});
    expect(piece('S-1').stand).toEqual(DOWN);
    commission.undo();
    expect(commission.document).toEqual(before);
    commission.redo();
    expect(piece('S-1').stand).toEqual(DOWN);
  });

  it('is a step of its own once something else was done, or by itself', async () => {
    await movedAndLetDown(() => edit.turn('S-1', 10));
    commission.undo();
    expect(piece('S-1').stand).not.toEqual(DOWN);
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
});
