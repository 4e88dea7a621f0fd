import { describe, expect, it } from 'vitest';
import { stageOf } from './stageOf';

describe('the stage of a finding', () => {
  it.each([
    [{ plant: 'P-1' }, 'planting'],
    [{ supplier: 'S' }, 'order'],
    [{ piece: 'S-1' }, 'bench'],
    [{ layer: 'soil' }, 'bench'],
    [{ field: 'log' }, 'log'],
    [{ field: 'brief.crew' }, 'brief'],
    [{ field: 'site.sockets' }, 'vessel'],
  ])('%o is changed on %s', (at, stage) => expect(stageOf(at)).toBe(stage));
});
