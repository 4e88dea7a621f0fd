import { Router, text, type Response } from 'express';
import { MAX_DOCUMENT_BYTES, parseCommissionText } from '../../core/commission/parse';
import { plan, type Plan } from '../../core/pipeline/plan';
import { calendarFile } from '../documents/calendar';
import { takeOffCsv } from '../documents/takeOffCsv';
import { Problem, refused } from '../problem';
import { createCommission } from '../store/commissions';
import type { CommissionRow } from '../store/schema';
import type { Store } from '../store/store';
import { existing } from './commissions';

/** What goes out as a file and comes in as one. */
export function fileRoutes(store: Store): Router {
  const routes = Router();

  routes.post('/import', text({ type: () => true, limit: MAX_DOCUMENT_BYTES }), async (req, res) => {
    const parsed = parseCommissionText(typeof req.body === 'string' ? req.body.replace(/^\uFEFF/, '') : '');
    if (!parsed.ok) throw refused(parsed.faults);
    const row = await createCommission(store, parsed.commission);
    res.status(201).json({ id: row.id, revision: row.revision });
  });

  routes.get('/:id/document.json', async (req, res) => {
    const row = await existing(store, req.params.id);
    attach(res, row, 'json', 'application/json', `${JSON.stringify(row.document, null, 2)}\n`);
  });

  routes.get('/:id/takeoff.csv', async (req, res) => {
    const row = await existing(store, req.params.id);
    const csv = takeOffCsv(row.document, planOf(row, req.query.option));
    // The mark in front tells spreadsheets that the text is UTF-8.
    attach(res, row, 'csv', 'text/csv; charset=utf-8', `\uFEFF${csv}`);
  });

  routes.get('/:id/calendar.ics', async (req, res) => {
    const row = await existing(store, req.params.id);
    const part = req.query.part === 'care' ? 'care' : 'all';
    const calendar = calendarFile(row.id, row.document, planOf(row, req.query.option), part);
    attach(res, row, 'ics', 'text/calendar; charset=utf-8', calendar);
  });

  return routes;
}

/** The plan of a stored commission for the option asked for. */
export function planOf(row: CommissionRow, option: unknown): Plan {
  try {
    return plan(row.document, { optionId: typeof option === 'string' ? option : undefined });
  } catch (error) {
    if (error instanceof RangeError) throw new Problem(404, error.message);
    throw error;
  }
}

function attach(res: Response, row: CommissionRow, ending: string, type: string, body: string): void {
  const name = row.title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'commission';
  res.attachment(`${name}.${ending}`).type(type).send(body);
}
