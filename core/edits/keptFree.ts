import type { Option } from '../commission/schema';
import { freshId } from './ids';

type Spot = [number, number];
const tenth = ([x, y]: Spot): Spot => [Math.round(x * 10) / 10, Math.round(y * 10) / 10];

/** The option with another width in which nothing may stand. */
export function withKeptFree(option: Option, from: Spot, to: Spot): Option {
  const free = option.free ?? [];
  return { ...option, free: [...free, { id: freshId('free', free), from: tenth(from), to: tenth(to) }] };
}

/** The option with one of them given up. */
export function withoutKeptFree(option: Option, id: string): Option {
  const { free = [], ...rest } = option;
  const left = free.filter((f) => f.id !== id);
  return left.length > 0 ? { ...option, free: left } : rest;
}
