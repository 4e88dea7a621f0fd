import type { About } from '../commission/notes';
import type { Commission, Option } from '../commission/schema';
import { say, type Said } from '../words/text';
import { sittingsOf, sittingTitle } from './sittings';

/** What a note is about, as it is called: a plant, a material or a sitting by its name, a piece and a joint by its own; of what is gone its id. */
export function aboutName(commission: Commission, option: Option | undefined, { of, id }: About): Said {
  const { plants, materials } = commission.catalogue;
  switch (of) {
    case 'sittings': {
      const sitting = sittingsOf(commission).find((s) => s.id === id);
      return sitting ? sittingTitle(sitting) : id;
    }
    case 'plants': {
      const planting = option?.plants.find((p) => p.id === id);
      const name = plants.find((p) => p.id === planting?.plant)?.name;
      return name ? say('note.about', { name, id }) : id;
    }
    case 'bed': {
      const layer = option?.bed.find((l) => l.id === id);
      return materials.find((m) => m.id === layer?.material)?.name ?? id;
    }
    default:
      return id;
  }
}
