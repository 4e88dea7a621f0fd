import { linkedTo } from './scapes';
import type { Commission, Option } from './schema';

/*
 * Options of a commission: complete scapes of which the client chooses one. Each act gives a new document;
 * an option that is put aside is kept on the shelf of the document and comes back as it was.
 */

/** Ids are single letters as long as there are any left, for options in use and on the shelf. */
export function freshOptionId({ options, shelved = [] }: Commission): string {
  const taken = new Set([...options, ...shelved].map((o) => o.id));
  for (let n = 0; ; n++) {
    const id = n < 26 ? String.fromCharCode(97 + n) : `o${n}`;
    if (!taken.has(id)) return id;
  }
}

/** A copy beside the original, under a name of its own. */
export function duplicated(document: Commission, id: string): { document: Commission; id: string } {
  const at = document.options.findIndex((o) => o.id === id);
  if (at < 0) return { document, id };
  const fresh = freshOptionId(document);
  const copy: Option = {
    ...document.options[at],
    id: fresh,
    title: `${document.options[at].title}, again`.slice(0, 200),
  };
  return { document: { ...document, options: document.options.toSpliced(at + 1, 0, copy) }, id: fresh };
}

/** Moved by so many places; the ends hold. */
export function reordered(document: Commission, id: string, by: number): Commission {
  const from = document.options.findIndex((o) => o.id === id);
  const to = Math.min(Math.max(from + by, 0), document.options.length - 1);
  if (from < 0 || to === from) return document;
  const options = document.options.toSpliced(from, 1).toSpliced(to, 0, document.options[from]);
  return { ...document, options };
}

/** Put on the shelf. The last one stays; when it was the chosen one the first that is left is chosen. */
export function putAside(document: Commission, id: string): Commission {
  const option = document.options.find((o) => o.id === id);
  const left = document.options.filter((o) => o.id !== id);
  if (!option || left.length === 0) return document;
  return {
    ...document,
    options: left,
    chosen: document.chosen === id ? left[0].id : document.chosen,
    shelved: [...(document.shelved ?? []), option],
  };
}

/** From the shelf to the end of the options, as it was. */
export function broughtBack(document: Commission, id: string): Commission {
  const option = document.shelved?.find((o) => o.id === id);
  if (!option) return document;
  const { shelved: _shelved, ...rest } = document;
  const left = document.shelved!.filter((o) => o.id !== id);
  // What stands there may have been drawn anew meanwhile.
  const options = [...document.options, linkedTo(option, document.now)];
  return { ...rest, options, ...(left.length > 0 ? { shelved: left } : {}) };
}
