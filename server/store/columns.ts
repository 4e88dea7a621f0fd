import type { Gave } from '../../core/catalogue/recorded';
import { isOffShelf } from '../../core/commission/origin';
import { lessonsOf } from '../../core/commission/notes';
import type { Commission } from '../../core/commission/schema';
import { scansOf } from '../../core/exchange/apart';
import { yardNumber } from '../../core/yard/number';
import { packed } from './largeText';

/** What is kept of a document: the columns that are searched and listed, and its text. */
export type Kept = ReturnType<typeof columnsOf>;

export function columnsOf(document: Commission) {
  const { length, width, height } = document.vessel.innerMm;
  const client = document.brief.client?.name ?? '';
  const place = document.brief.client?.place ?? '';
  return {
    title: document.title,
    client,
    place,
    buildDay: document.brief.buildDay,
    lengthMm: length,
    widthMm: width,
    heightMm: height,
    waterLineMm: document.vessel.waterLineMm,
    searched: `${document.title} ${client} ${place}`.toLowerCase(),
    document: packed(JSON.stringify(document)),
    yard: yardIds(document),
    gave: gaveOf(document),
    lessons: lessonsOf(document),
    meshes: [...new Set(scansOf(document).map((s) => s.mesh))],
  };
}

/** What was counted of the packs that the chosen option’s plants came in. */
function gaveOf({ options, chosen }: Commission): Gave[] {
  const plants = options.find((o) => o.id === chosen)?.plants ?? [];
  return plants.flatMap(({ plant, gave }) => (gave ? [{ plant, packs: gave.packs, plugs: gave.plugs }] : []));
}

/** Pieces of the studio’s yard that the chosen option takes, by their numbers. */
function yardIds(document: Commission): string[] {
  const pieces = document.options.find((o) => o.id === document.chosen)?.pieces ?? [];
  const taken = pieces.filter((p) => isOffShelf(document, p));
  return [...new Set(taken.map(yardNumber))];
}
