const STEPS: Readonly<Record<string, readonly [right: number, up: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** How far an arrow key moves, to the right and up; further with Shift. Undefined for other keys. */
export function arrowStep(
  event: Pick<KeyboardEvent, 'key' | 'shiftKey'>,
  step: number,
  withShift = step,
): [right: number, up: number] | undefined {
  const by = STEPS[event.key];
  const far = event.shiftKey ? withShift : step;
  return by && [by[0] * far, by[1] * far];
}
