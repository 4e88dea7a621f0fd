import { afterEach, describe, expect, it } from 'vitest';
import { sheetBlocks } from './sheetBlocks';

/** A sheet on the page, read. */
async function read(html: string) {
  document.body.innerHTML = `<article>${html}</article>`;
  return sheetBlocks(document.querySelector('article')!);
}
afterEach(() => (document.body.innerHTML = ''));

describe('a sheet that is sent by a link', () => {
  it('is read from top to bottom: headings, lines, tables, with the words of each in their order', async () => {
    expect(await read('<header><h1>Hall</h1><p>On <b>Monday</b>, early.</p></header><section><h3>Light</h3><ul><li>7 h</li></ul></section><table><tr><td>a</td><td><b>b</b> c</td></tr></table>')).toEqual([
      { as: 'h1', text: 'Hall' },
      { as: 'p', text: 'On Monday, early.' },
      { as: 'h2', text: 'Light' },
      { as: 'li', text: '7 h' },
      { as: 'table', rows: [['a', 'b c']] },
    ]); // prettier-ignore
  });

  it('has a task with its time and hands, its title, how it is done, and the caution apart', async () => {
    const row = '<p class="row"><i></i><b class="at">08:30–08:50</b><span class="who">Ines</span><span class="what"><b>Floor sheet</b> wipe the glass<em>It loads the floor.</em></span></p>'; // prettier-ignore
    expect(await read(row)).toEqual([
      {
        as: 'tick',
        when: '08:30–08:50, Ines',
        text: 'Floor sheet',
        how: 'wipe the glass',
        caution: 'It loads the floor.',
      },
    ]);
  });

  it('has answers to choose from with a box each', async () => {
    expect(await read('<p class="ticks"><span><i></i> yes</span><span><i></i> no, never</span></p>')).toEqual([{ as: 'p', text: '☐\u00a0yes ☐\u00a0no, never' }]); // prettier-ignore
  });

  it('leaves out what is for the screen or said otherwise, and has what no page shows but a link', async () => {
    const html = '<p class="screen-only">Print</p><p>Planted. <span data-skip>The blue is water.</span></p><p style="display: none">hidden</p><div class="for-link" style="display: none"><p>Monday: test</p></div>'; // prettier-ignore
    expect(await read(html)).toEqual([
      { as: 'p', text: 'Planted.' },
      { as: 'p', text: 'Monday: test' },
    ]);
  });
});
