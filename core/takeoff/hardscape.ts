import { isRubble } from '../commission/rubble';
import { soldBy } from '../catalogue/materialFields';
import { materialOf } from '../commission/lookup';
import type { Material } from '../commission/schema';
import { pieceOf, type Resolved } from '../resolved/resolved';
import { aheadOf } from '../beforehand/ahead';
import { triedAheadDays } from '../sittings/homes';
import type { Survey } from '../survey/survey';
import { LOAD_CONSTANT_KG } from '../site/lifting';
import { inKg } from '../words/measure';
import { say } from '../words/text';
import type { Working } from '../words/working';
import { lineOf, neededFrom, type TakeOffLine } from './line';
import { strewnSteps } from './strewn';

/** Stone bought for each kilogram placed when the studio has not said (common practice: 1.5 to 2). */
export const USUAL_STONE_FACTOR = 1.5;

/**
 * A stone heavier than one may lift at best is sold by itself, not by weight out of a bin: that very one is bought, with none to
 * choose from (common practice). With how many it is carried is the run sheet's question, `ONE_PERSON_KG`.
 */
export const CHOSEN_ALONE_KG = LOAD_CONSTANT_KG;

/** In which order they are listed. */
const ORDER: readonly Material['kind'][] = ['stone', 'wood', 'ware'];

/** A line for each stone, by mass with a choice to pick from, and for each wood and each kind of pot, by piece. */
export function hardscapeLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const rubble = commission.strewn.filter((s) => isRubble(s.material)).map((s) => s.material.id);
  const ids = [...new Set([...survey.pieces.map((p) => p.material), ...rubble])];
  return ids
    .map((id) => materialOf(commission, id))
    .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))
    .map((material) =>
      soldBy(material.kind) !== 'kg'
        ? pieceLine(commission, survey, material)
        : stoneLine(commission, survey, material),
    );
}

/** When the first of some pieces is needed, and why it is before the build day. */
function soonest(
  commission: Resolved,
  pieces: readonly { id: string }[],
  strewnOn: readonly number[] = [],
): Pick<TakeOffLine, 'laterDays' | 'ahead' | 'aheadDays' | 'usedAheadDays'> {
  const ahead = aheadOf(commission);
  const tried = -triedAheadDays(commission);
  const onDays = pieces.flatMap(({ id }) => {
    const [{ onDay }, work] = [pieceOf(commission, id), ahead.get(id)];
    return [
      { why: work?.why, on: work ? -work.days : onDay, used: onDay },
      ...(onDay <= 0 ? [{ why: undefined, on: tried, used: onDay }] : []),
    ];
  });
  onDays.push(...strewnOn.map((on) => ({ why: undefined, on, used: on })));
  const [first] = onDays.sort((a, b) => a.on - b.on);
  const needed = neededFrom(first ? [first.on] : []);
  if (!needed.aheadDays || !first.why) return needed;
  return { ...needed, ahead: first.why, ...(first.used < 0 ? { usedAheadDays: -first.used } : {}) };
}

function stoneLine(commission: Resolved, survey: Survey, material: Material): TakeOffLine {
  const factor = commission.option.allowances?.stoneFactor ?? USUAL_STONE_FACTOR;
  const originOf = ({ id }: { id: string }) => pieceOf(commission, id).origin;
  const isOwn = (p: { id: string }) => originOf(p) !== 'bought';
  const pieces = survey.pieces.filter((p) => p.material === material.id);
  const placed = pieces.reduce((sum, p) => sum + p.massKg, 0);
  const own = pieces.filter(isOwn).reduce((sum, p) => sum + p.massKg, 0);
  const alone = pieces
    .filter((p) => !isOwn(p) && p.massKg > CHOSEN_ALONE_KG)
    .reduce((sum, p) => sum + p.massKg, 0);
  const choice = (placed - own - alone) * factor;
  const strewn = commission.strewn.filter((s) => s.material.id === material.id);
  const strewnKg = kgOf(strewn);
  const strewnBoughtKg = kgOf(strewn.filter((s) => s.origin === 'bought'));
  // A handful is not chosen stone by stone: nothing more of it is bought to choose from.
  const needed = choice + alone + strewnBoughtKg;
  const chosen: Working[] = [
    { step: say('placed'), value: placed, unit: 'kg', note: say('placed.note', { count: pieces.length }) },
    ...(own > 0 ? [{ step: say('less.own'), value: -own, unit: 'kg', note: say('less.own.note') }] : []),
    ...(choice > 0 || alone === 0 ? [{ step: say('stone.choice', { factor }), value: choice, unit: 'kg', note: say('stone.choice.note') }] : []), // prettier-ignore
    ...(alone > 0 ? [{ step: say('stone.alone'), value: alone, unit: 'kg', note: say('stone.alone.note', { most: inKg(CHOSEN_ALONE_KG, 0) }) }] : []), // prettier-ignore
  ];
  const workings = [...(placed > 0 ? chosen : []), ...strewnSteps(strewnKg, strewnBoughtKg, 'kg')];
  return lineOf({
    id: material.id,
    kind: 'hardscape',
    name: material.name,
    measured: { value: placed + strewnKg, unit: 'kg' },
    needed: { value: needed, unit: 'kg' },
    ...soonest(
      commission,
      pieces.filter((p) => !isOwn(p)),
      strewn.filter((s) => s.origin === 'bought').map((s) => s.onDay),
    ),
    packs: material.packs,
    origins: [...pieces.map(originOf), ...strewn.map((s) => s.origin)],
    workings,
  });
}

const kgOf = (strewn: Resolved['strewn']) => strewn.reduce((sum, { amount }) => sum + amount.massKg, 0);

function pieceLine(commission: Resolved, survey: Survey, material: Material): TakeOffLine {
  const originOf = ({ id }: { id: string }) => pieceOf(commission, id).origin;
  const isOwn = (p: { id: string }) => originOf(p) !== 'bought';
  const pieces = survey.pieces.filter((p) => p.material === material.id);
  const bought = pieces.filter((p) => !isOwn(p)).length;
  const massKg = pieces.reduce((sum, p) => sum + p.massKg, 0);
  return lineOf({
    id: material.id,
    kind: 'hardscape',
    name: material.name,
    measured: { value: massKg, unit: 'kg' },
    needed: { value: bought, unit: 'piece' },
    packs: material.packs,
    ...soonest(
      commission,
      pieces.filter((p) => !isOwn(p)),
    ),
    origins: pieces.map(originOf),
    workings: [
      { step: say('placed'), value: massKg, unit: 'kg', note: pieces.map((p) => p.id).join(', ') },
      {
        step: say('pieces.to.buy'),
        value: bought,
        unit: 'piece',
        note: say('pieces.own', { count: pieces.length - bought }),
      },
    ],
  });
}
