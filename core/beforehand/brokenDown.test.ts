import { describe, expect, it } from 'vitest';
import { withBrokenDown, withBrokenDownChanged, withoutBrokenDown } from '../edits/brokenDown';
import { parseCommission } from '../commission/parse';
import { withoutPerson } from '../commission/withoutPerson';
import { plan } from '../pipeline/plan';
import { carpet, found, job, line, root, stone, type Part } from '../testing/job';
import { reservedFindings } from '../yard/reserved';
import { standingIn } from '../testing/standing';
import { pouredL } from '../substrate/pour';
import { parsed, scape, soil } from '../testing/scape';
import { glassKg } from '../vessel/glass';
import { inKg } from '../words/measure';
import { say } from '../words/text';
import { inEnglish } from '../words/english';

/* A scape in the shop's window is broken down; stone, root, soil, carpet, filter media and fish of it come here. Built on 14 January. */

const shop = { id: 'window', name: 'The window of the shop', day: '2027-01-14' };
const fish = { species: 'nematobrycon-palmeri', count: 8 };
const out = { from: 'window' };
/** What the sketch's soil loses in height when it is wetted. */
const SETTLES = 0.07;

function moved({ day = shop.day, brief = {}, option = {}, site = {} }: Part & { day?: string } = {}) {
  return job({
    brief: { brokenDown: [{ ...shop, day }], ...brief },
    option: {
      bed: [soil({ kind: 'level', mm: 60 }, out)],
      pieces: [stone({ ...out, massKg: 30 }), root()],
      plants: [{ ...carpet, ...out }],
      ...option,
    },
    site,
  });
}
const row = (p: ReturnType<typeof job>) => p.build.beforehand.find((b) => b.kind === 'brokenDown');

