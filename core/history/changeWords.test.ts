import { describe, expect, it } from 'vitest';
import { changesBetween } from '../commission/changes';
import type { Commission } from '../commission/schema';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import { changeWords, editWords } from './changeWords';

const start = example('held-root');
/** What is told of a change, line by line. */
function told(change: (c: Commission) => void): string[] {
  const is = structuredClone(start);
  change(is);
  return editWords(changesBetween(start, is), start).map((l) => inEnglish(l.says));
}
const option = (c: Commission) => c.options[0];
const [piece] = option(start).pieces;
const [planting] = option(start).plants;

describe('a change', () => {
  it('of a place is told as one stands before the tank', () => {
    expect(told((c) => (option(c).pieces[0].at = [piece.at[0] - 40, piece.at[1]]))).toEqual([`${piece.id} moved 40 mm to the left`]); // prettier-ignore
    expect(told((c) => (option(c).pieces[0].at = [piece.at[0] + 12, piece.at[1] + 30]))).toEqual([`${piece.id} moved 12 mm to the right, 30 mm back`]); // prettier-ignore
    expect(told((c) => (option(c).pieces[0].at = [piece.at[0], piece.at[1] - 5]))).toEqual([`${piece.id} moved 5 mm to the front`]); // prettier-ignore
  });

  it('of a figure is told with its unit, and with what it was', () => {
    expect(told((c) => (option(c).plants[0].spacingMm = 30))[0]).toBe(
      `${planting.id}: spacing ${planting.spacingMm} mm to 30 mm`,
    );
    expect(told((c) => (c.vessel.waterLineMm = start.vessel.waterLineMm - 10))).toEqual([
      `vessel: water line ${start.vessel.waterLineMm} mm to ${start.vessel.waterLineMm - 10} mm`,
    ]);
    expect(told((c) => (c.title = 'Hall'))).toEqual([`Commission: title ${start.title} to Hall`]);
  });

  it('of money is told as money, of a plant by its name, of a reading in its unit', () => {
    expect(told((c) => (c.brief.budgetMinor = 95_000)).at(-1)).toMatch(
      /^brief: budget (GBP [\d,.]+ to )?GBP 950.00$/,
    );
    const pack = start.catalogue.materials.findIndex((m) => m.packs?.length);
    const was = start.catalogue.materials[pack].packs![0].priceMinor;
    expect(told((c) => (c.catalogue.materials[pack].packs![0].priceMinor = was + 150))[0]).toContain(`GBP ${((was + 150) / 100).toFixed(2)}`); // prettier-ignore
    const { id, name } = start.catalogue.plants.find((p) => p.id === planting.plant)!;
    const becomes = {
      path: ['options', { id: 'a' }, 'plants', { id: 'P-1' }, 'plant'],
      was: id,
      is: 'other',
    };
    expect(inEnglish(changeWords(becomes, start))).toBe(`P-1: plant ${name} to other`);
    const [{ id: soil, name: called }] = start.catalogue.materials;
    const came = { path: ['received', { id: 'r-1' }], is: { id: 'r-1', item: soil } };
    expect(inEnglish(changeWords(came, start))).toBe(`what came of ${called} put in`);
    const path = ['log', { id: 'n' }, 'reading', 'nitrateMgL'];
    expect(inEnglish(changeWords({ path, was: 10, is: 20 }, start))).toBe(
      'a note: nitrate 10 mg/L to 20 mg/L',
    );
    expect(inEnglish(changeWords({ path: ['site', 'ofStudio'], was: false, is: true }, start))).toBe('site: of studio no to yes'); // prettier-ignore
  });

  it('of a thing that comes or goes names it', () => {
    expect(told((c) => option(c).pieces.splice(0, 1))[0]).toBe(`${piece.id} taken out`);
    expect(told((c) => (c.log = [{ id: 'n-1', date: '2027-01-02', text: 'Seen.' }]))).toEqual(['note of 2 Jan 2027 put in']); // prettier-ignore
    expect(told((c) => c.options.push({ ...structuredClone(option(start)), id: 'b' }))).toEqual(['option B put in']); // prettier-ignore
  });

  it('of what has parts says which part of what', () => {
    const order = { path: ['options', { id: 'a' }, 'bed'], order: { was: ['x', 'y'], is: ['y', 'x'] } };
    expect(inEnglish(changeWords(order, start))).toBe('bed of option A in another order');
    const ring = {
      path: ['options', { id: 'a' }, 'plants', { id: 'P-1' }, 'region'],
      was: [[0, 0]],
      is: [[1, 1]],
    };
    expect(inEnglish(changeWords(ring, start))).toBe('P-1: region');
  });
});
