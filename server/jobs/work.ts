import { createHash } from 'node:crypto';
import type { Day } from '../../core/calendar/day';
import { depthFault } from '../../core/commission/budgets';
import { changesBetween, type Change } from '../../core/commission/changes';
import { fault, type Fault } from '../../core/commission/fault';
import { isLiving, supplierOf } from '../../core/commission/lookup';
import { merged } from '../../core/commission/merge';
import { mayChange, seen, type Sight } from '../../core/commission/sight';
import { withAnswer } from '../../core/edits/answer';
import type { Answer, Offered } from '../../core/commission/quoteSchema';
import { parseCommission, tooLarge, MAX_DOCUMENT_BYTES } from '../../core/commission/parse';
import { withKnown } from '../../core/catalogue/knownPlants';
import type { Animal, Commission, Material, Plant } from '../../core/commission/schema';
import { unknownFields } from '../../core/commission/unknown';
import { namesIn, withoutPerson } from '../../core/commission/withoutPerson';
import { scansOf } from '../../core/exchange/apart';
import { bundle, isZip, opened } from '../../core/exchange/bundle';
import { scapeFile, type ScapeEnding } from '../../core/exchange/scapeFile';
import type { Placed } from '../../core/ordering/confirmation';
import { glanceOf, type Glance } from '../../core/pipeline/glance';
import { plan, type Plan, type PlanAsk } from '../../core/pipeline/plan';
import { inEnglish } from '../../core/words/english';
import type { Habits } from '../../core/words/scales';
import { animalsCsv, animalsOfCsv } from '../documents/animalsCsv';
import { calendarFile, type CalendarPart } from '../documents/calendar';
import { materialsCsv, materialsOfCsv, type Sellers, type Selling } from '../documents/materialsCsv';
import { orderPdf, type Sender } from '../documents/orderPdf';
import { plantsCsv, plantsOfCsv } from '../documents/plantsCsv';
import { booksCsv } from '../documents/booksCsv';
import { takeOffCsv, UTF8_MARK } from '../documents/takeOffCsv';
import { bytesOfBody, type Body } from '../incoming';
import { columnsOf, type Kept } from '../store/columns';
import { packed, unpacked, wire, type Text } from '../store/largeText';
import type { Meshes } from '../store/meshes';
import { filesWith } from '../store/searched';
import type { SupplierRequest } from '../supplierLink';
import { changesAsk } from './changesAsk';

/*
 * What takes long, one function a job, run in threads beside the server's: reading documents, planning,
 * writing files. Documents come and go as text, so that the server's own thread never holds one.
 */

export { readPrices } from './priceWork';
export { partPiece, takeScan, yardPiece } from './yardWork';

/** A document that was read, ready to be kept; or every fault. */
/** What a document is kept as; `changes` where it is known what was changed in it, as JSON. */
export type Read =
  | { ok: true; kept: Kept; notes: Fault[]; changes?: string }
  | { ok: false; faults: Fault[] };

/** A stored document does not have the option asked for. */
export type Made<T> = { ok: true; value: T } | { ok: false; says: string };

const decoder = new TextDecoder();

/** A document from a file, alone or with its scans; each mesh is kept before anybody names it. */
export async function readFile(body: Body, meshes: Meshes): Promise<Read> {
  const file = await opened(bytesOfBody(body), meshes.figuresOf, meshes.keep);
  return file.ok ? kept(file.commission, meshes) : file;
}

/** An order as a sheet. */
export function orderSheet({
  request,
  sender,
}: {
  request: SupplierRequest;
  sender: Sender;
}): Promise<Buffer> {
  return orderPdf(request, sender);
}

/** The smaller mesh of a scan, for drawing: made when somebody first looks at it. */
export async function drawMesh({ name }: { name: string }, meshes: Meshes): Promise<void> {
  await meshes.draw(name);
}

/** A new document as a page sends it, not as a file that has its scans beside it. */
export async function readNew(body: Body, meshes: Meshes): Promise<Read> {
  const bytes = bytesOfBody(body);
  if (isZip(bytes)) return { ok: false, faults: [fault('(document)', 'fault.zip.here')] }; // prettier-ignore
  return readFile(bytes, meshes);
}

/** A save: the revision it is based on, and the whole document. */
export function readSave(body: Body, meshes: Meshes): { revision: unknown; read: Read } | 'no JSON' {
  let save: { revision?: unknown; document?: unknown };
  try {
    save = JSON.parse(decoder.decode(bytesOfBody(body))) as typeof save;
  } catch {
    return 'no JSON';
  }
  const parsed = parseCommission(save?.document);
  return { revision: save?.revision, read: parsed.ok ? kept(parsed.commission, meshes) : parsed };
}

/**
 * A stored document with changes made to it, the usual save: what was sent names the revision it is based on. What is
 * no change at all, or is based on another revision, is said as such.
 */
