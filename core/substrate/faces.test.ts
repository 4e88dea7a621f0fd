import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { piece, scape, soil } from '../testing/scape';
import { survey } from '../survey/survey';
import { surveyFindings } from '../findings/findings';
import { facesOf } from './faces';
import { resolved } from '../testing/resolved';

/** Soil 108 mm high over the back half of a floor of 600 × 360. */
const terrace: Layer = soil({ kind: 'level', mm: 108 }, { region: [[0, 180], [600, 180], [600, 360], [0, 360]] }); // prettier-ignore

describe('steps in the bed', () => {
  it('finds the face of 108 mm that a layer of soil has where it ends, and its length', () => {
    const faces = facesOf(survey(scape({ option: { bed: [terrace] } })).field);
    expect(faces.reduce((sum, f) => sum + f.lengthMm, 0)).toBeCloseTo(600, 6);
    for (const f of faces) {
      expect(f.heightMm).toBeCloseTo(108, 6);
      expect(Math.abs(f.xyMm[1] - 180)).toBeLessThan(6);
    }
  });

  it('finds none in a ramp, and none against the glass', () => {
    const ramp = soil({ kind: 'ramp', frontMm: 20, backMm: 150 });
    expect(facesOf(survey(scape({ option: { bed: [ramp] } })).field)).toEqual([]);
  });

  it('says that it slides, unless stones stand before it', () => {
    const found = (pieces: ReturnType<typeof piece>[]) => {
      const doc = scape({ option: { bed: [terrace], pieces } });
      return surveyFindings(resolved(doc), survey(doc)).filter((f) => f.id === 'bed.face');
    };
    expect(found([])).toMatchObject([{ measured: 108, unit: 'mm', at: { layer: 'soil' } }]);
    const wall = { kind: 'box' as const, sizeMm: [600, 40, 110] as [number, number, number] };
    expect(found([piece({ shape: wall, at: [300, 155], stand: { kind: 'floor' } })])).toEqual([]);
    // A pebble before it holds nothing.
    const pebble = { kind: 'box' as const, sizeMm: [600, 40, 20] as [number, number, number] };
    expect(found([piece({ shape: pebble, at: [300, 155], stand: { kind: 'floor' } })])).toHaveLength(1);
  });
});
