import { describe, expect, it } from 'vitest';
import { usePainting } from './usePainting';

const key = (name: string) => new Proxy({ key: name, preventDefault() {} } as unknown as KeyboardEvent, {});

function paint(answer?: string) {
  const regions: [number, number][][] = [];
  const painting = usePainting({
    size: () => ({ length: 600, width: 360 }),
    done: (region) => {
      regions.push(region);
      return answer;
    },
  });
  painting.begin();
  return { painting, regions };
}

describe('painting a region', () => {
  it('sets corners on the wall they are near, and closes on the first', () => {
    const { painting, regions } = paint();
    painting.corner([3, -20]);
    painting.corner([300, 4]);
    painting.corner([598, 400]);
    painting.corner([6, 5]);
    expect(regions).toEqual([
      [
        [0, 0],
        [300, 0],
        [600, 360],
      ],
    ]);
    expect(painting.corners.value).toEqual([]);
  });

  it('asks for three corners, takes the last one back, and leaves on Esc', () => {
    const { painting, regions } = paint();
    painting.corner([100, 100]);
    painting.corner([200, 100]);
    painting.key(key('Enter'), () => {});
    expect(painting.fault.value).toMatch(/three corners/);
    painting.key(key('Backspace'), () => {});
    expect(painting.corners.value).toHaveLength(1);
    let left = false;
    painting.key(key('Escape'), () => (left = true));
    expect([left, regions.length, painting.corners.value.length]).toEqual([true, 0, 0]);
  });

  it('keeps the corners of a region that is refused', () => {
    const { painting } = paint('crosses itself');
    for (const at of [
      [50, 50],
      [200, 200],
      [200, 50],
      [50, 200],
    ] as [number, number][])
      painting.corner(at);
    painting.close();
    expect(painting.fault.value).toBe('The region crosses itself.');
    expect(painting.corners.value).toHaveLength(4);
  });
});
