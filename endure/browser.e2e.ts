import { describe, expect, it } from 'vitest';
import type { Result } from './result';
import { browserKilled, closedAndReopened, twoBrowsers, typedAndGone } from './typed';
import { visits } from './visits';

/* Short forms of `npm run endure` in the browser: the same measurements with fewer rounds. */

const sound = ({ wrong }: Result) => expect(wrong).toEqual([]);

describe('nothing typed is lost', () => {
  it('when the page is closed or reloaded a moment later, the field left or not', async () =>
    sound(await typedAndGone(1)));
  it('when it is closed at once and reopened; nothing is asked', async () =>
    sound(await closedAndReopened(1)));
  it('when two browsers work on different fields; nothing is asked', async () => sound(await twoBrowsers(2)));
  it('when the whole browser is killed', async () => sound(await browserKilled(1)));
});

describe('no page', () => {
  it(
    'has an error or scrolls sideways, wide or on a telephone',
    async () => sound(await visits(['demo-desk'], ['bench', 'order'])),
    240_000,
  );
});
