import { z } from 'zod';
import { clock, crew, day, id, text, words } from './primitives';
import { must } from './must';

/*
 * The work in sittings: days before the build day on which a part of it is done, and later ones on which more is. The build
 * day itself, on which the water goes in, is `brief.buildDay` and stands in no list.
 */

/**
 * A trial on the table, or in the tank and out again; the hardscape; the planting; a visit to a detail; what was set gone
 * over once more.
 */
export const SITTING_KINDS = ['table', 'trial', 'hardscape', 'planting', 'detail', 'rebuild'] as const;

/** The id of the build day among the sittings: no other has it. */
export const BUILD = 'build';

/** Tasks by their names in the order of work: `stones`, `plant-…` for a plant, `layer-…` for a layer. */
const tasks = z.array(id).max(200);

export const sittingSchema = z.looseObject({
  id,
  kind: z.enum(SITTING_KINDS),
  /** What the studio calls it. */
  title: words.optional(),
  day,
  /** Clock time at which it starts, and hours between which the house is open; as on the build day when left out. */
  start: clock.optional(),
  hours: z.tuple([clock, clock]).refine(([from, until]) => from < until, must('timespan')).optional(), // prettier-ignore
  crew: crew.optional(),
  /** Where it is held, on site where nothing is said: a scape that is built at the studio is carried in. */
  place: z.enum(['site', 'studio']).optional(),
  /** Minutes after which composing stops, whatever is not perfect yet. */
  limitMin: z.number().int().min(5).max(1_440).optional(),
  /** Tasks that belong to it because somebody said so; all others by what kind of sitting it is. */
  tasks: tasks.optional(),
  note: text.optional(),
});

/** What is said of the build day in the same way: tasks that somebody moved to it. */
export const buildTasksSchema = tasks;

/** The sitting in which a thing is set, poured, joined or planted; by its kind when left out. */
export const inSitting = id.optional();