export function readChanges(
  { text, revision, body, sight }: { text: Text; revision: number; body: Body; sight?: Sight },
  meshes: Meshes,
): Read | 'no JSON' | 'no change' | 'another revision' | 'nothing to do' | 'not theirs' {
  let sent: unknown;
  try {
    sent = JSON.parse(decoder.decode(bytesOfBody(body)));
  } catch {
    return 'no JSON';
  }
  // Before anything goes down into it: what is nested without end would end the thread.
  const deep = depthFault(sent);
  if (deep) return { ok: false, faults: [deep] };
  const ask = changesAsk.safeParse(sent);
  if (!ask.success) return 'no change';
  if (sight && !mayChange(sight, ask.data.changes)) return 'not theirs';
  if (ask.data.revision !== revision) return 'another revision';
  const changes = ask.data.changes as Change[];
  if (changes.length === 0) return 'nothing to do';
  const { document, clashes } = merged(JSON.parse(unpacked(text)) as object, changes);
  if (clashes.length > 0) return { ok: false, faults: [fault('(changes)', 'fault.changes')] };
  const parsed = parseCommission(document);
  return parsed.ok ? kept(parsed.commission, meshes, changes) : parsed;
}

/** A document as somebody sees it who does not see all of it. */
export function seenBy({ text, sight }: { text: Text; sight: Sight }): Text {
  return packed(JSON.stringify(seen(JSON.parse(unpacked(text)) as Commission, sight)));
}

/** A document with what its client answered: a yes to the version that was shown to them, or a question in its log. */
export function readAnswer(
  { text, answer, offers }: { text: Text; answer: Answer & { day: Day }; offers: readonly Offered[] },
  meshes: Meshes,
): Read | 'agreed already' {
  const was = JSON.parse(unpacked(text)) as Commission;
  const answered = withAnswer(was, answer, offers);
  if (!answered) return 'agreed already';
  const parsed = parseCommission(answered);
  return parsed.ok ? kept(parsed.commission, meshes, changesBetween(was, answered)) : parsed;
}

/** A list of plants from CSV, as JSON that is ready to be kept. */
export function readPlants(body: Body): Made<{ count: number; json: Text }> {
  const read = plantsOfCsv(bytesOfBody(body));
  if (!read.ok) return read;
  return { ok: true, value: { count: read.plants.length, json: packed(JSON.stringify(read.plants)) } };
}

/** Materials and prices out of a list, as JSON: whoever keeps them need not take them apart. `known` are ids and names, JSON. */
export function readMaterials({
  body,
  sellers,
  known,
}: {
  body: Body;
  sellers: Sellers;
  known: Text;
}): Made<{ count: number; json: Text }> {
  const materials = JSON.parse(unpacked(known)) as Selling['materials'];
  const read = materialsOfCsv(bytesOfBody(body), { ...sellers, materials });
  if (!read.ok) return read;
  return { ok: true, value: { count: read.materials.length, json: packed(JSON.stringify(read.materials)) } };
}

/** Animals out of a list, as JSON. `known` are ids and names of those that are here, JSON. */
export function readAnimals({
  body,
  known,
}: {
  body: Body;
  known: Text;
}): Made<{ count: number; json: Text }> {
  const read = animalsOfCsv(bytesOfBody(body), JSON.parse(unpacked(known)) as [string, string][]);
  if (!read.ok) return read;
  return { ok: true, value: { count: read.animals.length, json: packed(JSON.stringify(read.animals)) } };
}

/** The studio’s animals, a JSON list, as CSV. */
export function animalsFile(animals: Text): Text {
  return sheet(animalsCsv(JSON.parse(unpacked(animals)) as Animal[]));
}

/** The studio’s materials, a JSON list, with what they cost as CSV. */
export function materialsFile({ materials, sellers }: { materials: Text; sellers: Sellers }): Text {
  return sheet(materialsCsv(JSON.parse(unpacked(materials)) as Material[], sellers));
}

/** The studio’s plants, a JSON list, as CSV with what everybody knows of them. */
export function plantsFile(plants: Text): Text {
  return sheet(plantsCsv((JSON.parse(unpacked(plants)) as Plant[]).map(withKnown)));
}

const sheet = (csv: string): Text => packed(UTF8_MARK + csv);

/** What is kept must be able to come back as a file, so it obeys the same limit. */
function kept(commission: Commission, meshes: Meshes, changes?: readonly Change[]): Read {
  const faults = meshes.faultsOf(commission);
  if (faults.length > 0) return { ok: false, faults };
  const columns = columnsOf(commission);
  const bytes = Buffer.byteLength(wire(columns.document));
  if (bytes > MAX_DOCUMENT_BYTES) return { ok: false, faults: [tooLarge(bytes)] };
  const edit = changes ? { changes: JSON.stringify(changes) } : {};
  return { ok: true, kept: columns, notes: unknownFields(commission), ...edit };
}

/** A copy under a name of its own, without the log. */
export function duplicate(text: Text): Kept {
  const document = JSON.parse(unpacked(text)) as Commission;
  return columnsOf({ ...document, title: `${document.title}, copy`.slice(0, 200), log: [] });
}

/** What is left of a document without its client, and the names that it had of them. */
export function erase(text: Text): { kept: Kept; words: string[] } {
  const document = JSON.parse(unpacked(text)) as Commission;
  return { kept: columnsOf(withoutPerson(document)), words: namesIn(document) };
}

