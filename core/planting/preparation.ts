import type { Plant, Planting } from '../commission/schema';
import { say, type Text } from '../words/text';
import type { Packs } from './packs';

/** A planting as it comes out of its packs, or out of a tank. */
export interface ToPrepare extends Pick<Packs, 'packsNeeded' | 'plugsAPack' | 'plugsAtHand'> {
  id: string;
  plant: Plant;
  planting: Planting;
  count: number;
  /** Days after the build on which it goes in; left out for what is there already. */
  afterDays?: number;
}

/** What a planting comes as: in gel, on a mat, in wool, as a bunch, loose, or out of a tank. */
export type ComesAs = 'gel' | 'mat' | 'wool' | 'bunch' | 'loose' | 'tank';

/** What is done to one planting before it goes in, and how long that takes, min. */
export interface Prepared {
  id: string;
  comesAs: ComesAs;
  packs: number;
  plugs: number;
  todo: Text[];
  minutes: number;
}

/** What is done to plants before they go in, tools for it, and how long that takes. */
export interface Preparation {
  rows: Map<string, Text[]>;
  tools: Text[];
  minutes: number;
}

/** Minutes a pack for what is done to it, and a plug for splitting or lifting (common practice). */
const A_PACK = { rinse: 1.5, wool: 4, cut: 2, melt: 1.5 } as const;
const A_PLUG = 0.12;

/** Packs by what they are sold as. */
const SOLD_AS: Record<string, ComesAs> = { cup: 'gel', mat: 'mat', pot: 'wool', bunch: 'bunch', box: 'loose', portion: 'loose' }; // prettier-ignore

/** As was said of this planting, else by what it is sold as; without a pack it comes out of a tank. */
export function comesAs({ plant, planting, packsNeeded }: ToPrepare): ComesAs {
  const { form } = planting;
  if (packsOpened({ planting, packsNeeded }) === 0 || form === 'running') return 'tank';
  if (form === 'tissue') return 'gel';
  const sold = SOLD_AS[plant.packs?.[0]?.name ?? 'cup'] ?? 'loose';
  if (form === 'emersed') return sold === 'gel' ? 'wool' : sold;
  return sold;
}

const packsOpened = ({ planting, packsNeeded }: Pick<ToPrepare, 'planting' | 'packsNeeded'>): number =>
  planting.packs ?? packsNeeded;

/** One planting made ready: rinsed of gel, pulled out of wool, split, cut, leaves that melt cut off. */
export function preparedOf(item: ToPrepare): Prepared {
  const { id, plant, planting, plugsAPack } = item;
  const as = comesAs(item);
  const packs = as === 'tank' ? 0 : packsOpened(item);
  const plugs = Math.min(item.count, item.plugsAtHand);
  const todo: Text[] = [];
  let aPack = 0;
  const step = (words: Text, minutes = 0) => {
    todo.push(words);
    aPack += minutes;
  };
  if (as === 'tank') step(say('prepare.lift'));
  if (as === 'gel') step(say('prepare.rinse'), A_PACK.rinse);
  if (as === 'loose') step(say('prepare.rinse.loose'), A_PACK.rinse);
  if (as === 'wool' && plant.habit !== 'stem') step(say('prepare.wool'), A_PACK.wool);
  if (plant.habit === 'stem') step(say(planting.halved ? 'prepare.halve' : 'prepare.stems'), A_PACK.cut);
  else if (plant.habit === 'rosette') step(say('prepare.roots'), A_PACK.cut);
  if (planting.form === 'emersed' && plant.emersedLeaves === 'melt') step(say('prepare.melt'), A_PACK.melt);
  if (plugsAPack > 1 && packs > 0) step(say('prepare.split', { plugs: plugsAPack }));
  if (plant.roots === 'epiphyte') step(say(plant.habit === 'moss' ? 'prepare.moss' : 'prepare.glue'));
  return { id, comesAs: as, packs, plugs, todo, minutes: packs * aPack + plugs * A_PLUG };
}

/** Plants as they come, made ready to plant, at the pace of a crew: what is there already is not. */
export function preparationOf(parts: readonly ToPrepare[], pace = 1): Preparation {
  const going = parts.filter((p) => p.afterDays !== undefined);
  const prepared = going.map(preparedOf);
  const glued = going.some((p) => p.plant.roots === 'epiphyte');
  const tools = [
    say('tools.tweezers'),
    say('tools.scissors'),
    say('tools.bowls'),
    say('tools.sprayer'),
    ...(glued ? [say('tools.gel')] : []),
  ];
  return {
    rows: new Map(prepared.map((p) => [p.id, p.todo])),
    tools,
    minutes: pace * prepared.reduce((sum, p) => sum + p.minutes, 0),
  };
}
