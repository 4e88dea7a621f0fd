import { dayPlus } from '../../../core/calendar/day';
import { SMALL_KINDS } from '../../../core/commission/catalogueSchema';
import { withEntries } from '../../../core/edits/packs';
import type { Commission } from '../../../core/commission/schema';
import type { Studio } from '../../../core/catalogue/studio';
import { today } from '../../units/days';

/** Days until the build of a commission that has just been begun: what soaking wood and lead times need. */
const USUAL_NOTICE = 42;

/** An empty commission: a 600 mm box with a rising bed of the studio's first soil, everything else open. */
export function newCommission(studio: Studio): Commission {
  const soil = studio.catalogue.materials.find((m) => m.kind === 'soil');
  const crew = studio.crew ?? 1;
  const names = (studio.people ?? []).slice(0, crew);
  const begun: Commission = {
    format: 'utsuwa.commission',
    version: 1,
    title: 'New commission',
    currency: studio.currency,
    ...(studio.name
      ? {
          studio: {
            name: studio.name,
            ...(studio.phone ? { phone: studio.phone } : {}),
            ...(studio.address ? { address: studio.address } : {}),
          },
        }
      : {}),
    brief: {
      buildDay: dayPlus(today(), USUAL_NOTICE),
      co2: false,
      crew,
      ...(names.length > 0 ? { crewNames: names } : {}),
      ...(studio.pace ? { pace: studio.pace } : {}),
    },
    ...(studio.quote ? { quote: studio.quote } : {}),
    vessel: { kind: 'box', innerMm: { length: 600, width: 360, height: 360 }, glassMm: 8, waterLineMm: 330 },
    chosen: 'a',
    options: [
      {
        id: 'a',
        title: 'First sketch',
        bed: soil ? [{ id: 'soil', material: soil.id, top: { kind: 'ramp', frontMm: 50, backMm: 90 } }] : [],
        pieces: [],
        joints: [],
        plants: [],
      },
    ],
    catalogue: {
      materials: [],
      plants: [],
      suppliers: studio.catalogue.suppliers,
    },
    log: [],
  };
  const small: readonly string[] = SMALL_KINDS;
  const materials = studio.catalogue.materials.filter((m) => m.id === soil?.id || small.includes(m.kind));
  return withEntries(begun, { materials }, studio.catalogue.suppliers);
}
