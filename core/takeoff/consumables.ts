import { inLitres } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { materialOfKind } from '../commission/lookup';
import type { Material, Piece } from '../commission/schema';
import { isLeftStanding, pieceOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import type { Working } from '../words/working';
import { BAG_L } from '../substrate/filler';
import { fillerToLay } from './hills';
import { gluing, jointsToMake } from './gluing';
import { lineOf, neededFrom, type TakeOffLine } from './line';

/** Small things that hold others: what is left of them goes back into the studio's box. */
export const HOLDING_KINDS = [
  'glue',
  'fibre',
  'mesh-bag',
  'pad',
  'tie',
] as const satisfies readonly Material['kind'][];
type ConsumableKind = (typeof HOLDING_KINDS)[number];

/** A small thing that follows from the scape, before packs are chosen. */
export interface Consumable {
  kind: ConsumableKind;
  /** Which glue, where it is one: each has a line of its own. */
  glue?: NonNullable<Material['glue']>;
  name: Text;
  value: number;
  unit: string;
  workings: Working[];
}

/** What follows from joints, filler and pieces on bare glass: small things that stop a day if forgotten. */
export function consumableLines(commission: Resolved, survey: Survey): TakeOffLine[] {
  const option = commission.option;
  const isThere = (id: string) => pieceOf(commission, id).origin === 'here';
  const wanted = [
    ...gluing(
      commission,
      survey,
      jointsToMake(option, (id) => isLeftStanding(pieceOf(commission, id))),
    ),
    bags(commission, survey),
    pads(option.pieces.filter((p) => !isThere(p.id))),
  ];
  return wanted.flatMap((c) => {
    if (c.value <= 0) return [];
    const material = materialOfKind(
      commission,
      c.kind,
      (m) => c.glue === undefined || (m.glue ?? 'liquid') === c.glue,
    );
    return [
      lineOf({
        id: material?.id ?? (c.glue && c.glue !== 'liquid' ? `glue-${c.glue}` : c.kind),
        kind: 'consumables',
        name: material?.name ?? c.name,
        measured: { value: c.value, unit: c.unit },
        needed: { value: c.value, unit: c.unit },
        packs: material?.packs,
        ...neededFrom([firstDay(commission)]),
        workings: c.workings,
      }),
    ];
  });
}

/** They are at hand when the first of the scape is set or poured. */
function firstDay({ pieces, layers }: Resolved): number {
  return Math.min(0, ...[...pieces.values(), ...layers.values()].map((t) => t.onDay));
}

function bags(commission: Resolved, survey: Survey): Consumable {
  const hills = fillerToLay(commission, survey).filter((h) => h.bags > 0);
  const litres = hills.reduce((sum, h) => sum + h.litres, 0);
  const count = hills.reduce((sum, h) => sum + h.bags, 0);
  return {
    kind: 'mesh-bag',
    name: say('consumable.bags'),
    value: count,
    unit: 'piece',
    workings: [
      { step: say('filler'), value: litres, unit: 'L' },
      ...(hills.length > 1
        ? hills.map((h, i) => ({ step: say('filler.hill', { hill: i + 1, bags: h.bags }), value: h.litres, unit: 'L' })) // prettier-ignore
        : []),
      {
        step: say('filler.bag', { litres: inLitres(BAG_L) }),
        value: count,
        unit: 'piece',
        note: PRACTICE,
      },
    ],
  };
}

function pads(pieces: readonly Piece[]): Consumable {
  const standing = pieces.filter((p) => p.stand.kind === 'floor');
  return {
    kind: 'pad',
    name: say('consumable.pads'),
    value: standing.length,
    unit: 'piece',
    workings: [{ step: say('pieces.on.glass'), value: standing.length, unit: 'piece' }],
  };
}
