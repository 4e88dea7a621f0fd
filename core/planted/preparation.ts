import { say, type Text } from '../words/text';
import type { Planted } from './planted';

/** What is done to plants before they go in, tools for it, and how long that takes. */
export interface Preparation {
  rows: Map<string, Text[]>;
  tools: Text[];
  minutes: number;
}

/** Minutes a pack for what is done to it, and a plug for splitting (common practice). */
const A_PACK = { rinse: 1.5, wool: 4, cut: 2, melt: 1.5 } as const;
const A_PLUG = 0.12;

/** Plants as they come, made ready to plant: rinsed of gel, pulled out of wool, split, cut, leaves that melt cut off. */
export function preparationOf(parts: readonly Planted[]): Preparation {
  const rows = new Map<string, Text[]>();
  let minutes = 0;
  for (const part of parts) {
    const { plant, planting, packsNeeded, count, plugsAPack } = part;
    const packs = planting.packs ?? packsNeeded;
    const todo: Text[] = [];
    const form = planting.form ?? (packs > 0 ? 'tissue' : 'running');
    // What grows in a tank already comes out of it, not out of a pack.
    if (packs === 0) todo.push(say('prepare.lift'));
    if (form === 'tissue') {
      todo.push(say('prepare.rinse'));
      minutes += packs * A_PACK.rinse;
    } else if (form === 'emersed' && plant.habit !== 'stem') {
      todo.push(say('prepare.wool'));
      minutes += packs * A_PACK.wool;
    }
    if (plant.habit === 'stem') {
      todo.push(say(planting.halved ? 'prepare.halve' : 'prepare.stems'));
      minutes += packs * A_PACK.cut;
    } else if (plant.habit === 'rosette') {
      todo.push(say('prepare.roots'));
      minutes += packs * A_PACK.cut;
    }
    if (form === 'emersed' && plant.emersedLeaves === 'melt') {
      todo.push(say('prepare.melt'));
      minutes += packs * A_PACK.melt;
    }
    if (plugsAPack > 1 && packs > 0) todo.push(say('prepare.split', { plugs: plugsAPack }));
    if (plant.roots === 'epiphyte') todo.push(say(plant.habit === 'moss' ? 'prepare.moss' : 'prepare.glue'));
    minutes += count * A_PLUG;
    rows.set(part.id, todo);
  }
  const glued = parts.some((p) => p.plant.roots === 'epiphyte');
  const tools = [
    say('tools.tweezers'),
    say('tools.scissors'),
    say('tools.bowls'),
    say('tools.sprayer'),
    ...(glued ? [say('tools.gel')] : []),
  ];
  return { rows, tools, minutes };
}
