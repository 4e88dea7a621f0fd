import { z } from 'zod';
import { isDay } from '../calendar/day';
import { FINEST, must } from './must';
import { CO2_PARTS } from './co2Parts';

/*
 * The sizes, names and figures that the schemas of the document are made of, with what is allowed of each.
 */

/** Half a character (a surrogate alone) is kept as another one than was sent: nothing would be found by it again. */
export const isWhole = (text: string) => !/\p{Surrogate}/u.test(text);
export const id = z.string().min(1).max(80).refine(isWhole, must('whole'));
export const words = z.string().max(200);
export const text = z.string().max(20_000);
/** Far enough back for a tank that runs, far enough ahead for any plan; date arithmetic holds in between. */
export const day = z.string().refine((text) => isDay(text) && text >= '2000' && text < '2200', must('day'));
/** A figure that is 0 or can be told from it. */
export const figure = (least: number, most: number) =>
  z
    .number()
    .min(least)
    .max(most)
    .refine((v) => v === 0 || Math.abs(v) >= FINEST, must('fine'));
/** Positions and lengths may be a rounding away from 0: what turns and drags leaves such figures behind. */
export const lengthMm = z.number().min(0).max(10_000);
export const sizeMm = z.number().min(0.1).max(10_000);
export const innerMm = z.number().min(20).max(10_000);
export const positionMm = z.number().min(-10_000).max(10_000);
export const point = z.tuple([positionMm, positionMm]);
export const region = z.array(point).min(3).max(2_000);
export const degrees = z.number().min(-3_600).max(3_600);
export const share = z.number().min(0).max(0.9);
export const minor = z.number().int().min(0).max(1e12);
export const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, must('clock'));
/** Kinds of gear, in the order in which a tank is equipped. */
export const GEAR_KINDS = [
  'filter',
  'media',
  'heater',
  'lamp',
  'co2',
  'pipes',
  'skimmer',
  'pump',
  'timer',
  'stand',
  'lid',
  'mat',
  'film',
  'test-kit',
  'food',
] as const;
export const gearKind = z.enum(GEAR_KINDS);
/** One of them, or the whole set in one device. */
export const co2Part = z.enum([...CO2_PARTS, 'set']);
/** Where a thing comes from: bought for this job, the studio's own, the client's, or in this tank now. */
export const ORIGINS = ['bought', 'stock', 'client', 'here'] as const;
export const origin = z.enum(ORIGINS);
/** Days after the build on which something is added; 0 and left out mean the build day. */
export const laterDays = z.int().min(0).max(365);
export const weekday = z.enum(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']);

/** A currency by its code. */
export const currency = z.string().regex(/^[A-Z]{3}$/, must('currency'));
/** Minutes that somebody takes for each of the usual ones. */
export const pace = z.number().min(0.3).max(3);
/** Hands on a build day. */
export const crew = z.number().int().min(1).max(4);
