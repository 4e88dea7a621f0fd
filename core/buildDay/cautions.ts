import { say, type Text } from '../words/text';

/** The usual caution that stands at a step. None of them says that something is safe. */
export const CAUTIONS = {
  floor: say('caution.floor'),
  stand: say('caution.stand'),
  mains: say('caution.mains'),
  heavy: say('caution.heavy'),
  wood: say('caution.wood'),
  stone: say('caution.stone'),
  glue: say('caution.glue'),
  silicone: say('caution.silicone'),
  dust: say('caution.dust'),
  mist: say('caution.mist'),
  siphon: say('caution.siphon'),
  power: say('caution.power'),
  gas: say('caution.gas'),
  animals: say('caution.animals'),
  welfare: say('caution.welfare'),
  strip: say('caution.strip'),
  ammonia: say('caution.ammonia'),
} as const;

/** Several cautions of one step, read one after the other. */
export function together(cautions: readonly Text[]): Text {
  return cautions.reduce((first, second) => say('sentences', { first, second }));
}
