import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { orderAsks } from '../../core/ordering/orderMail';
import { amount } from '../../core/units/money';
import { say } from '../../core/words/text';
import { inEnglish } from '../../core/words/english';
import type { SupplierRequest } from '../supplierLink';

/** Who orders, as it stands at the head of a sheet. */
export interface Sender {
  name: string;
  address?: string;
  phone?: string;
}

const [MARGIN, LEADING, SIZE, SMALL, LARGE] = [56, 4, 10, 8, 15];
/** What a price takes at the right, points. */
const PRICE = 86;
/** Columns of the table, points from the left margin: how many as what, of what, article; prices stand at the right. */
const COLUMNS = [0, 130, 310] as const;

/**
 * An order as a sheet that can be sent beside a letter or printed: whose it is, every line with its article and price, the sum,
 * by when. A letter that its font has not stands as a question mark.
 */
export async function orderPdf(request: SupplierRequest, sender: Sender): Promise<Buffer> {
  const doc = new PDFDocument({ size: 'A4', margin: MARGIN, info: { Title: `Order ${request.reference}`, Author: sender.name } }); // prettier-ignore
  const done = collected(doc);
  for (const { name, file } of FONTS) doc.registerFont(name, file);
  head(doc, request, sender);
  table(doc, request);
  // As the letter has it.
  for (const said of orderAsks(request)) line(doc, inEnglish(said), {});
  doc.end();
  return done;
}

type Doc = InstanceType<typeof PDFDocument>;

function head(doc: Doc, { reference, today, supplier }: SupplierRequest, { name, address, phone }: Sender) {
  line(doc, name, { size: LARGE });
  for (const text of [...(address?.split('\n') ?? []), phone ?? '']) if (text.trim()) line(doc, text, { size: SMALL }); // prettier-ignore
  doc.moveDown(2);
  line(doc, supplier.name, {});
  line(doc, inEnglish(say('mail.order', { reference, day: { day: today } })), { size: LARGE });
  doc.moveDown(0.6);
}

function table(doc: Doc, { lines, currency }: SupplierRequest): void {
  const width = doc.page.width - 2 * MARGIN;
  for (const { words, count, name, pack, priceMinor } of lines) {
    const cells = [words ?? `${count} ×`, name, pack];
    const wide = [COLUMNS[1] - 8, COLUMNS[2] - COLUMNS[1] - 8, width - COLUMNS[2] - PRICE];
    const high = Math.max(...cells.map((text, i) => heightOf(doc, text, wide[i]))) + LEADING;
    if (doc.y + high > doc.page.height - MARGIN) doc.addPage();
    const { y } = doc;
    cells.forEach((text, i) => runs(doc, text, MARGIN + COLUMNS[i], y, { width: wide[i] }));
    runs(doc, `${currency} ${amount(priceMinor, currency)}`, MARGIN + width - PRICE, y, {
      width: PRICE,
      align: 'right',
    });
    doc.y = y + high;
    doc.moveTo(MARGIN, doc.y - 2).lineTo(MARGIN + width, doc.y - 2).lineWidth(0.4).stroke('#999'); // prettier-ignore
  }
  doc.moveDown(0.6);
}

interface Set {
  size?: number;
  width?: number;
  align?: 'right';
}

function line(doc: Doc, text: string, { size = SIZE }: Set): void {
  const width = doc.page.width - 2 * MARGIN;
  runs(doc.fontSize(size), text, MARGIN, doc.y, { width });
  doc.fontSize(SIZE).moveDown(0.25);
}

/** Latin, its further letters, Greek, Cyrillic: the font comes in a file for each, with the letters that it has. */
const FONTS = [
  { name: 'latin', has: /[\u0000-\u00ff\u0131\u0152\u0153\u2000-\u206f\u20ac\u2122\u2212]/ },
  { name: 'latin-ext', has: /[\u0100-\u02ba\u1e00-\u1eff\u20a0-\u20c0]/ },
  { name: 'greek', has: /[\u0370-\u03ff]/ },
  { name: 'cyrillic', has: /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/ },
].map((font) => ({ ...font, file: fontFile(font.name) }));

function fontFile(part: string): string {
  return createRequire(import.meta.url).resolve(`@fontsource/ibm-plex-sans/files/ibm-plex-sans-${part}-400-normal.woff`);
} // prettier-ignore

/** A text in stretches, each in the file that has its letters. */
function stretches(text: string): { font: string; text: string }[] {
  const all: { font: string; text: string }[] = [];
  for (const written of text) {
    const known = FONTS.find((f) => f.has.test(written));
    const letter = known ? written : '?';
    // A blank goes with the word before it.
    const font = letter === ' ' && all.length > 0 ? all.at(-1)!.font : (known ?? FONTS[0]).name;
    if (all.at(-1)?.font === font) all.at(-1)!.text += letter;
    else all.push({ font, text: letter });
  }
  return all;
}

function runs(doc: Doc, text: string, x: number, y: number, { width, align }: Set): void {
  const all = stretches(text);
  all.forEach((s, i) => {
    const set = { width, align, continued: i < all.length - 1 };
    doc.font(s.font);
    if (i === 0) doc.text(s.text, x, y, set);
    else doc.text(s.text, set);
  });
}

/** How high a text becomes in a width: letters of other files are taken for wide ones, since no font measures those that it has not. */
function heightOf(doc: Doc, text: string, width: number): number {
  const plain = [...(text || ' ')].map((letter) => (FONTS[0].has.test(letter) ? letter : 'm')).join('');
  return doc.font(FONTS[0].name).heightOfString(plain, { width });
}

function collected(doc: Doc): Promise<Buffer> {
  const parts: Buffer[] = [];
  return new Promise((resolve, reject) => {
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
  });
}
