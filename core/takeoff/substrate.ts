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
        step: 'under the drawn surface',
        value: total((l) => l.grossL),
        unit: 'L',
        note: `${survey.cells} cells of ${rounded(survey.cellMm, 1)} mm`,
      },
      ...(taken > 0
        ? [{ step: 'less pieces standing in it', value: -taken, unit: 'L', note: standingWords(survey) }]
        : []),
      { step: 'to be filled', value: measured, unit: 'L' },
      ...(material.settles
        ? [
            {
              step: `settles ${percent} % on flooding`,
              value: needed - measured,
              unit: 'L',
              note: `measured ÷ (1 − ${material.settles})`,
            },
          ]
        : []),
      { step: 'to pour', value: needed, unit: 'L' },
    ],
  });
}

function standingWords(survey: Survey): string {
  const ids = survey.pieces.filter((p) => p.inBedL > 0).map((p) => p.id);
  return ids.length > 4 ? `${ids.slice(0, 3).join(', ')} and ${ids.length - 3} more` : ids.join(', ');
}
