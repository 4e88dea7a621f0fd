import type { Listed, PriceToday } from '../../core/catalogue/listed';
import type { KeptList, ListShape, PriceAnswer } from '../../core/catalogue/priceList';
import type { Day } from '../../core/calendar/day';
import { wording } from '../words/wording';
import { ApiProblem, asked, call, FILE_PATIENCE_MS } from './api';

/* Suppliers' price lists as the server keeps them: one that comes in says how far it is, then what it changes. */

export interface ListSent {
  today: Day;
  shape?: ListShape;
  /** The report that was agreed to: without it nothing is taken. */
  take?: string;
}

export const prices = {
  lists: () => call<{ lists: KeptList[] }>('GET', '/studio/price-lists'),
  search: (q: string, supplier?: string) =>
    call<{ offers: Listed[]; total: number }>('GET', `/studio/offers?${new URLSearchParams({ q, ...(supplier ? { supplier } : {}) })}`), // prettier-ignore
  today: (packs: readonly { supplier: string; article: string }[]) =>
    call<{ prices: PriceToday[] }>('POST', '/studio/prices-today', JSON.stringify(packs)),
  send: sendList,
};

/** Sends a list; `told` hears of how many lines so many are read. */
async function sendList(
  supplier: string,
  file: Blob,
  { today, shape, take }: ListSent,
  told: (done: number, of: number) => void,
): Promise<PriceAnswer> {
  const query = new URLSearchParams({ today, ...(shape ? { shape: JSON.stringify(shape) } : {}), ...(take ? { take } : {}) }); // prettier-ignore
  const response = await asked(`/api/studio/suppliers/${encodeURIComponent(supplier)}/prices?${query}`, { method: 'POST', body: file, headers: { 'Content-Type': 'application/octet-stream' } }, FILE_PATIENCE_MS); // prettier-ignore
  if (!response.ok) {
    const { title } = (await response.json().catch(() => ({}))) as { title?: string };
    throw new ApiProblem(response.status, title ?? String(response.status), {});
  }
  for await (const line of linesOf(response.body!)) {
    const said = JSON.parse(line) as { done: number; of: number } | { answer: PriceAnswer };
    if ('answer' in said) return said.answer;
    told(said.done, said.of);
  }
  throw new ApiProblem(0, wording('priceList.cutOff'), {});
}

/** Lines of a text that comes bit by bit. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader(); // prettier-ignore
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    yield* lines;
  }
}
