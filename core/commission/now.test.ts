import { describe, expect, it } from 'vitest';
import { inEnglish } from '../words/english';
import { scape } from '../testing/scape';
import { STANDING, standingIn } from '../testing/standing';
import { optionOf } from './lookup';
import { broughtBack, putAside } from './options';
import { parseCommission } from './parse';
import { nowOf, scapeOf, scapesOf, withScape } from './scapes';
import { withoutPerson } from './withoutPerson';

const faults = (change: (d: any) => void) => {
  const d = structuredClone(standingIn(scape())) as any;
  change(d);
  const read = parseCommission(d);
  return read.ok ? [] : read.faults.map((f) => `${f.path}: ${inEnglish(f.says)}`);
};

describe('the tank as it is now in a document', () => {
  it('is a scape of its own by the id "now", all of it there, the same object as long as nothing changes', () => {
    const d = standingIn(scape());
    expect(optionOf(d, 'now')).toBe(nowOf(d));
    expect(scapesOf(d).map((o) => o.id)).toEqual(['now', 'a']);
    expect(nowOf(d)!.pieces.every((p) => p.origin === 'here')).toBe(true);
    const moved = withScape(d, 'now', (o) => ({ ...o, pieces: o.pieces.slice(1) }));
    expect(moved.now!.pieces.map((p) => p.id)).toEqual(['B', 'R']);
    expect('title' in moved.now!).toBe(false);
    expect(withScape(d, 'a', (o) => ({ ...o, title: 'Other' })).options[0].title).toBe('Other');
    expect(withScape(d, 'a', (o) => o)).toBe(d);
    expect(scapeOf(scape(), 'now')).toBeUndefined();
    expect(() => optionOf(scape(), 'now')).toThrow(/must be one of "a"/);
  });

  it('lets go of what is not there any more, or is another stone now: an option has it of its own then', () => {
    const d = standingIn(scape(), () => ({ leaving: [{ of: 'pieces', id: 'B', to: 'waste' }] }));
    const gone = withScape(d, 'now', (o) => ({ ...o, pieces: o.pieces.filter((p) => p.id !== 'A') }));
    expect(gone.options[0].pieces.map((p) => [p.id, p.now, p.origin])).toEqual([['A', undefined, 'bought'], ['B', 'B', undefined], ['R', 'R', undefined]]);
    const other = withScape(d, 'now', (o) => ({ ...o, pieces: o.pieces.map((p) => (p.id === 'B' ? { ...p, material: 'slate' } : p)) }));
    expect(other.options[0].pieces[1].now).toBeUndefined();
    const bare = withScape(d, 'now', (o) => ({ ...o, bed: [], pieces: [], plants: [] }));
    expect(bare.options[0].leaving).toEqual([]);
    for (const one of [gone, other, bare]) expect(parseCommission(one).ok).toBe(true);
    // What only moves in it stays what it is.
    const moved = withScape(d, 'now', (o) => ({ ...o, pieces: o.pieces.map((p) => ({ ...p, turnDeg: 5 })) }));
    expect(moved.options[0]).toBe(d.options[0]);
    const away = putAside({ ...d, options: [...d.options, { ...d.options[0], id: 'b' }] }, 'b');
    const back = broughtBack(withScape(away, 'now', (o) => ({ ...o, pieces: [] })), 'b');
    expect(back.options[1].pieces.every((p) => p.now === undefined)).toBe(true);
  });

  it('keeps what lies about without a shape when it is drawn on', () => {
    const d = { ...standingIn(scape()), now: { ...STANDING, heaps: [{ id: 'lava', material: 'scoria', massKg: 20 }] } };
    expect(withScape(d, 'now', (o) => ({ ...o, plants: [] })).now!.heaps).toEqual(d.now.heaps);
  });

  it.each<[string, (d: any) => void, RegExp]>([
    ['a thing that is not there', (d) => (d.options[0].pieces[0].now = 'Z'), /^options\[0\]\.pieces\[0\]\.now: is "Z", must be the id of a piece of the tank as it is now/],
    ['another stone', (d) => (d.options[0].pieces[0].material = 'granite'), /pieces\[0\]\.now: is "A", which is slate and not granite/],
    ['one stone twice', (d) => d.options[0].pieces.push({ ...d.options[0].pieces[0], id: 'A-2' }), /pieces\[3\]\.now: is "A" a second time/],
    ['a bed that is not there', (d) => (d.options[0].bed[0].now = 'x'), /bed\[0\]\.now: is "x", must be the id of a layer/],
    ['what leaves and is not there', (d) => (d.options[0].leaving = [{ of: 'plants', id: 'x', to: 'waste' }]), /leaving\[0\]\.id: is "x", must be the id of a planting/],
    ['a heap that is not there', (d) => (d.options[0].heaps = ['x']), /heaps\[0\]: is "x", must be the id of a heap/],
    ['a heap of nothing known', (d) => (d.now.heaps = [{ id: 'h', material: 'x', massKg: 2 }]), /now\.heaps\[0\]\.material: is "x"/],
    ['a heap without weight', (d) => (d.now.heaps = [{ id: 'h', material: 'scoria', massKg: -1 }]), /now\.heaps\[0\]\.massKg: is -1 kg, must be/],
    ['a material that is not known', (d) => (d.now.pieces[0].material = 'x'), /now\.pieces\[0\]\.material: is "x"/],
    ['a region that crosses itself', (d) => (d.now.plants[0].region = [[0, 0], [9, 9], [9, 0], [0, 9]]), /now\.plants\[0\]\.region/],
    ['an option of that name', (d) => ((d.options[0].id = 'now'), (d.chosen = 'now')), /options\[0\]\.id: is "now", must be another/],
    ['links, and nothing drawn', (d) => delete d.now, /bed\[0\]\.now: is "old"/],
  ])('refuses %s, by its path', (_what, change, says) => {
    expect(faults(change)[0]).toMatch(says);
  });

  it('has a bed parted in two of one that is there', () => {
    expect(faults((d) => d.options[0].bed.push({ ...d.options[0].bed[0], id: 'rest', top: { kind: 'level', mm: 90 } }))).toEqual([]);
  });

  it('loses with its client what people wrote in it', () => {
    const d = standingIn({ ...scape(), brief: { ...scape().brief, client: { name: 'Maud Aldermoor' } } });
    const bare = withoutPerson({ ...d, now: { ...d.now!, note: 'as Maud Aldermoor has it' } });
    expect(JSON.stringify(bare)).not.toMatch(/Aldermoor/);
    expect(bare.now!.pieces.length).toBe(3);
    expect(parseCommission(bare).ok).toBe(true);
  });
}); // prettier-ignore
