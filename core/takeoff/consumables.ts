import { inLitres, inM } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Joint, Material } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Working } from '../words/working';
import { BAG_L, bagsFor } from '../substrate/filler';
import { pouredL } from '../substrate/pour';
import { conditionerDose, conditionerMl } from '../filling/conditioner';
import { recipeFor } from '../filling/filling';
import { lineOf, type TakeOffLine } from './line';

type ConsumableKind = Extract<
  Material['kind'],
  'glue' | 'fibre' | 'mesh-bag' | 'conditioner' | 'pad' | 'tie'
>;

interface Consumable {
  kind: ConsumableKind;
  name: Text;
  value: number;
  unit: string;
  workings: Working[];
}

/** Glue a contact takes, g: liquid soaked into a wad, gel, or silicone (common practice). */
const GLUE_G: Record<Joint['method'], number> = { 'fibre-glue': 4, 'gel-glue': 3, silicone: 25, tie: 0 };
/** Fibre in a wad, g (common practice). */
const FIBRE_G = 1.5;
/** Length of line for one tie, m (common practice). */
const TIE_M = 0.6;

/** What follows from joints, filler, pieces on bare glass and litres: small things that stop a day if forgotten. */
export function consumableLines(commission: Commission, survey: Survey): TakeOffLine[] {
  const wanted = [
    ...gluing(commission, survey),
    bags(commission, survey),
    pads(commission, survey),
    conditioner(commission, survey),
  ];
  return wanted.flatMap((c) => {
    if (!c || c.value <= 0) return [];
    const material = commission.catalogue.materials.find((m) => m.kind === c.kind);
    return [
      lineOf({
        id: material?.id ?? c.kind,
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

/** Contacts in a joint: one fewer than the pieces it brings together. */
function contacts(joints: readonly Joint[]): number {
  return joints.reduce((sum, j) => sum + j.pieces.length - 1, 0);
}

function gluing(commission: Commission, survey: Survey): Consumable[] {
  const { joints } = optionOf(commission, survey.optionId);
  const byMethod = (method: Joint['method']) => contacts(joints.filter((j) => j.method === method));
  const glued = joints.filter((j) => j.method !== 'tie');
  const grams = glued.reduce((sum, j) => sum + GLUE_G[j.method] * (j.pieces.length - 1), 0);
  const wads = byMethod('fibre-glue');
  const ties = byMethod('tie');
  const count = (n: number) => ({ step: say('contacts'), value: n, unit: 'contact' });
  return [
    {
      kind: 'glue',
      name: say('consumable.glue'),
      value: grams,
      unit: 'g',
      workings: [
        count(contacts(glued)),
        {
          step: say('glue.each'),
          value: grams,
          unit: 'g',
          note: PRACTICE,
        },
      ],
    },
    {
      kind: 'fibre',
      name: say('consumable.fibre'),
      value: wads * FIBRE_G,
      unit: 'g',
      workings: [
        count(wads),
        { step: say('fibre.each', { grams: FIBRE_G }), value: wads * FIBRE_G, unit: 'g', note: PRACTICE },
      ],
    },
    {
      kind: 'tie',
      name: say('consumable.tie'),
      value: ties * TIE_M,
      unit: 'm',
      workings: [
        count(ties),
        { step: say('tie.each', { length: inM(TIE_M) }), value: ties * TIE_M, unit: 'm', note: PRACTICE },
      ],
    },
  ];
}

function bags(commission: Commission, survey: Survey): Consumable {
  const litres = survey.layers
    .filter((l) => materialOf(commission, l.material).kind === 'filler')
    .reduce((sum, l) => sum + pouredL(l.volumeL, materialOf(commission, l.material).settles), 0);
  const count = bagsFor(litres);
  return {
    kind: 'mesh-bag',
    name: say('consumable.bags'),
    value: count,
    unit: 'piece',
    workings: [
      { step: say('filler'), value: litres, unit: 'L' },
      {
        step: say('filler.bag', { litres: inLitres(BAG_L) }),
        value: count,
        unit: 'piece',
        note: PRACTICE,
      },
    ],
  };
}

function pads(commission: Commission, survey: Survey): Consumable {
  const standing = optionOf(commission, survey.optionId).pieces.filter((p) => p.stand.kind === 'floor');
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
  const { tapColdL, tapHotL, roL } = recipeFor(commission, survey.freeWaterL + survey.poreWaterL);
  const litres = tapColdL + tapHotL;
  const millilitres = conditionerMl(commission, litres);
  return {
    kind: 'conditioner',
    name: say('consumable.conditioner'),
    value: millilitres,
    unit: 'mL',
    workings: [
      {
        step: say('first.fill'),
        value: rounded(litres, 1),
        unit: 'L',
        note: say(roL > 0 ? 'first.fill.tap' : 'first.fill.all'),
      },
      {
        step: say('conditioner.dose', { dose, litres: '100 L' }),
        value: millilitres,
        unit: 'mL',
        note: say('label.decides'),
      },
    ],
  };
}
