import type { Mood } from '../../core/ordering/moods';
import type { Written } from '../../core/ordering/orderMail';
import type { Shelf, ShelfEntry } from '../../core/stock/shelf';
import type { Week } from '../../core/staging/week';
import { sentEarly } from './early';
import type { Habits } from '../../core/words/scales';
import { changesBetween, type Change } from '../../core/commission/changes';
import type { Learnt, Subject } from '../../core/commission/notes';
import type { Fault } from '../../core/commission/fault';
import type { Spoken } from '../../core/words/english';
import type { Glance } from '../../core/pipeline/glance';
import type { Shown, Sort } from '../../core/pipeline/listed';
import type { Branch } from '../../core/yard/branches';
import type { Parting } from '../../core/yard/split';
import type { TwoOutlines } from '../../core/yard/twoOutlines';
import type { Recorded } from '../../core/catalogue/recorded';
import type { House } from '../../core/catalogue/house';
import type { Studio, YardPiece } from '../../core/catalogue/studio';
import type { Animal, Commission, Material, Plant, Scan, Supplier } from '../../core/commission/schema';
import type { Confirmation } from '../../core/ordering/confirmation';
import { ref } from 'vue';
import { wording } from '../words/wording';

/** An answer that was not the one asked for, or none at all (`status` 0). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: { faults?: Spoken<Fault>[]; theirs?: Stored; gone?: Gone } = {},
  ) {
    super(message);
  }
}

/** Somebody has to sign in before anything else is asked; set when the server says so. */
export const mustSignIn = ref(false);

/** A save that the server has confirmed. */
interface Saved {
  revision: number;
  updatedAt: string;
  /** Pieces of the yard in it that other commissions have too. */
  also?: UsedPieces;
}

/** Changes that take more characters than this are sent as the whole document, which is read beside the server. */
const MOST_CHANGES = 256 * 1024;

/** What became of a commission that is not there any more. */
export type Gone = 'removed' | 'erased' | 'deleted';

export interface Stored {
  revision: number;
  document: Commission;
  updatedAt?: string;
}

export interface Listed {
  id: string;
  title: string;
  client: string;
  place: string;
  buildDay: string;
  lengthMm: number;
  widthMm: number;
  heightMm: number;
  waterLineMm: number;
  removedAt: string | null;
}

export interface ListAsk {
  q?: string;
  show?: Shown;
  sort?: Sort;
  from?: number;
  limit?: number;
  today: string;
}

/** A page of the list, how many there are in all, and those last worked on. */
export interface ListPage {
  commissions: Listed[];
  total: number;
  lately?: Listed[];
  /** Commissions at work that are still being worked out: the list cannot place them yet. */
  unknown?: number;
}

/** In which commissions pieces of the yard stand. */
export type UsedPieces = Record<string, { id: string; title: string; buildDay: string }[]>;

/** Lists of the studio's catalogue, which are asked row by row. */
export interface EntryOf {
  materials: Material;
  plants: Plant;
  suppliers: Supplier;
  animals: Animal;
  shelf: ShelfEntry;
}
export type ListName = keyof EntryOf;

/** The studio as it comes to a page: the first entries of each list, and how many there are. */
/** Where copies of the studio are. */
export interface Kept {
  backupAt?: string;
  /** `fault` since something is wrong with it, in words. */
  replica?: { to: string; lastAt?: string; fault?: string };
}
export type OpenedStudio = Studio & {
  used?: UsedPieces;
  recorded?: Record<string, Recorded>;
  counts?: Record<ListName, number>;
};

/** What is found out about a piece while it is handled, degrees. */
export interface YardFacts {
  faceDeg?: number;
  grainDeg?: number;
}
/** What is said of a piece that goes into the yard. */
export interface YardAsk {
  id: string;
  material: string;
  sizeMm?: [number, number, number];
  massKg?: number;
  litres?: number;
  scan?: string;
  outlines?: TwoOutlines;
  branches?: readonly Branch[];
}
/** A stone that is split, a twig that is broken off; masses as weighed, the larger part first. */
export interface PartAsk extends Parting {
  massKg?: readonly [number | null, number | null];
  commission: string;
}

/** Lists of the studio that go out and come in as files. */
export type FiledList = 'plants' | 'materials' | 'animals';

/** What a supplier said to an order that a person sent. */
export interface Word {
  supplierReference: string;
  deliveryDay: string | null;
}

