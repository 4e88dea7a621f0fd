import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Material, Option } from '../commission/schema';
import { pouredL } from '../substrate/pour';
import type { PieceSurvey } from '../survey/pieces';
import type { Survey } from '../survey/survey';
import type { TakeOff } from '../takeoff/takeOff';
import { say, type Said, type Text } from '../words/text';
import type { Working } from '../words/working';

/** A scape as the build sees it: what has to be poured, set and planted, and by how many. */
export interface Job {
  commission: Commission;
  option: Option;
  survey: Survey;
  takeOff: TakeOff;
  crew: number;
  fillerL: number;
  soilL: number;
  sandL: number;
  /** Heaviest first. */
  stones: PieceSurvey[];
  floorStones: PieceSurvey[];
  wood: PieceSurvey[];
}

export function jobOf(commission: Commission, survey: Survey, takeOff: TakeOff): Job {
  const option = optionOf(commission, survey.optionId);
  const litresOf = (...kinds: Material['kind'][]) =>
    survey.layers.reduce((sum, layer) => {
      const material = materialOf(commission, layer.material);
      return kinds.includes(material.kind) ? sum + pouredL(layer.volumeL, material.settles) : sum;
    }, 0);
  const onFloor = new Set(option.pieces.filter((p) => p.stand.kind === 'floor').map((p) => p.id));
  const isWood = (p: PieceSurvey) => materialOf(commission, p.material).kind === 'wood';
  const heaviestFirst = [...survey.pieces].sort((a, b) => b.massKg - a.massKg);
  return {
    commission,
    option,
    survey,
    takeOff,
    crew: commission.brief.crew,
    fillerL: litresOf('filler'),
    soilL: litresOf('soil', 'base', 'gravel'),
    sandL: litresOf('sand'),
    stones: heaviestFirst.filter((p) => !isWood(p) && !onFloor.has(p.id)),
    floorStones: heaviestFirst.filter((p) => !isWood(p) && onFloor.has(p.id)),
    wood: heaviestFirst.filter(isWood),
  };
}

/** A working of a task: a measured quantity, and the rate it is multiplied by. */
export function step(name: Said, value: number, unit: string, note?: Said): Working {
  return { step: name, value, unit, ...(note ? { note } : {}) };
}

/** How long one takes, and a litre, as a step says it. */
export const each = (minutes: number): Text => say('rate.each', { minutes });
export const perLitre = (minutes: number): Text => say('rate.litre', { minutes });