describe('a scape that is broken down elsewhere', () => {
  it('is everything that was said to come out of it, by pieces, litres and plugs', () => {
    const p = moved();
    // 600 × 360 × 60 mm of soil, settled by what the sketch's material says; a stone of 30 kg; a plug each 40 mm.
    const plugs = p.survey.plantings[0].plugs;
    const litres = pouredL(line(p, 'soil')!.measured.value, SETTLES);
    expect(row(p)).toMatchObject({ day: '2027-01-14' });
    expect(row(p)!.title).toBe(
      `Break down The window of the shop: S-1 (30 kg), ${plugs} plugs of ${line(p, 'grass')!.name}, ${litres.toFixed(1)} L of ${line(p, 'soil')!.name}`,
    );
    expect([line(p, 'grass')!.needed.value, line(p, 'soil')!.needed.value]).toEqual([0, 0]);
    expect(line(p, 'soil')!.origins).toEqual(['stock']);
  });

  it('takes its time and says what is carried: hands for the heaviest, mains and siphon', () => {
    const p = moved({ option: { plants: [], bed: [soil({ kind: 'level', mm: 50 }, out)] } });
    const litres = pouredL(line(p, 'soil')!.measured.value, SETTLES);
    // By hand: tubs 10 min, one stone 3, a minute and a half for each litre of soil.
    expect(row(p)!.detail).toContain(`about ${Math.round(10 + 3 + litres * 1.5)} min`);
    expect(row(p)!.detail).toMatch(/3 people for the heaviest, gloves on.*off the mains first/);
  });

  it('brings soil that has run, wood that has sunk, plants whose leaves grew under water', () => {
    const p = moved({ option: { pieces: [stone(), root(out)] } });
    const bought = moved({ option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [stone(), root()], plants: [carpet] } });
    const floats = (x: typeof p) => x.survey.groups.find((g) => g.pieces.includes('R-1'))!.floats;
    expect([floats(bought), floats(p)]).toEqual([true, false]);
    expect(p.build.beforehand.some((b) => b.kind === 'reserve')).toBe(false);
    // Soil that has given what it had: plants are fed from the first day, as over sand.
    const fed = (x: typeof p) => x.care.dosing.rule;
    expect(fed(p)).not.toBe(fed(bought));
  }); // prettier-ignore

  it('is said to be too late where something of it is wanted before, in a sitting or a joint', () => {
    const eve = { id: 'eve', kind: 'hardscape', day: '2027-01-12' };
    const late = moved({ brief: { sittings: [eve] } });
    const [f] = found(late, 'brokenDown.late');
    expect(f).toMatchObject({ severity: 'stop', measured: 2, limit: 0, unit: 'days' });
    expect(f.says).toMatch(/is broken down on .*, 2 days after its parts are wanted/);
    expect(found(moved({ day: '2027-01-12', brief: { sittings: [eve] } }), 'brokenDown.late')).toEqual([]);
    const joints = [{ id: 'J-1', pieces: ['S-1', 'R-1'], method: 'silicone' as const }];
    const glued = moved({ option: { pieces: [stone(out), root({ at: [300, 180] })], joints } });
    expect(found(glued, 'brokenDown.late')[0]).toMatchObject({ measured: 2 });
  });

  it('counts the nights that animals, media and what is lived on wait, and says nothing of them on the day', () => {
    const media = { id: 'D-1', name: 'Rings', kind: 'media', watts: 0, ...out };
    const all = { brief: { livestock: [{ ...fish, ...out, laterDays: 3 }] }, site: { devices: [media] } };
    const same = moved(all);
    const nights = (p: ReturnType<typeof job>) => found(p, 'brokenDown.night').map((f) => [f.measured, f.says.split(' for ')[1]]); // prettier-ignore
    expect(nights(same)).toEqual([[3, expect.stringMatching(/^8 /)]]);
    expect(nights(moved({ ...all, brief: { livestock: [{ ...fish, ...out }] } }))).toEqual([]);
    // A night sooner each waits a night longer, and is said for as long as it does.
    expect(nights(moved({ ...all, day: '2027-01-13' }))).toEqual([
      [1, expect.stringMatching(/^Rings(,| and) S-1\.$/)],
      [4, expect.stringMatching(/^8 /)],
    ]);
    // Media that have run do not begin to mature four weeks ahead.
    expect(same.build.beforehand.some((b) => b.kind === 'media')).toBe(false);
    expect(row(same)!.detail).toContain('Animals first');
  });

  it('gives nothing that stands there already, whatever was said of it before it was drawn', () => {
    const c = structuredClone(standingIn(scape()));
    c.brief.brokenDown = [shop];
    for (const thing of [...c.options[0].pieces, ...c.options[0].bed, ...c.options[0].plants])
      thing.from = 'window';
    const p = plan(parsed(c));
    expect(p.findings.some((f) => f.id === 'brokenDown.empty')).toBe(true);
    expect(p.build.beforehand.some((b) => b.kind === 'brokenDown')).toBe(false);
  });

  it('has in it what stands in another commission until then: nobody is asked who gets it', () => {
    const d = structuredClone(parsed(scape()));
    d.brief.brokenDown = [shop];
    d.options[0].pieces = [stone({ origin: 'stock', from: 'window' })];
    const elsewhere = { 'S-1': ['The window of the shop'] };
    expect(reservedFindings(d, 'a', elsewhere)).toEqual([]);
    d.options[0].pieces = [stone({ origin: 'stock' })];
    expect(reservedFindings(d, 'a', elsewhere)).toHaveLength(1);
  });

  it('of which nothing comes here is a note, and no work', () => {
    const p = job({ brief: { brokenDown: [shop] } });
    expect(found(p, 'brokenDown.empty')[0]).toMatchObject({ severity: 'note' });
    expect(row(p)).toBeUndefined();
  });
});

