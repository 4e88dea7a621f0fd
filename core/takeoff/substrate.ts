import { inMm } from '../words/measure';
import { say, type Said } from '../words/text';
import { materialOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { pouredL } from '../substrate/pour';
import type { LayerSurvey } from '../survey/layers';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import { lineOf, type TakeOffLine } from './line';

/** A line for each bed material, over all layers of it, in the order in which they lie. */
export function substrateLines(commission: Commission, survey: Survey): TakeOffLine[] {
  const ids = [...new Set(survey.layers.map((l) => l.material))];
  return ids.map((id) => substrateLine(commission, survey, id));
}

function substrateLine(commission: Commission, survey: Survey, id: string): TakeOffLine {
  const material = materialOf(commission, id);
  const layers = survey.layers.filter((l) => l.material === id);
  const total = (pick: (l: LayerSurvey) => number) => layers.reduce((sum, l) => sum + pick(l), 0);
  const measured = total((l) => l.volumeL);
  const taken = total((l) => l.takenByPiecesL);
  const needed = pouredL(measured, material.settles);
  const percent = rounded((material.settles ?? 0) * 100, 1);
  return lineOf({
    id,
    kind: 'substrate',
    name: material.name,
    measured: { value: measured, unit: 'L' },
    needed: { value: needed, unit: 'L' },
    packs: material.packs,
    bulkKgPerL: material.bulkKgPerL,
    workings: [
      {
        step: say('under.surface'),
        value: total((l) => l.grossL),
        unit: 'L',
        note: say('cells', { count: survey.cells, size: inMm(survey.cellMm, 1) }),
      },
      ...(taken > 0
        ? [{ step: say('less.standing'), value: -taken, unit: 'L', note: standingWords(survey) }]
        : []),
      { step: say('to.fill'), value: measured, unit: 'L' },
      ...(material.settles
        ? [
            {
              step: say('settles', { percent }),
              value: needed - measured,
              unit: 'L',
              note: say('settles.note', { share: material.settles }),
            },
          ]
        : []),
      { step: say('to.pour'), value: needed, unit: 'L' },
    ],
  });
}

function standingWords(survey: Survey): Said {
  const ids = survey.pieces.filter((p) => p.inBedL > 0).map((p) => p.id);
  if (ids.length <= 4) return ids.join(', ');
  return say('first.and.more', { first: ids.slice(0, 3), count: ids.length - 3 });
}