/** One save: who made it, and what it changed, as JSON; nothing where that was too much to be kept. */
export interface Edit {
  id: number;
  revision: number;
  at: string;
  who: string | null;
  changes: string | null;
}

export interface SentOrder {
  reference: string;
  supplier: string;
  state: 'sending' | 'sent' | 'confirmed' | 'partly' | 'refused' | 'unreachable' | 'withdrawn';
  reason: string | null;
  sentAt: string;
  answeredAt: string | null;
  confirmation: Confirmation | null;
  /** What was asked for, as it went out. */
  request?: Written;
}

/** How long an answer may take, ms: a server that hangs is one that is away. A file may have to wait for its turn. */
const PATIENCE_MS = 15_000;
export const FILE_PATIENCE_MS = 300_000;
/** How often what the server had no room for is asked again, unless it says how long to wait, and after how long, ms. */
const TRIES = 5;
const AGAIN_MS = 2_000;

export async function call<T>(
  method: string,
  path: string,
  body?: string | Blob,
  type = 'application/json',
): Promise<T> {
  const early = method === 'GET' ? await sentEarly(`/api${path}`) : undefined;
  if (early !== undefined) return early as T;
  const response = await asked(`/api${path}`, {
    method,
    body,
    headers: body === undefined ? {} : { 'Content-Type': type },
  });
  const answer = (await response.json().catch(() => ({}))) as {
    title?: string;
    faults?: Spoken<Fault>[];
    theirs?: Stored;
    gone?: Gone;
  };
  if (response.status === 401 && path !== '/people/sign-in') mustSignIn.value = true;
  if (!response.ok)
    throw new ApiProblem(
      response.status,
      answer.title ?? wording('api.answered', { status: response.status }),
      answer,
    );
  return answer as T;
}

/** A file that the server writes, by its address, under the name that the server gives it. */
export async function fetchFile(url: string): Promise<{ name: string; blob: Blob }> {
  const response = await asked(url, {}, FILE_PATIENCE_MS);
  if (!response.ok) {
    const { title } = (await response.json().catch(() => ({}))) as { title?: string };
    throw new ApiProblem(response.status, title ?? wording('api.answered', { status: response.status }), {});
  }
  return { name: nameIn(response.headers.get('Content-Disposition') ?? ''), blob: await response.blob() };
}

/** The file's name in a Content-Disposition header (RFC 6266): the one in full where it has letters beyond ASCII. */
function nameIn(header: string): string {
  const [, full] = /filename\*=UTF-8''([^;]+)/i.exec(header) ?? [];
  const [, plain] = /filename="?([^";]+)/i.exec(header) ?? [];
  return full ? decodeURIComponent(full) : (plain ?? 'file');
}

/**
 * An answer; where too much was asked of the server at once (503: nothing was changed) it is asked again. What ails its
 * database is said at once: that does not pass in seconds.
 */
export async function asked(
  url: string,
  request: RequestInit,
  patience = request.body instanceof Blob ? FILE_PATIENCE_MS : PATIENCE_MS,
): Promise<Response> {
  for (let attempt = 1; ; attempt++) {
    let response: Response;
    try {
      response = await fetch(url, { ...request, signal: AbortSignal.timeout(patience) });
    } catch {
      throw new ApiProblem(0, wording('api.away'));
    }
    if (response.status !== 503 || attempt === TRIES || (await ails(response))) return response;
    const seconds = Number(response.headers.get('Retry-After'));
    await new Promise((resolve) => setTimeout(resolve, seconds > 0 ? seconds * 1_000 : AGAIN_MS));
  }
}

async function ails(response: Response): Promise<boolean> {
  const { trouble } = (await response.clone().json().catch(() => ({}))) as { trouble?: string }; // prettier-ignore
  return trouble !== undefined;
}

/** Bytes of a request that outlives its page: 64 KiB for all of them together (Fetch standard, keepalive). */
const MOST_ON_LEAVING = 48 * 1024;

const json = (value: unknown) => JSON.stringify(value);
const at = (id: string) => `/commissions/${encodeURIComponent(id)}`;