describe('a second-hand lot', () => {
  const lot = (day: string, more: object = {}) =>
    job({
      brief: { brokenDown: [{ id: 'lot', name: 'Lot of Mr Tarn', day, priceMinor: 12_000, withTank: true }], budgetMinor: 10_000, ...more },
      vessel: { secondHand: { ageYears: 6 } },
      option: { bed: [soil({ kind: 'level', mm: 60 }, { origin: 'stock' })], pieces: [stone({ from: 'lot' })] },
    }); // prettier-ignore

  it('has one price over tank, stone and all, which counts against the budget', () => {
    const [f] = found(lot('2027-01-02'), 'cost.budget');
    // Nothing else that is bought has a price.
    expect(f.says).toMatch(/^Material and second-hand lots for/);
    expect(f.measured).toBe(120);
    const cheap = job({ brief: { brokenDown: [{ id: 'lot', name: 'Lot', day: '2027-01-02', priceMinor: 0 }], budgetMinor: 10_000_000 } }); // prettier-ignore
    expect(found(cheap, 'cost.budget')).toEqual([]);
  });

  it('is fetched with the tank, which is tried before anything else and wanted two days sooner for it', () => {
    const p = lot('2027-01-02');
    const mass = inEnglish(say('brokenDown.tank', { mass: inKg(glassKg(scape().vessel)) }));
    expect(row(p)!.title).toContain(`Fetch Lot of Mr Tarn: ${mass}`);
    expect(row(p)!.detail).toMatch(/the tank empty, on its whole base/);
    // Twelve days are there: it is tried when it comes, and not two days before that.
    expect(p.build.beforehand.find((b) => b.kind === 'leak')!.day).toBe('2027-01-02');
    expect(found(p, 'brokenDown.late')).toEqual([]);
    expect(found(lot('2027-01-13'), 'brokenDown.late')[0]).toMatchObject({ measured: 1 });
  });
});

describe('a document with such a scape', () => {
  const with_ = () => withBrokenDown(parsed(scape()), 'The window');
  const used = () => {
    const d = structuredClone(with_()) as any;
    d.options[0].pieces = [stone({ from: 'scape' })];
    d.site = { devices: [{ id: 'D', name: 'Lamp', watts: 10, from: 'scape' }] };
    d.brief.livestock = [{ ...fish, from: 'scape' }];
    return parsed(d);
  };

  it('is refused where a thing comes out of one that is not there, or two share an id', () => {
    const says = (change: (d: any) => void) => {
      const d = structuredClone(used()) as any;
      change(d);
      const read = parseCommission(d);
      return read.ok ? [] : read.faults.map((f) => `${f.path}: ${inEnglish(f.says)}`);
    };
    expect(says(() => {})).toEqual([]);
    expect(says((d) => (d.options[0].pieces[0].from = 'x'))).toEqual([expect.stringMatching(/^options\[0\]\.pieces\[0\]\.from: is "x", must be the id of an entry in brief\.brokenDown/)]);
    expect(says((d) => (d.brief.livestock[0].from = 'x'))[0]).toMatch(/^brief\.livestock\[0\]\.from/);
    expect(says((d) => d.brief.brokenDown.push(d.brief.brokenDown[0]))[0]).toMatch(/^brief\.brokenDown\[1\]\.id/);
  }); // prettier-ignore

  it('keeps what came out of it as the studio’s own when it is taken off the list', () => {
    const day = withBrokenDownChanged(used(), 'scape', { day: '2027-01-02' }).brief.brokenDown;
    expect(day).toEqual([{ id: 'scape', name: 'The window', day: '2027-01-02' }]);
    const gone = withoutBrokenDown(used(), 'scape');
    expect(gone.brief.brokenDown).toBeUndefined();
    expect(gone.options[0].pieces[0]).toMatchObject({ origin: 'stock' });
    expect([gone.site!.devices![0].origin, gone.brief.livestock]).toEqual(['stock', [fish]]);
    expect(JSON.stringify(gone)).not.toContain('"from"');
    expect(parseCommission(gone).ok).toBe(true);
  });

  it('loses its name with the client, and still plans', () => {
    const bare = withoutPerson(used());
    expect(bare.brief.brokenDown).toEqual([{ id: 'scape', name: 'Scape 1', day: '2027-01-14' }]);
    expect(parseCommission(bare).ok).toBe(true);
    expect(plan(parsed(bare)).build.tasks.length).toBeGreaterThan(5);
  });
});
