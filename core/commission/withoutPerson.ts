import { onlyKnown } from './onlyKnown';
import type { Commission, Option } from './schema';

/**
 * A client's name as it is compared: two that differ in case, in blanks or in how an accent is written are one.
 * `clientKey(' Mrs  CEDAR')` is `mrs cedar`.
 */
export function clientKey(name: string): string {
  return name.normalize('NFC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');
}

/** What stands for a name that was erased. */
const ERASED = 'erased';

/** Name and contact of a client as they stand in a document: what is looked for in other places. */
export function namesIn({ brief }: Pick<Commission, 'brief'>): string[] {
  return longEnough([brief.client?.name, brief.client?.contact]);
}

/** All words that tell whose a commission was. Others may live in the same place: it is no name. */
function personIn(document: Pick<Commission, 'brief'>): string[] {
  return [...namesIn(document), ...longEnough([document.brief.client?.place, document.brief.keeper])];
}

function longEnough(words: readonly (string | undefined)[]): string[] {
  return words.flatMap((word) => (word && word.trim().length > 1 ? [word.trim()] : []));
}

/**
 * A document without anything that tells whose it was: vessel, options, catalogue, budget and build day stay for the
 * books. What people wrote goes, and what this version does not know; wherever else a word of the person still stands,
 * in the name of a stone say, it is replaced.
 */
export function withoutPerson(document: Commission): Commission {
  const { buildDay, co2, crew, startTime, budgetMinor, schools, buildTasks } = document.brief;
  // Things name their sittings: the days stay, and what was written of them goes.
  const sittings = document.brief.sittings?.map(({ title: _title, note: _note, ...s }) => s);
  // So do things that come out of another scape; its name may be somebody's.
  const brokenDown = document.brief.brokenDown?.map(({ id, day }, i) => ({
    id,
    day,
    name: `Scape ${i + 1}`,
  }));
  const {
    pictures: _pictures,
    site: _site,
    log: _log,
    shelved: _shelved,
    now,
    quote,
    received,
    taken,
    candidates: _candidates,
    parcels: _parcels,
    ...rest
  } = document;
  const { fixed, chambers, ...vessel } = document.vessel;
  const bare = {
    ...rest,
    title: 'Erased commission',
    brief: {
      buildDay,
      co2,
      crew,
      startTime,
      budgetMinor,
      schools,
      ...(sittings ? { sittings } : {}),
      ...(brokenDown ? { brokenDown } : {}),
      ...(buildTasks ? { buildTasks } : {}),
    },
    vessel: {
      ...vessel,
      ...(chambers ? { chambers: chambers.map(({ title: _title, ...c }) => c) } : {}),
      ...(fixed ? { fixed: fixed.map((f, i) => ({ ...f, title: `Fixed ${i + 1}` })) } : {}),
    },
    ...(quote ? { quote: figuresOf(quote) } : {}),
    ...(taken ? { taken: taken.map(({ note: _note, ...t }) => t) } : {}),
    ...(received ? { received: received.map(({ note: _note, photo: _photo, ...r }) => r) } : {}),
    ...(now ? { now: { ...now, underlays: undefined } } : {}),
    options: document.options.map(({ underlays: _underlays, ...o }, i): Option => ({ ...o, title: `Option ${i + 1}` })), // prettier-ignore
  } as Commission;
  return JSON.parse(JSON.stringify(onlyKnown(bare)), replacing(personIn(document))) as Commission;
}

/** The figures of a quote: what was written beside them goes, and who said yes. */
function figuresOf({ notIncluded: _not, dependsOn: _on, terms: _terms, accepted, ...figures }: NonNullable<Commission['quote']>) {
  if (!accepted) return figures;
  const { by: _by, ...agreed } = accepted;
  return { ...figures, accepted: agreed };
} // prettier-ignore

/** Replaces the words of a person in every text, letter case aside; the same text always becomes the same. */
function replacing(words: readonly string[]): (key: string, value: unknown) => unknown {
  const found = words.map((word) => word.toLocaleLowerCase('en'));
  return (_key, value) => (typeof value === 'string' ? found.reduce(without, value) : value);
}

function without(value: string, word: string): string {
  const lower = value.toLocaleLowerCase('en');
  // A letter that changes its length with its case: then the whole text goes.
  if (lower.length !== value.length) return lower.includes(word) ? ERASED : value;
  let [out, from] = ['', 0];
  for (let at = lower.indexOf(word); at >= 0; at = lower.indexOf(word, from)) {
    out += value.slice(from, at) + ERASED;
    from = at + word.length;
  }
  return out + value.slice(from);
}
