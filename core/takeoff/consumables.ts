import { inLitres } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { materialOfKind, optionOf } from '../commission/lookup';
import { pieceOrigin } from '../commission/origin';
import type { Commission, Material, Piece } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Working } from '../words/working';
import { BAG_L } from '../substrate/filler';
import { conditionerDose, conditionerMl } from '../filling/conditioner';
import { bacteriaDays, bacteriaMlADay } from '../filling/bacteria';
import { recipeFor } from '../filling/filling';
import { firstFill } from '../filling/firstFill';
import { fillerToLay } from '../survey/hills';
import { gluing, jointsToMake } from './gluing';
import { lineOf, type TakeOffLine } from './line';

type ConsumableKind = Extract<
  Material['kind'],
  'glue' | 'fibre' | 'mesh-bag' | 'conditioner' | 'pad' | 'tie' | 'bacteria'
>;

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

/** What follows from joints, filler, pieces on bare glass and litres: small things that stop a day if forgotten. */
export function consumableLines(commission: Commission, survey: Survey): TakeOffLine[] {
  const option = optionOf(commission, survey.optionId);
  const there = (piece: Piece) => pieceOrigin(commission, piece) === 'here';
  const isThere = (id: string) => there(option.pieces.find((p) => p.id === id)!);
  const wanted = [
    ...gluing(commission, survey, jointsToMake(option, isThere)),
    bags(commission, survey),
    pads(option.pieces.filter((p) => !there(p))),
    conditioner(commission, survey),
    ...bacteria(commission, survey),
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
        workings: c.workings,
      }),
    ];
  });
}

function bags(commission: Commission, survey: Survey): Consumable {
  const hills = fillerToLay(commission, survey);
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

function conditioner(commission: Commission, survey: Survey): Consumable {
  const dose = conditionerDose(commission);
  const fill = firstFill(commission, survey);
  const { tapColdL, tapHotL, roL } = recipeFor(commission, fill.newL);
  const litres = tapColdL + tapHotL;
  const millilitres = conditionerMl(commission, litres);
  const note = fill.newL < fill.totalL - 0.05 ? 'first.fill.kept' : roL > 0 ? 'first.fill.tap' : 'first.fill.all'; // prettier-ignore
  return {
    kind: 'conditioner',
    name: say('consumable.conditioner'),
    value: millilitres,
    unit: 'mL',
    workings: [
      { step: say('first.fill'), value: rounded(litres, 1), unit: 'L', note: say(note) },
      {
        step: say('conditioner.dose', { dose, litres: '100 L' }),
        value: millilitres,
        unit: 'mL',
        note: say('label.decides'),
      },
    ],
  };
}

/** Bacteria are bought where they are dosed: where animals wait on a filter that lost its surfaces. */
function bacteria(commission: Commission, survey: Survey): Consumable[] {
  const days = bacteriaDays(commission);
  if (days.length === 0) return [];
  const each = bacteriaMlADay(commission, survey.freeWaterL);
  return [
    {
      kind: 'bacteria',
      name: say('consumable.bacteria'),
      value: each * days.length,
      unit: 'mL',
      workings: [
        { step: say('bacteria.days'), value: days.length, unit: 'day' },
        { step: say('bacteria.dose'), value: each, unit: 'mL', note: say('label.decides') },
      ],
    },
  ];
}
