import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { withPhoto } from './photo';
import { withReceived } from './received';

const doc = example('held-root');
const picture = { id: 'a'.repeat(32), shows: 'received' as const, caption: 'box', widthPx: 3, heightPx: 2 };
const line = { reference: 'r', item: 'soil-granules', pack: '9' };

describe('a photograph', () => {
  it('is among the pictures and noted at its line, which keeps what was counted', () => {
    const counted = withReceived(doc, line, { came: 2, dead: 1 }, '2027-01-05');
    const noted = withPhoto(counted, picture, { kind: 'received', line, day: '2027-01-09' });
    expect(noted.received).toEqual([{ ...line, came: 2, dead: 1, day: '2027-01-05', photo: picture.id }]);
    expect(noted.pictures).toContainEqual(picture);
    // Noted again it is there once.
    expect(withPhoto(noted, picture, { kind: 'received', line, day: '2027-01-09' }).pictures).toEqual(
      noted.pictures,
    );
  });

  it('is noted at a note of the log, and at no other', () => {
    const log = ['l-1', 'l-2'].map((id) => ({ id, date: '2027-02-01', text: 'Looked at.' }));
    const noted = withPhoto({ ...doc, log }, { ...picture, shows: 'log' }, { kind: 'log', id: 'l-2' });
    expect(noted.log).toEqual([log[0], { ...log[1], photo: picture.id }]);
    expect(noted.pictures).toContainEqual({ ...picture, shows: 'log' });
  });

  it('of a piece that was dropped meanwhile stays among the pictures', () => {
    const noted = withPhoto(doc, picture, { kind: 'candidate', id: 'A-1' });
    expect(noted.pictures).toContainEqual(picture);
    expect(noted.candidates).toBe(doc.candidates);
  });
});