/** Files of the data in which one of the words still stands. */
export function search({ folder, words }: { folder: string; words: string[] }): string[] {
  return filesWith(folder, words);
}

/** As a file that people may look into; with its scans, where it has any, as one zip. */
export async function documentFile(
  text: Text,
  meshes: Meshes,
): Promise<{ ending: 'json' | 'zip'; file: Text }> {
  const document = JSON.parse(unpacked(text)) as Commission;
  const json = `${JSON.stringify(document, null, 2)}\n`;
  const names = scansOf(document).map((s) => s.mesh);
  if (names.length === 0) return { ending: 'json', file: packed(json) };
  return { ending: 'zip', file: { utf8: await bundle(json, names, meshes.bytesOf) } };
}

export interface Asked {
  id: string;
  text: Text;
  option?: string;
  /** Orders that suppliers have confirmed. */
  placed?: readonly Placed[];
}

export function takeOffFile(asked: Asked, meshes: Meshes): Made<string> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  return planned(document, asked, meshes, (p) => takeOffCsv(document, p));
}

export function booksFile({ today, ...asked }: Asked & { today?: Day }, meshes: Meshes): Made<string> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  return planned(document, asked, meshes, (p) => booksCsv(document, p), { planted: 'later', today });
}

export function calendar(
  { part, habits, ...asked }: Asked & { part: CalendarPart; habits: Habits },
  meshes: Meshes,
): Made<string> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  // The days of trims and of what closes are planting's: here alone light and growth are worked out.
  return planned(document, asked, meshes, (p) => calendarFile(asked.id, document, p, part, habits), {});
}

/** What the list shows of a commission; plants are not lived through for it. */
export function glance({ today, ...asked }: Asked & { today: Day }, meshes: Meshes): Made<Glance> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  const make = (p: Plan) => glanceOf(document, p, today);
  return planned(document, asked, meshes, make, { planted: 'later', today });
}

/** The whole scape for other programs. */
export async function scape(
  { ending, ...asked }: Asked & { ending: ScapeEnding },
  meshes: Meshes,
): Promise<Made<Text>> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  const answer = planned(document, asked, meshes, (p) => scapeFile(document, p.survey, ending));
  return answer.ok ? { ok: true, value: { utf8: new Uint8Array(await answer.value) } } : answer;
}

/** What is sent to one supplier; undefined where the order has nothing from it. */
export function supplierRequest(
  asked: Asked & { supplier: string; today: string; withdrawn?: readonly string[] },
  meshes: Meshes,
): Made<SupplierRequest | undefined> {
  const document = JSON.parse(unpacked(asked.text)) as Commission;
  return planned(document, asked, meshes, (p) => requestOf(document, p, asked));
}

function planned<T>(
  document: Commission,
  { option: optionId, placed }: Pick<Asked, 'option' | 'placed'>,
  meshes: Meshes,
  make: (plan: Plan) => T,
  ask: Pick<PlanAsk, 'planted' | 'today'> = { planted: 'later' },
): Made<T> {
  if (optionId !== undefined && !document.options.some((o) => o.id === optionId))
    return {
      ok: false,
      says: `option: is "${optionId}", must be one of ${document.options.map((o) => `"${o.id}"`).join(', ')}`,
    };
  meshes.holdFor(document, optionId ?? document.chosen);
  return { ok: true, value: make(plan(document, { optionId, placed, ...ask })) };
}

function requestOf(
  document: Commission,
  { order }: Plan,
  {
    id,
    option,
    placed = [],
    supplier,
    today,
    withdrawn = [],
  }: Asked & { supplier: string; today: string; withdrawn?: readonly string[] },
): SupplierRequest | undefined {
  const group = order.suppliers.find((s) => s.supplier === supplier);
  if (!group || group.lines.length === 0) return undefined;
  const standing = placed.filter((p) => p.supplier === supplier).map((p) => p.reference);
  const content = JSON.stringify([
    id,
    option ?? document.chosen,
    group.lines.map((l) => [l.line, l.pack, l.count]),
    // The same once more, after it has been confirmed or withdrawn, is another order.
    ...(standing.length + withdrawn.length > 0 ? [[...standing, ...withdrawn].sort()] : []),
  ]);
  return {
    // Made from what is ordered: sent again it is recognised, changed it is a new order.
    reference: `${supplier}-${createHash('sha256').update(content).digest('hex').slice(0, 10)}`,
    supplier: supplierOf(document, supplier),
    studio: document.studio?.name ?? '',
    today,
    wantedBy: group.lines.flatMap((l) => (l.arriveBy ? [l.arriveBy] : [])).sort()[0] ?? null,
    currency: document.currency,
    ...(group.carriageMinor > 0 ? { carriageMinor: group.carriageMinor } : {}),
    lines: group.lines.map(({ line, pack, name, packWords, count, priceMinor, leadDays }) => ({
      ...(isLiving(document, line) ? { isLiving: true } : {}),
      item: line,
      pack,
      name: inEnglish(name),
      words: inEnglish(packWords),
      count,
      priceMinor,
      leadDays,
    })),
  };
}
