import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Material } from '../commission/schema';
import type { Survey } from '../survey/survey';
import type { Working } from '../units/quantity';
import { lineOf, type TakeOffLine } from './line';

/** Stone bought for each kilogram placed when the studio has not said (common practice: 1.5 to 2). */
export const USUAL_STONE_FACTOR = 1.5;

/** A line for each stone, by mass with a choice to pick from, and for each wood, by piece. */
export function hardscapeLines(commission: Commission, survey: Survey): TakeOffLine[] {
  const ids = [...new Set(survey.pieces.map((p) => p.material))];
  return ids
    .map((id) => materialOf(commission, id))
    .sort((a, b) => Number(a.kind === 'wood') - Number(b.kind === 'wood'))
    .map((material) =>
      material.kind === 'wood'
        ? woodLine(commission, survey, material)
        : stoneLine(commission, survey, material),
    );
}

function ownedIds(commission: Commission, survey: Survey): Set<string> {
  const { pieces } = optionOf(commission, survey.optionId);
  return new Set(pieces.filter((p) => p.owned).map((p) => p.id));
}

function stoneLine(commission: Commission, survey: Survey, material: Material): TakeOffLine {
  const factor = optionOf(commission, survey.optionId).allowances?.stoneFactor ?? USUAL_STONE_FACTOR;
  const owned = ownedIds(commission, survey);
  const pieces = survey.pieces.filter((p) => p.material === material.id);
  const placed = pieces.reduce((sum, p) => sum + p.massKg, 0);
  const own = pieces.filter((p) => owned.has(p.id)).reduce((sum, p) => sum + p.massKg, 0);
  const needed = (placed - own) * factor;
  const workings: Working[] = [
    {
      step: 'placed',
      value: placed,
      unit: 'kg',
      note: `${pieces.length} pieces, volume × density or weighed`,
    },
    ...(own > 0
      ? [{ step: 'less own pieces', value: -own, unit: 'kg', note: 'from the yard or the client' }]
      : []),
    {
      step: `bought × ${factor} to choose from`,
      value: needed,
      unit: 'kg',
      note: 'common practice 1.5 to 2; the rest stays in the yard',
    },
  ];
  return lineOf({
    id: material.id,
    kind: 'hardscape',
    name: material.name,
    measured: { value: placed, unit: 'kg' },
    needed: { value: needed, unit: 'kg' },
    packs: material.packs,
    workings,
  });
}

function woodLine(commission: Commission, survey: Survey, material: Material): TakeOffLine {
  const owned = ownedIds(commission, survey);
  const pieces = survey.pieces.filter((p) => p.material === material.id);
  const bought = pieces.filter((p) => !owned.has(p.id)).length;
  const massKg = pieces.reduce((sum, p) => sum + p.massKg, 0);
  return lineOf({
    id: material.id,
    kind: 'hardscape',
    name: material.name,
    measured: { value: massKg, unit: 'kg' },
    needed: { value: bought, unit: 'piece' },
    packs: material.packs,
    workings: [
      { step: 'placed', value: massKg, unit: 'kg', note: pieces.map((p) => p.id).join(', ') },
      { step: 'pieces to buy', value: bought, unit: 'piece', note: `${pieces.length - bought} own` },
    ],
  });
}
