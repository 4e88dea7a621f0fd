import { effectScope } from 'vue';
import { describe, expect, it, vi } from 'vitest';
import { usePointerDrag } from './usePointerDrag';

const pointer = (type: string, x: number, pointerId = 1) =>
  new PointerEvent(type, { button: 0, clientX: x, clientY: 0, pointerId });

function dragged() {
  const [move, end] = [vi.fn(), vi.fn()];
  const scope = effectScope();
  const down = scope.run(() =>
    usePointerDrag<string>({ start: () => 'stone', move: (from, { dx }) => move(from, dx), end }),
  )!;
  return { move, end, scope, down };
}

describe('a drag', () => {
  it('follows its own pointer until that goes up', () => {
    const { move, end, down } = dragged();
    down(pointer('pointerdown', 100));
    window.dispatchEvent(pointer('pointermove', 130));
    window.dispatchEvent(pointer('pointermove', 900, 2));
    window.dispatchEvent(pointer('pointerup', 900, 2));
    window.dispatchEvent(pointer('pointerup', 140));
    window.dispatchEvent(pointer('pointermove', 150));
    expect(move.mock.calls).toEqual([['stone', 30]]);
    expect(end).toHaveBeenCalledTimes(1);
  });

  it('ends when what was dragged goes, and leaves nothing behind that listens', () => {
    const { move, end, scope, down } = dragged();
    down(pointer('pointerdown', 100));
    scope.stop();
    expect(end).toHaveBeenCalledTimes(1);
    window.dispatchEvent(pointer('pointermove', 130));
    window.dispatchEvent(pointer('pointerup', 130));
    expect([move.mock.calls.length, end.mock.calls.length]).toEqual([0, 1]);
  });
});
