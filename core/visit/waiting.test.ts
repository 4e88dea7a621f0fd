import { describe, expect, it } from 'vitest';
import { found, fish, ids, job } from '../testing/job';
import { inEnglish } from '../words/english';
import { say } from '../words/text';

const rescape = { stays: ['wood'], filterKept: true };
const heater = { id: 'h', kind: 'heater', name: 'Warmth', watts: 100, origin: 'here' };
const site = (...devices: object[]) => ({ roomC: [17, 24], devices });
const tub = (brief: object, ...devices: object[]) => job({ brief: { rescape: { ...rescape, ...brief }, livestock: [fish] }, site: site(...devices) }); // prettier-ignore
const task = (p: ReturnType<typeof job>, id: string) => p.build.tasks.find((t) => t.id === id)!;
const lane = (p: ReturnType<typeof job>) => p.build.lanes.find((l) => l.kind === 'animals');

describe('animals while their tank is worked on', () => {
  it('wait in tubs where the bed goes, and that is asked as long as nobody has said so', () => {
    const p = tub({});
    expect(task(p, 'holding').title).toBe('8 animals into their own water');
    expect(ids(p)).toContain('return');
    expect(found(p, 'rescape.waiting').map((f) => f.severity)).toEqual(['note']);
    expect(found(tub({ animals: 'tubs' }), 'rescape.waiting')).toEqual([]);
  });

  it('have a clock that runs until their water has lost 2 °C', () => {
    const p = tub({ animals: 'tubs', holdingL: 20 });
    // A cube of 20 L: six faces of 0.0737 m² at 5.6 W/m²K are 2.476 W/K; from 24 °C in a room of 17 °C 2 of 7 degrees are
    // lost after −ln(1 − 2/7) · 20 · 4.18 / (2.476 · 3.6) = 3.16 h.
    expect(lane(p)!.limitMin).toBe(189);
    expect(lane(p)!.fromMin).toBe(task(p, 'holding').startMin);
    expect(lane(p)!.toMin).toBe(task(p, 'return').endMin);
    const late = found(p, 'build.out').filter((f) => f.says.startsWith('Animals wait'));
    expect(late).toHaveLength(lane(p)!.toMin - lane(p)!.fromMin > 189 ? 1 : 0);
    // With the heater of the tank in the tub nothing cools.
    expect(lane(tub({ animals: 'tubs', holdingL: 20 }, heater))!.limitMin).toBeUndefined();
    expect(task(tub({ animals: 'tubs' }, heater), 'holding').detail).toMatch(/its heater too/);
  });

  it('may stay in what is left, which must be enough for them', () => {
    const p = tub({ animals: 'stay', drainToMm: 150 });
    expect(ids(p)).not.toContain('return');
    expect(task(p, 'holding').detail).toMatch(/^\d+ L are left: air stone in, a sheet/);
    expect(lane(p)!.toMin).toBe(task(p, 'fill').endMin);
    const dry = tub({ animals: 'stay', drainToMm: 0 });
    expect(task(dry, 'holding').detail).toMatch(/nothing is left for them/);
    expect(found(dry, 'rescape.holding')[0].because).toMatch(/drain less/);
  });

  it('come back days later from elsewhere, once both readings are zero', () => {
    const p = tub({ animals: 'elsewhere' });
    expect(ids(p)).not.toContain('return');
    expect(lane(p)).toBeUndefined();
    const back = p.care.weeks
      .flatMap((w) => w.days)
      .find((d) => d.events.some((e) => /come back if/.test(e)))!;
    expect(back.afterDays).toBe(3);
    // The run sheet says the same day.
    const until = inEnglish(say('holding.elsewhere.title', { count: 8, day: { day: back.day } }));
    expect(task(p, 'holding').title).toBe(until);
    const tests = p.care.weeks.flatMap((w) => w.days).filter((d) => d.test);
    expect(tests.slice(0, 2).map((d) => d.afterDays)).toEqual([1, 2]);
  });
});
