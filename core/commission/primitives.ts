import { z } from 'zod';
import { isDay } from '../calendar/day';

/*
 * The sizes, names and figures that the schemas of the document are made of, with what is allowed of each.
 */

export const id = z.string().min(1).max(80);
export const words = z.string().max(200);
export const text = z.string().max(20_000);
export const day = z.string().refine(isDay, 'must be a day that exists, written YYYY-MM-DD');
export const lengthMm = z.number().min(0).max(10_000);
export const sizeMm = z.number().gt(0).max(10_000);
export const innerMm = z.number().min(20).max(10_000);
export const positionMm = z.number().min(-10_000).max(10_000);
export const point = z.tuple([positionMm, positionMm]);
export const region = z.array(point).min(3).max(2_000);
export const degrees = z.number().min(-3_600).max(3_600);
export const share = z.number().min(0).max(0.9);
export const minor = z.number().int().min(0).max(1e12);
export const weekday = z.enum(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']);