/** The server, one function an address. */
export const api = {
  list: ({ q = '', show = 'current', sort = 'build', from = 0, limit = 60, today }: ListAsk) =>
    call<ListPage>(
      'GET',
      `/commissions?${new URLSearchParams({ q, show, sort, from: String(from), limit: String(limit), today })}`,
    ),
  read: (id: string) => call<Stored & { removedAt: string | null }>('GET', at(id)),
  /** Whether it is still there, and at which revision. */
  head: (id: string) => call<{ revision: number; removedAt: string | null }>('GET', `${at(id)}/head`),
  create: (document: Commission) => call<{ id: string }>('POST', '/commissions', json(document)),
  /** Sends what `document` changes of `base`, the state that the server has at `revision`; whole where that is much. */
  save: async (id: string, revision: number, document: Commission, base: Commission) => {
    const whole = () => call<Saved>('PUT', at(id), json({ revision, document }));
    const changes = json({ revision, changes: changesBetween(base, document) });
    if (changes.length > MOST_CHANGES) return whole();
    return call<Saved>('PATCH', at(id), changes).catch((error: unknown) => {
      // Reading a document may fill something in that this page does not know of: then it goes as it is here.
      if (error instanceof ApiProblem && error.body.faults?.[0]?.path === '(changes)') return whole();
      throw error;
    });
  },
  /** Sent while a page goes: nobody hears the answer. A browser lets a page send about 64 kB then. */
  saveOnLeaving: (id: string, revision: number, changes: Change[]) => {
    const body = json({ revision, changes });
    if (body.length > MOST_ON_LEAVING) return;
    void fetch(`/api${at(id)}`, {
      method: 'PATCH',
      body,
      keepalive: true,
      headers: { 'Content-Type': 'application/json' },
    }).catch(() => {});
  },
  duplicate: (id: string) => call<{ id: string }>('POST', `${at(id)}/duplicate`),
  remove: (id: string) => call('DELETE', at(id)),
  restore: (id: string) => call('POST', `${at(id)}/restore`),
  importFile: (file: Blob) =>
    call<{ id: string; notes: Spoken<Fault>[] }>(
      'POST',
      '/commissions/import',
      file,
      'application/octet-stream',
    ),
  studio: () => call<OpenedStudio>('GET', '/studio'),
  addToYard: (piece: YardAsk) => call<{ doubts: string[] }>('POST', '/studio/yard', json(piece)),
  changeInYard: (id: string, facts: YardFacts) =>
    call('PATCH', `/studio/yard/${encodeURIComponent(id)}`, json(facts)),
  partInYard: (id: string, ask: PartAsk) =>
    call<{ parts: YardPiece[]; doubts: string[] }>('POST', `/studio/yard/${encodeURIComponent(id)}/parts`, json(ask)), // prettier-ignore
  keepYardPhoto: (id: string, file: Blob) =>
    call<{ photo: string }>('PUT', `/studio/yard/${encodeURIComponent(id)}/photo`, file, 'application/octet-stream'), // prettier-ignore
  yardPhotoUrl: (photo: string) => `/api/studio/yard/photos/${photo}`,
  kept: () => call<Kept>('GET', '/studio/kept'),
  keepHouse: (house: House) => call('PUT', '/studio/house', json(house)),
  /** What stands on the studio's shelf, and what commissions take of it; but not the one that asks. */
  shelf: (today: string, besides = '') =>
    call<Shelf>('GET', `/studio/shelf-stock?${new URLSearchParams({ today, besides })}`),
  addStartSet: () => call<{ added: number }>('POST', '/studio/start-set'),
  /** Entries of a list of the studio by words of their names, from one on. */
  entries: <L extends ListName>(list: L, { q = '', from = 0 }: { q?: string; from?: number }) =>
    call<{ entries: EntryOf[L][]; total: number }>('GET', `/studio/${list}?${new URLSearchParams({ q, from: String(from) })}`), // prettier-ignore
  /** A new entry; the server gives it an id of its own. */
  addEntry: <L extends ListName>(list: L, entry: Omit<EntryOf[L], 'id'>) =>
    call<{ id: string }>('POST', `/studio/${list}`, json(entry)),
  keepEntry: <L extends ListName>(list: L, { id, ...entry }: EntryOf[L]) =>
    call('PUT', `/studio/${list}/${encodeURIComponent(id)}`, json(entry)),
  dropEntry: (list: ListName, id: string) => call('DELETE', `/studio/${list}/${encodeURIComponent(id)}`),
  takeList: (list: FiledList, file: Blob) =>
    call<{ taken: number; fresh: number }>('POST', `/studio/${list}.csv`, file, 'application/octet-stream'),
  listUrl: (list: FiledList) => `/api/studio/${list}.csv`,
  dropFromYard: (id: string) => call('DELETE', `/studio/yard/${encodeURIComponent(id)}`),
  /** A scan from a file: its sizes and litres, and what was done to it. */
  takeScan: (file: File, unit: 'mm' | 'cm' | 'm') =>
    call<{ scan: Scan; notes: string[] }>('POST', `/studio/yard/scans?${new URLSearchParams({ file: file.name, unit })}`, file, 'application/octet-stream'), // prettier-ignore
  /** What the list shows of a commission beyond its own columns. */
  glance: (id: string, today: string) =>
    call<Glance>('GET', `${at(id)}/glance?${new URLSearchParams({ today })}`),
  /** Seven days over all commissions, and how many of them are not known yet. */
  week: (from: string, today: string) =>
    call<Week & { unknown: number }>('GET', `/week?${new URLSearchParams({ from, today })}`),
  lessons: ({ of, id }: Subject, besides: string) =>
    call<{ lessons: Learnt[] }>('GET', `/lessons?${new URLSearchParams({ of, id, besides })}`),
  /** How simulated suppliers answer; none where real ones stand there. */
  moods: () => call<{ moods: Record<string, Mood> }>('GET', '/stand-ins/suppliers'),
  setMood: (supplier: string, mood: Mood) => call('PUT', '/stand-ins/suppliers', json({ supplier, mood })),
  history: (id: string, before?: number) =>
    call<{ edits: Edit[]; more: boolean }>(
      'GET',
      `${at(id)}/history${before === undefined ? '' : `?before=${before}`}`,
    ),
  orders: (id: string) => call<{ orders: SentOrder[] }>('GET', `${at(id)}/orders`),
  /** An order that a person writes and sends: noted, until the supplier's word comes. */
  sentByHand: (id: string, supplier: string, option: string, today: string) =>
    call<{ reference: string }>('POST', `${at(id)}/orders`, json({ supplier, option, today, by: 'hand' })),
  confirmedByWord: (id: string, reference: string, said: Word) =>
    call('POST', `${at(id)}/orders/${encodeURIComponent(reference)}/confirmed`, json(said)),
  orderFile: (id: string, reference: string, as: 'csv' | 'pdf') =>
    `/api${at(id)}/orders/${encodeURIComponent(reference)}.${as}`,
  withdrawOrder: (id: string, reference: string) =>
    call('POST', `${at(id)}/orders/${encodeURIComponent(reference)}/withdraw`),
  /** Yes to what is offered in place of a line of an order. */
  takeInstead: (id: string, reference: string, line: { item: string; pack: string }, today: string) =>
    call<{ reference: string }>('POST', `${at(id)}/orders/${encodeURIComponent(reference)}/instead`, json({ ...line, today })), // prettier-ignore
  sendOrder: (id: string, supplier: string, option: string, today: string) =>
    call<{ reference: string }>('POST', `${at(id)}/orders`, json({ supplier, option, today })),
  pictureUrl: (id: string, picture: string) => `/api${at(id)}/pictures/${picture}`,
  clientExport: (name: string) => `/api/clients/export?${new URLSearchParams({ name })}`,
  eraseClient: (name: string) =>
    call<{ erased: string[]; left: string[] }>('POST', '/clients/erase', json({ name })),
  /** Whether the machine’s clock has leapt since the server last ran; and that it is right. */
  clock: () => call<{ leap: { seen: string; now: string } | null }>('GET', '/clock'),
  acceptClock: () => call('POST', '/clock/accept'),
  /** Dates for a calendar, in the reader's units. */
  calendar: (
    id: string,
    option: string,
    { masses = 'as-units', temperatures = 'as-units', ...habits }: Habits,
    part: 'all' | 'care' = 'all',
  ) => `/api${at(id)}/calendar.ics?${new URLSearchParams({ part, option, masses, temperatures, ...habits })}`,
  books: (id: string, option: string, today: string) =>
    `/api${at(id)}/books.csv?${new URLSearchParams({ option, today })}`,
  file: (id: string, name: string, option?: string) =>
    `/api${at(id)}/${name}${option ? `${name.includes('?') ? '&' : '?'}option=${encodeURIComponent(option)}` : ''}`,
};
