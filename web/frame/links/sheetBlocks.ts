import type { SheetBlock } from '../../../core/commission/sheetView';

/** What stands on a sheet: its words as blocks, its drawings as pictures that are still to be sent. */
export type Drawn = { as: 'picture'; blob: Blob; says: string };
export type ReadBlock = Exclude<SheetBlock, { as: 'picture' }> | Drawn;

/** A drawing below this is a mark beside words, px. */
const LEAST_PX = 60;
/** How many pixels of the picture stand for one of the page: it is read on a telephone, too. */
const SCALE = 2;
const HEADS: Record<string, 'h1' | 'h2'> = { H1: 'h1', H2: 'h2', H3: 'h2' };
/** What is a line of its own. */
const BLOCKS = new Set(['P', 'LI', 'DD', 'DT', 'FIGCAPTION', 'SECTION', 'HEADER', 'DIV', 'UL', 'OL', 'DL', 'FIGURE', 'ARTICLE', 'TABLE', 'H1', 'H2', 'H3', 'H4']); // prettier-ignore

/** Reads a sheet as it stands on the page, from top to bottom; what is for the screen only is left out. */
export async function sheetBlocks(el: Element): Promise<ReadBlock[]> {
  const found: ReadBlock[] = [];
  for (const child of el.children) {
    if (isLeftOut(child)) continue;
    if (child instanceof HTMLTableElement) found.push(tableOf(child));
    else if (isDrawing(child)) found.push(...(await pictureOf(child)));
    else if (child.classList.contains('row')) found.push(taskOf(child));
    else if (child.classList.contains('ticks')) found.push(boxesOf(child));
    else if (HEADS[child.tagName]) found.push(...lineOf(HEADS[child.tagName], child));
    else if (hasBlocks(child)) found.push(...(await sheetBlocks(child)));
    else found.push(...lineOf(child.tagName === 'LI' ? 'li' : 'p', child), ...(await drawingsIn(child))); // prettier-ignore
  }
  return found;
}

/** What is for the screen, or said otherwise where the sheet is read by a link (`for-link`, which no page shows). */
function isLeftOut(el: Element): boolean {
  if (el.classList.contains('screen-only') || el.hasAttribute('data-skip')) return true;
  return getComputedStyle(el).display === 'none' && !el.closest('.for-link');
}

/** The words of an element in their order; drawings have none. */
function wordsOf(node: Node): string {
  const said = [...node.childNodes].map((n) => {
    if (n.nodeType === Node.TEXT_NODE) return n.textContent ?? '';
    return n instanceof HTMLElement && !isLeftOut(n) ? ` ${wordsOf(n)} ` : '';
  });
  return said
    .join('')
    .replace(/\s+/g, ' ')
    .replace(/ ([,.;:)])/g, '$1')
    .trim();
}

const hasBlocks = (el: Element) => [...el.children].some((c) => BLOCKS.has(c.tagName) || isDrawing(c));
const isDrawing = (el: Element): el is SVGSVGElement | HTMLCanvasElement =>
  (el instanceof SVGSVGElement || el instanceof HTMLCanvasElement) &&
  el.getBoundingClientRect().width >= LEAST_PX;
async function drawingsIn(el: Element): Promise<ReadBlock[]> {
  return (await Promise.all([...el.querySelectorAll('svg, canvas')].filter(isDrawing).map(pictureOf))).flat();
}

function lineOf(as: 'h1' | 'h2' | 'p' | 'li', el: Element): ReadBlock[] {
  const text = wordsOf(el).slice(0, 2_000);
  return text ? [{ as, text }] : [];
}

/** A task of a run sheet: its time and hands, its title, how it is done, and the caution at it. */
function taskOf(row: Element): ReadBlock {
  const part = (selector: string) =>
    [...row.querySelectorAll(selector)].map(wordsOf).filter(Boolean).join(', ');
  const what = row.querySelector('.what')?.cloneNode(true) as Element | undefined;
  what?.querySelectorAll('b, em').forEach((el) => el.remove());
  const [when, text, how, caution] = [
    part('.at, .who'),
    part('.what > b'),
    what ? wordsOf(what) : '',
    part('em'),
  ];
  const given = { ...(when ? { when } : {}), ...(how ? { how } : {}), ...(caution ? { caution } : {}) };
  return { as: 'tick', text: text || wordsOf(row), ...given };
}

/** Answers to choose from, each with its box. */
function boxesOf(ticks: Element): ReadBlock {
  return { as: 'p', text: [...ticks.children].map((answer) => `☐\u00a0${wordsOf(answer)}`).join(' ') };
}

function tableOf(table: HTMLTableElement): ReadBlock {
  const rows = [...table.rows].map((r) => [...r.cells].map((c) => wordsOf(c).slice(0, 400)));
  return { as: 'table', rows };
}

async function pictureOf(drawn: SVGSVGElement | HTMLCanvasElement): Promise<Drawn[]> {
  const { width, height } = drawn.getBoundingClientRect();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(width * SCALE), Math.round(height * SCALE)];
  const context = canvas.getContext('2d')!;
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  const source = drawn instanceof SVGSVGElement ? await asImage(drawn, width, height) : drawn;
  if (!source) return [];
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.9));
  return blob ? [{ as: 'picture', blob, says: drawn.getAttribute('aria-label') ?? '' }] : [];
}

const SVG = 'image/svg+xml';
/** How a drawing looks is said by the page's own rules: alone it needs them written into it. */
const LOOKS = ['fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-opacity', 'opacity', 'font', 'font-size', 'font-weight', 'text-anchor', 'dominant-baseline', 'display', 'visibility']; // prettier-ignore
async function asImage(svg: SVGSVGElement, width: number, height: number): Promise<HTMLImageElement | undefined> {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [[svg, ...svg.querySelectorAll('*')], [copy, ...copy.querySelectorAll('*')]];
  from.forEach((el, i) => {
    const looks = getComputedStyle(el);
    to[i].setAttribute('style', LOOKS.map((l) => `${l}:${looks.getPropertyValue(l)}`).join(';'));
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const image = new Image();
  const address = URL.createObjectURL(new Blob([new XMLSerializer().serializeToString(copy)], { type: SVG }));
  image.src = address;
  // A drawing that cannot be made a picture of is left out, with its words.
  return image.decode().then(() => image, () => undefined).finally(() => URL.revokeObjectURL(address));
} // prettier-ignore
