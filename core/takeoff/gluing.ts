import type { Joint, Material, Option } from '../commission/schema';
import { heldBy } from '../commission/usual';
import { meansOf } from '../hardscape/joining';
import { plantingOf, type ResolvedPlanting, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { inM } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Working } from '../words/working';
import type { Consumable } from './consumables';

type Glue = NonNullable<Material['glue']>;

/** What each way of joining is glued with. */
const GLUE_OF: Partial<Record<Joint['method'], Glue>> = {
  'fibre-glue': 'liquid',
  'gel-glue': 'gel',
  silicone: 'silicone',
  impact: 'impact',
};
/** Glue that a contact takes, g: liquid soaked into a wad, gel, silicone, impact glue (common practice). */
const GLUE_G: Record<Glue, number> = { liquid: 4, gel: 3, silicone: 25, impact: 8 };
/** Gel in one dot for an epiphyte, g (common practice). */
const DOT_G = 0.3;
/** Fibre in a wad, g (common practice). */
const FIBRE_G = 1.5;
/** Length of line for one tie, m (common practice). */
const TIE_M = 0.6;

/** Thread for one portion of an epiphyte, m (common practice). */
const PLANT_TIE_M = 0.3;

/** Contacts in a joint: one fewer than the pieces it brings together. */
export function contactsOf(joints: readonly Joint[]): number {
  return joints.reduce((sum, j) => sum + j.pieces.length - 1, 0);
}

/** Joints that are still to be made: one whose every piece is fixed or stands there joined already is not. */
export function jointsToMake(option: Option, isThere: (piece: string) => boolean): Joint[] {
  return option.joints.filter((j) => !j.pieces.every(isThere));
}

/** A line for each glue of its own, fibre for wads, line for ties, gel for the dots of epiphytes. */
export function gluing(commission: Resolved, survey: Survey, joints: readonly Joint[]): Consumable[] {
  const glues: Glue[] = ['liquid', 'gel', 'silicone', 'impact'];
  const of = (method: Joint['method']) => contactsOf(joints.filter((j) => meansOf(j).includes(method)));
  const count = (n: number): Working => ({ step: say('contacts'), value: n, unit: 'contact' });
  const wads = of('fibre-glue');
  const ties = of('tie');
  const tied = epiphytes(commission, survey, 'tie');
  return [
    ...glues.map((glue): Consumable => {
      const contacts = contactsOf(joints.filter((j) => meansOf(j).some((means) => GLUE_OF[means] === glue)));
      const dots = glue === 'gel' ? epiphytes(commission, survey, 'glue') : 0;
      const grams = contacts * GLUE_G[glue];
      return {
        kind: 'glue',
        glue,
        name: say(`consumable.glue.${glue}`),
        value: grams + dots * DOT_G,
        unit: 'g',
        workings: [
          ...(contacts > 0
            ? [count(contacts), { step: say('glue.each', { grams: GLUE_G[glue] }), value: grams, unit: 'g', note: PRACTICE }] // prettier-ignore
            : []),
          ...(dots > 0
            ? [{ step: say('glue.dots', { grams: DOT_G }), value: dots * DOT_G, unit: 'g', note: PRACTICE }]
            : []),
        ],
      };
    }),
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
      value: ties * TIE_M + tied * PLANT_TIE_M,
      unit: 'm',
      workings: [
        count(ties),
        { step: say('tie.each', { length: inM(TIE_M) }), value: ties * TIE_M, unit: 'm', note: PRACTICE },
        ...(tied > 0
          ? [{ step: say('tie.plants', { length: inM(PLANT_TIE_M) }), value: tied * PLANT_TIE_M, unit: 'm', note: PRACTICE }] // prettier-ignore
          : []),
      ],
    },
  ];
}

/** Portions of plants that hold on to stone and wood, are new here and are held in one way. */
function epiphytes(commission: Resolved, survey: Survey, by: 'glue' | 'tie'): number {
  const isFresh = ({ plant, origin }: ResolvedPlanting) => plant.roots === 'epiphyte' && origin !== 'here';
  const isHeld = ({ planting }: ResolvedPlanting) => heldBy(planting) === by;
  return survey.plantings
    .filter((p) => isFresh(plantingOf(commission, p.id)) && isHeld(plantingOf(commission, p.id)))
    .reduce((sum, p) => sum + p.plugs, 0);
}
