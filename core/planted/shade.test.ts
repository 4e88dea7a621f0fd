import { describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import type { Commission, Planting } from '../commission/schema';
import { survey } from '../survey/survey';
import { scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { plantedPlan } from './planted';
import { resolved } from '../testing/resolved';

const rect = (x: number, y: number, w: number, d: number): [number, number][] => [[x, y], [x + w, y], [x + w, y + d], [x, y + d]]; // prettier-ignore

/** A level bed under one lamp at the front, that shines from there to the back. */
function tank(plants: Partial<Planting>[], change: (c: Commission) => void = () => {}): Commission {
  const c = scape({ inner: [600, 400, 400], option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: [] } });
  c.catalogue.plants = [...new Set(plants.map((p) => p.plant!))].map((id) => KNOWN_PLANTS.find((p) => p.id === id)!); // prettier-ignore
  c.options[0].plants = plants.map((p, i) => ({ id: `P-${i + 1}`, plant: 'x', spacingMm: 30, ...p }));
  c.site = { devices: [{ id: 'lamp', name: 'lamp', watts: 40, kind: 'lamp', light: { umolPerS: 60, at: [300, 100], aboveRimMm: 60 } }] }; // prettier-ignore
  c.brief.co2 = true;
  change(c);
  return c;
}
const planted = (c: Commission) => plantedPlan(resolved(c), survey(c));
const low = { plant: 'marsilea-hirsuta', region: rect(100, 300, 400, 80) };
const hedge = { plant: 'rotala-rotundifolia', region: rect(60, 160, 480, 120) };

describe('what floats', () => {
  it('has the light of the surface, drawn somewhere or only counted', () => {
    const counted = { plant: 'salvinia-auriculata', count: 40, region: undefined, spacingMm: undefined };
    const drawn = { plant: 'salvinia-auriculata', region: rect(5, 5, 590, 390), spacingMm: 60 };
    const [[c], [d], [bed]] = [[counted], [drawn], [low]].map((plants) => planted(tank(plants)).parts);
    expect(c.meanDli / d.meanDli).toBeCloseTo(1, 0);
    expect(c.meanDli).toBeGreaterThan(1.5 * bed.meanDli);
  });
});

describe('light once all have grown', () => {
  it('a hedge in front of the lamp takes the light of what stands behind it', () => {
    const [alone] = planted(tank([low])).parts;
    expect(alone.grownDli).toBeCloseTo(alone.meanDli, 6);
    expect(alone.shadedBy).toBeUndefined();
    const { parts, findings } = planted(tank([low, hedge]));
    expect(parts[0].meanDli).toBeCloseTo(alone.meanDli, 6);
    expect(parts[0].grownDli!).toBeLessThan(0.6 * alone.meanDli);
    expect(parts[0].shadedBy).toBe('P-2');
    const said = findings.find((f) => f.id === 'plant.shaded')!;
    expect(inEnglish(said.says)).toMatch(
      /once Rotala rotundifolia has grown [\d.]+ are left. It lives from 0.6/,
    );
    // The hedge itself keeps its light: what is lower does not shade it.
    expect(parts[1].grownDli! / parts[1].meanDli).toBeGreaterThan(0.95);
  });

  it('is less by three quarters under a closed cover that floats', () => {
    const float = { plant: 'salvinia-auriculata', count: 400, region: undefined, spacingMm: undefined };
    const [part] = planted(tank([low, float])).parts;
    expect(part.grownDli! / part.meanDli).toBeCloseTo(0.25, 2);
    // 100 portions of π · 20² mm² on 0.24 m²: 52 % of the surface, 61 % of the light.
    const [half] = planted(tank([low, { ...float, count: 100 }])).parts;
    expect(half.grownDli! / half.meanDli).toBeCloseTo(1 - 0.75 * 0.5236, 3);
  });
});

describe('schools of planting', () => {
  it('of three species at most finds a fourth', () => {
    const ids = (species: 'three' | 'many' | undefined) => planted(tank(['marsilea-hirsuta', 'rotala-rotundifolia', 'cryptocoryne-parva', 'staurogyne-repens'].map((plant, i) => ({ plant, region: rect(20 + i * 140, 40, 120, 100) })), (c) => (c.brief.schools = { species }))).findings.map((f) => f.id); // prettier-ignore
    expect(ids('three')).toContain('plants.species');
    expect(ids('many')).not.toContain('plants.species');
    expect(ids(undefined)).not.toContain('plants.species');
  });
});

describe('passages for fish', () => {
  it('water behind stones that the largest fish does not get out of is found', () => {
    const wall = { id: 'S-1', material: 'slate', shape: { kind: 'box' as const, sizeMm: [20, 360, 380] as [number, number, number] }, at: [380, 220] as [number, number], turnDeg: 0, stand: { kind: 'floor' as const } }; // prettier-ignore
    const of = (species: string) => planted(tank([low], (c) => {
      c.options[0].pieces = [{ ...wall, material: c.catalogue.materials.find((m) => m.kind === 'stone')!.id } as never];
      c.site!.devices!.push({ id: 'f', name: 'filter', watts: 10, kind: 'filter', litresPerHour: 600 });
      c.brief.livestock = [{ species, count: 2 }];
    })).findings.filter((f) => f.id === 'water.shut'); // prettier-ignore
    const [found] = of('pterophyllum-scalare');
    expect(inEnglish(found.says)).toMatch(
      /shut off for .*: it needs \d+ mm, the widest way in is about \d0 mm/,
    );
    expect(of('paracheirodon-innesi')).toEqual([]);
  });
});
