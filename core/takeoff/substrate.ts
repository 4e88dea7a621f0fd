import { isRubble } from '../commission/rubble';
import { inMm } from '../words/measure';
import { say, type Said } from '../words/text';
import { materialOf } from '../commission/lookup';
import type { Material, Origin } from '../commission/schema';
import { layerOf, pieceOf, type Resolved } from '../resolved/resolved';
import { pouredL } from '../substrate/pour';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Working } from '../words/working';
import { lineOf, neededFrom, type TakeOffLine } from './line';
import { strewnSteps } from './strewn';

/** What one layer has of a material: all figures in L, by its share of a mixture. */
interface Part {
  material: string;
  share: number;
  grossL: number;
  takenL: number;
  volumeL: number;
  /** As poured, before it settles; of that what is there or comes from elsewhere, and what is bought. */
  pouredL: number;
  ownL: number;
  boughtL: number;
  /** Days after the build on which it is laid; negative before it. */
  onDay: number;
  origin: Origin;
}

/** A line for each bed material, over all layers of it, in the order in which they lie. */
export function substrateLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const parts = [...partsIn(commission, survey), ...pocketParts(commission, survey)];
  const strewn = commission.strewn.filter((s) => !isRubble(s.material));
  const ids = [...new Set([...parts.map((p) => p.material), ...strewn.map((s) => s.material.id)])];
  return ids.map(
    (id) =>
    substrateLine(commission, survey, id, parts.filter((p) => p.material === id), strewn.filter((s) => s.material.id === id)), // prettier-ignore
  );
}

function partsIn(commission: Resolved, survey: Survey): Part[] {
  return survey.layers.flatMap(({ id, grossL, takenByPiecesL, volumeL }) => {
    const { parts, origin, onDay, atHandL } = layerOf(commission, id);
    return parts.map(({ material, share, pouredL, boughtL }): Part => ({
      material: material.id,
      share,
      grossL: grossL * share,
      takenL: takenByPiecesL * share,
      volumeL: volumeL * share,
      pouredL,
      ownL: pouredL - boughtL,
      boughtL,
      onDay,
      // What is there of a layer that is topped up is in the tank.
      origin: atHandL > 0 ? 'here' : origin,
    }));
  });
}

/** A heap lies when its piece stands. */
const pocketOn = (commission: Resolved, on: string) => Math.min(0, pieceOf(commission, on).onDay);

/** Heaps on top of pieces are out of the same bags. */
function pocketParts(commission: Resolved, { pockets }: Survey): Part[] {
  return pockets.map(({ material, litres, on }): Part => {
    const poured = pouredL(litres, materialOf(commission, material).settles);
    return { material, share: 1, grossL: litres, takenL: 0, volumeL: litres, pouredL: poured, ownL: 0, boughtL: poured, onDay: pocketOn(commission, on), origin: 'bought' }; // prettier-ignore
  });
}

function substrateLine(
  commission: Resolved,
  survey: Survey,
  id: string,
  parts: readonly Part[],
  strewn: Resolved['strewn'],
): TakeOffLine {
  const material = materialOf(commission, id);
  // Out of the same bags, by the spoon.
  const bought = strewn.filter((s) => s.origin === 'bought');
  const [strewnL, strewnBoughtL] = [strewn, bought].map((lots) => lots.reduce((sum, s) => sum + s.amount.litres, 0)); // prettier-ignore
  return lineOf({
    id,
    kind: 'substrate',
    name: material.name,
    measured: { value: litresIn(parts, 'volumeL') + strewnL, unit: 'L' },
    needed: { value: litresIn(parts, 'boughtL') + strewnBoughtL, unit: 'L' },
    packs: material.packs,
    ...neededFrom([...parts.filter((p) => p.boughtL > 0), ...bought].map((p) => p.onDay)),
    origins: [...parts, ...strewn].map((p) => p.origin),
    bulkKgPerL: material.bulkKgPerL,
    workings: [
      ...(parts.length > 0 ? pouredSteps(survey, material, parts) : []),
      ...strewnSteps(strewnL, strewnBoughtL, 'L'),
    ],
  });
}

const litresIn = (parts: readonly Part[], of: 'grossL' | 'takenL' | 'volumeL' | 'pouredL' | 'ownL' | 'boughtL') => parts.reduce((sum, p) => sum + p[of], 0); // prettier-ignore

/** From what lies under the surface to what is bought of what is poured. */
function pouredSteps(survey: Survey, material: Material, parts: readonly Part[]): Working[] {
  const measured = litresIn(parts, 'volumeL');
  return [
    {
      step: say('under.surface'),
      value: litresIn(parts, 'grossL'),
      unit: 'L',
      note: say('cells', { count: survey.cells, size: inMm(survey.cellMm, 1) }),
    },
    ...mixed(parts),
    ...taken(survey, litresIn(parts, 'takenL')),
    { step: say('to.fill'), value: measured, unit: 'L' },
    ...settling(material, litresIn(parts, 'pouredL') - measured),
    { step: say('to.pour'), value: litresIn(parts, 'pouredL'), unit: 'L' },
    ...own(litresIn(parts, 'ownL'), litresIn(parts, 'boughtL')),
  ];
}

/** How much of a mixture it is; of several layers the smallest share. */
function mixed(parts: readonly Part[]): Working[] {
  const share = Math.min(...parts.map((p) => p.share));
  if (share === 1) return [];
  return [{ step: say('of.mixture'), value: rounded(share * 100, 1), unit: '%' }];
}

function taken(survey: Survey, litres: number): Working[] {
  if (litres <= 0) return [];
  return [{ step: say('less.standing'), value: -litres, unit: 'L', note: standingWords(survey) }];
}

function settling({ settles }: Material, litres: number): Working[] {
  if (!settles) return [];
  const percent = rounded(settles * 100, 1);
  const note = say('settles.note', { share: settles });
  return [{ step: say('settles', { percent }), value: litres, unit: 'L', note }];
}

/** What is there, in stock or the client's, and what is left to buy. */
function own(ownL: number, needed: number): Working[] {
  if (ownL <= 1e-9) return [];
  return [
    { step: say('less.there'), value: -ownL, unit: 'L', note: say('less.there.note') },
    { step: say('to.buy'), value: needed, unit: 'L' },
  ];
}

function standingWords(survey: Survey): Said {
  const ids = survey.pieces.filter((p) => p.inBedL > 0).map((p) => p.id);
  if (ids.length <= 4) return ids.join(', ');
  return say('first.and.more', { first: ids.slice(0, 3), count: ids.length - 3 });
}
