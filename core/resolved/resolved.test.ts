import { describe, expect, it } from 'vitest';
import { withKnown } from '../catalogue/knownPlants';
import { carpet, fish, root, sand, stone } from '../testing/job';
import { resolved } from '../testing/resolved';
import { parsed, scape, soil } from '../testing/scape';
import { layerOf, pieceOf, plantingOf } from './resolved';

/* A job with something of everything: what stays, what is brought, what comes later, what nobody has said. */

const doc = (() => {
  const s = structuredClone(scape()) as any;
  s.options[0] = {
    ...s.options[0],
    bed: [soil({ kind: 'level', mm: 50 }), sand(20, { origin: 'bought', laterDays: 21 })],
    pieces: [stone(), root({ origin: 'bought' }), stone({ id: 'S-2', at: [450, 180], wasAt: [300, 300] })],
    plants: [{ ...carpet, origin: 'bought', ownPlugs: 12 }],
  };
  s.brief = {
    ...s.brief,
    rescape: { stays: ['stone', 'substrate', 'plants'], filterKept: true },
    livestock: [fish, { species: 'crab-of-nobody', count: 1 }],
  };
  s.site = { roomC: [14, 24], devices: [{ id: 'f', name: 'heater in the filter', watts: 100, arrives: '2027-02-01' }] }; // prettier-ignore
  return parsed(s);
})();
const job = resolved(doc);

describe('a commission that is resolved', () => {
  it('has each piece with its material, where it comes from and how it is on the day', () => {
    expect(pieceOf(job, 'S-1')).toMatchObject({ origin: 'here', state: 'living', isMoved: false });
    expect(pieceOf(job, 'S-2')).toMatchObject({ origin: 'here', isMoved: true });
    const wood = pieceOf(job, 'R-1');
    expect(wood).toMatchObject({ origin: 'bought', state: 'dry', stateOnDay: 'dry', soakDays: 14 });
    expect(wood.material.name).toBe('Branch');
  });

  it('has each layer and planting with what of it is there', () => {
    expect(layerOf(job, 'soil')).toMatchObject({ origin: 'here', laterDays: 0, reposeDeg: 32 });
    expect(layerOf(job, 'sand')).toMatchObject({ origin: 'bought', laterDays: 21, atHandL: 0 });
    expect(plantingOf(job, 'P-1')).toMatchObject({ origin: 'bought', laterDays: 0, atHand: 12 });
    // What stays is at hand as a whole, and of what is brought nothing.
    expect(layerOf(job, 'soil')).toMatchObject({ role: 'soil', broughtL: 0 });
    expect(layerOf(job, 'soil').atHandL).toBeCloseTo(layerOf(job, 'soil').pouredL, 9);
  });

  it('has sand that is only looked at on the day of the school, unless it has a day of its own', () => {
    const late = (more: object) => {
      const s = structuredClone(doc) as any;
      s.brief.schools = { sand: 'later' };
      s.options[0].bed[1] = sand(80, { origin: 'bought', ...more });
      s.options[0].plants = [];
      s.options[0].pieces = [];
      return layerOf(resolved(parsed(s)), 'sand');
    };
    expect(late({})).toMatchObject({ role: 'cosmetic', laterDays: 21 });
    expect(late({}).broughtL).toBeGreaterThan(4);
    expect(late({ laterDays: 0 })).toMatchObject({ laterDays: 0 });
  });

  it('has plants, animals and gear filled in from what is known of them', () => {
    // Of a carpet it is known when it is trimmed.
    expect(doc.catalogue.plants[0].firstTrimDays).toBeUndefined();
    expect(job.catalogue.plants[0].firstTrimDays).toBe(withKnown(doc.catalogue.plants[0]).firstTrimDays);
    expect(job.catalogue.plants[0].firstTrimDays).toBeGreaterThan(0);
    expect(plantingOf(job, 'P-1').plant).toBe(job.catalogue.plants[0]);
    expect([...job.animals.keys()]).toEqual([fish.species]);
    expect(job.gear).toMatchObject([{ kind: 'heater', watts: 100, late: true, warms: 'elsewhere' }]);
  });

  it('has the limits that hold here', () => {
    expect(job.limits).toEqual({ clearFrontMm: 10, tallestMm: 360, roomC: [14, 24] });
  });

  it('leaves the document as it is, and is the same when it is resolved again', () => {
    const before = structuredClone(doc);
    expect(resolved(job)).toEqual(job);
    expect(doc).toEqual(before);
  });

  it('says which thing is not of the option', () => {
    expect(() => pieceOf(job, 'S-9')).toThrow('piece "S-9" is not in the option that was resolved');
  });
});
