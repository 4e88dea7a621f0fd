import { Mesh, Vector3, type Object3D } from 'three';
import { describe, expect, it } from 'vitest';
import { turned, rotation } from '../../../core/geometry/rotation';
import { plan } from '../../../core/pipeline/plan';
import { example } from '../../../core/testing/scape';
import { halfGrown } from '../halfGrown';
import { meshForDrawing } from '../../document/drawnMeshes';
import { keeper } from './kept';
import { straight, type Seen, type Spot } from './place';
import { seatScene, type SeatLook } from './seatScene';

const doc = example('held-root');
const [option] = doc.options;
const planned = plan(doc);
const { field } = planned.survey;
const seen: Seen = {
  vessel: doc.vessel,
  option,
  materials: doc.catalogue.materials,
  field,
  survey: planned.survey,
};
const eye: Spot = [200, -900, 400];
const look: SeatLook = {
  refraction: false,
  light: 'day',
  plants: halfGrown(doc, option, field),
  quick: true,
};
const solidsOf = (all: Object3D[]) => all.filter((o): o is Mesh => o instanceof Mesh && o.userData.shared);

describe('what a seat sees', () => {
  it('has every piece where the survey has it', () => {
    const solids = solidsOf(seatScene(seen, eye, look, keeper()).children);
    expect(solids).toHaveLength(option.pieces.length);
    option.pieces.forEach((p, i) => {
      const own = meshForDrawing(p.shape).vertices;
      const v = turned(own, rotation(p.turnDeg, p.tiltDeg));
      const z = planned.survey.pieces.find((s) => s.id === p.id)!.zMm;
      for (const k of [0, 9, 30]) {
        const drawn = new Vector3(own[k], own[k + 1], own[k + 2]).applyMatrix4(solids[i].matrix);
        const [x, y, w] = straight(v[k] + p.at[0], v[k + 1] + p.at[1], v[k + 2] + z);
        expect(drawn.distanceTo(new Vector3(x, y, w))).toBeLessThan(1e-3);
      }
    });
  });

  it('takes over what has not changed: a stone that moves moves, the bed stays', () => {
    const keep = keeper();
    const before = [...seatScene(seen, eye, look, keep).children];
    const moved = { ...option, pieces: option.pieces.map((p, i) => (i === 0 ? { ...p, at: [120, 90] as [number, number] } : p)) }; // prettier-ignore
    const after = seatScene({ ...seen, option: moved }, eye, look, keep).children;
    const bed = (all: Object3D[]) => all.find((o) => o instanceof Mesh && o.receiveShadow && !o.castShadow);
    expect(bed(after)).toBe(bed(before));
    const [was, is] = [solidsOf(before)[0], solidsOf(after)[0]];
    expect(is.geometry).toBe(was.geometry);
    expect(is.matrix.elements.slice(12, 15)).not.toEqual(was.matrix.elements.slice(12, 15));
  });

  it('bends what stands in the water, from in front of a flat pane alone', () => {
    const bent = { ...look, refraction: true };
    const front = seatScene(seen, eye, bent, keeper()).children;
    expect(solidsOf(front)).toEqual([]);
    const middle = (all: Object3D[]) => {
      const stone = all.find((o): o is Mesh => o instanceof Mesh && o.userData.piece !== undefined)!;
      stone.geometry.computeBoundingBox();
      return stone.geometry.boundingBox!.getCenter(new Vector3()).applyMatrix4(stone.matrix);
    };
    // It seems nearer to the pane, which lies at z = 0.
    const real = middle(seatScene(seen, eye, look, keeper()).children);
    expect(Math.abs(middle(front).z)).toBeLessThan(Math.abs(real.z) * 0.85);
    expect(solidsOf(seatScene(seen, [200, 50, 900], bent, keeper()).children)).not.toEqual([]);
  });

  it('is drawn up close with the same pieces in the same places, worn by no more than they weather', () => {
    const quickly = seatScene(seen, eye, look, keeper()).children;
    const full = seatScene(seen, eye, { ...look, quick: false }, keeper()).children;
    const boxes = (all: Object3D[]) => solidsOf(all).map((m) => (m.geometry.computeBoundingBox(), m.geometry.boundingBox!)); // prettier-ignore
    const [coarse, fine] = [boxes(quickly), boxes(full)];
    expect(fine).toHaveLength(option.pieces.length);
    fine.forEach((box, i) => {
      expect(box.min.distanceTo(coarse[i].min)).toBeLessThan(5);
      expect(box.max.distanceTo(coarse[i].max)).toBeLessThan(5);
    });
    solidsOf(full).forEach((m, i) => expect(m.matrix.elements).toEqual(solidsOf(quickly)[i].matrix.elements));
  });

  it('throws the shadow of leaves by fewer of them, which nobody sees', () => {
    const full = seatScene(seen, eye, { ...look, quick: false }, keeper()).children;
    const unseen = full.filter((o): o is Mesh => o instanceof Mesh && o.geometry.drawRange.count === 0);
    expect(unseen).toHaveLength(look.plants.filter((p) => p.spots.length > 0).length);
    const [one] = unseen;
    const nothing = undefined as never;
    one.onBeforeShadow(nothing, nothing, nothing, nothing, one.geometry, nothing, nothing);
    expect(one.geometry.drawRange.count).toBe(Infinity);
    one.onAfterShadow(nothing, nothing, nothing, nothing, one.geometry, nothing, nothing);
    expect(one.geometry.drawRange.count).toBe(0);
  });
});
