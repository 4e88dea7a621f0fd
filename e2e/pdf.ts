import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Page } from 'puppeteer-core';

const MM_PER_POINT = 25.4 / 72;

/** All words of a PDF, how many sheets it has, and the first one's sides in mm. */
export async function wordsOfPdf(data: Uint8Array) {
  const pdf = await getDocument({ data: new Uint8Array(data), verbosity: 0 }).promise;
  let text = '';
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    text += items.map((i) => ('str' in i ? i.str : '')).join(' ');
  }
  const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
  const sizeMm: [number, number] = [Math.round(width * MM_PER_POINT), Math.round(height * MM_PER_POINT)];
  return { text: text.replace(/\s+/g, ' '), sheets: pdf.numPages, sizeMm };
}

/** A page as it is printed, on the paper that it asks for. */
export async function printed(p: Page): ReturnType<typeof wordsOfPdf> {
  return wordsOfPdf(await p.pdf({ preferCSSPageSize: true, printBackground: true }));
}
