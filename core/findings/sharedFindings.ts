import type { Planting } from '../commission/schema';
import { plantingOf, type Resolved } from '../resolved/resolved';
import { commonArea } from '../geometry/offset';
import { polygonArea, polygonBounds, type Polygon } from '../geometry/polygon';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { say } from '../words/text';
import { PRACTICE } from '../words/text';

/** Regions that have less of the smaller in common merely meet at their edges. */
const MEETING_SHARE = 0.25;

type Region = Planting & { region: Polygon };

/** Two plants on one surface of which each is counted for the whole: more plugs are bought than there is room for. */
export function sharedFindings(commission: Resolved): Finding[] {
  const { plants } = commission.option;
  const known = kept.get(plants);
  if (known?.catalogue === commission.catalogue) return known.findings;
  const findings = worksOut(commission, plants);
  kept.set(plants, { catalogue: commission.catalogue, findings });
  return findings;
}

/** Regions are held against each other once for as long as neither they nor the catalogue change. */
const kept = new WeakMap<Planting[], { catalogue: Resolved['catalogue']; findings: Finding[] }>();

function worksOut(commission: Resolved, plants: readonly Planting[]): Finding[] {
  const regions = plants.filter(
    (p): p is Region =>
      p.region !== undefined && p.count === undefined && plantingOf(commission, p.id).laterDays === 0,
  );
  const found = regions.flatMap((a, i) =>
    regions.slice(i + 1).flatMap((b): Finding[] => {
      const shares = (a.share ?? 1) + (b.share ?? 1);
      if (shares <= 1 + 1e-9 || a.plant === b.plant || !meet(a.region, b.region)) return [];
      const common = commonArea(a.region, b.region);
      const least = Math.min(polygonArea(a.region), polygonArea(b.region));
      if (common < MEETING_SHARE * least) return [];
      return [
        {
          id: 'plant.shared',
          severity: 'warn',
          at: { plant: b.id },
          measured: rounded(shares * 100, 0),
          limit: 100,
          unit: '%',
          says: say('plant.shared.says', {
            one: plantingOf(commission, a.id).plant.name,
            other: plantingOf(commission, b.id).plant.name,
            percent: rounded((common / least) * 100, 0),
          }),
          because: say('plant.shared.because'),
          source: PRACTICE,
        },
      ];
    }),
  );
  // Two regions of one plant that lie on a third alike are one thing to say.
  return [...new Map(found.map((f) => [JSON.stringify([f.at, f.says]), f])).values()];
}

function meet(a: Polygon, b: Polygon): boolean {
  const [al, af, ar, ab] = polygonBounds(a);
  const [bl, bf, br, bb] = polygonBounds(b);
  return al < br && bl < ar && af < bb && bf < ab;
}
