import type { Resolved } from '../resolved/resolved';
import { bedsThatGo, takenOut } from '../difference/projected';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { UNMOVED_MM } from '../commission/origin';
import { inLitres, inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Survey } from '../survey/survey';

/** What is left open between the tank as it is now and the scape: where things go, and what stands in a bed that goes. */
export function nowFindings(commission: Resolved, survey: Survey): Finding[] {
  return [...openFindings(commission), ...underFindings(commission), ...heightFindings(commission, survey)];
}

/** Things that are taken out, and nobody has said where they go: on the day they stand in the way, and what lives on them dies. */
function openFindings({ before }: Resolved): Finding[] {
  const open = before ? takenOut(before).filter((l) => l.to === undefined) : [];
  if (open.length === 0) return [];
  return [
    {
      id: 'now.open',
      severity: 'warn',
      at: {},
      measured: open.length,
      limit: 0,
      unit: 'things',
      says: say('now.open.says', { count: open.length, things: open.map((l) => l.id) }),
      because: say('now.open.because'),
      source: PRACTICE,
    },
  ];
}

/** A piece that is to stay as it stands, in a bed that is taken from under it. */
function underFindings({ before, option }: Resolved): Finding[] {
  if (!before) return [];
  const { lines } = before.difference;
  const gone = bedsThatGo(before);
  return before.survey.pieces.flatMap(({ id, restsIn }): Finding[] => {
    const bed = restsIn === undefined ? undefined : gone.get(restsIn);
    const stays = lines.some((l) => l.of === 'pieces' && l.id === id && l.stays > 0);
    const piece = option.pieces.find((p) => p.now === id);
    if (!bed || !stays || !piece || piece.fixed) return [];
    return [
      {
        id: 'now.under',
        severity: 'warn',
        at: { piece: piece.id },
        measured: rounded(bed.left, 1),
        limit: 0,
        unit: 'L',
        says: say('now.under.says', { piece: piece.id, bed: bed.name, litres: inLitres(bed.left) }),
        because: say('now.under.because'),
        source: PRACTICE,
      },
    ];
  });
}

/** A piece that is to stay as it stands, and is drawn higher or lower because the bed under it is: pouring lifts no stone. */
function heightFindings({ before, option }: Resolved, { pieces }: Survey): Finding[] {
  if (!before) return [];
  const was = new Map(before.survey.pieces.map((p) => [p.id, p]));
  const stays = new Set(
    before.difference.lines.filter((l) => l.of === 'pieces' && l.stays > 0).map((l) => l.id),
  );
  return option.pieces.flatMap((piece, i): Finding[] => {
    const stood = piece.now === undefined || !stays.has(piece.now) ? undefined : was.get(piece.now);
    const higherMm = stood ? pieces[i].zMm - stood.zMm : 0;
    if (piece.fixed || piece.stand.kind !== 'bed' || Math.abs(higherMm) <= UNMOVED_MM) return [];
    const deepMm = piece.stand.buryMm + higherMm;
    return [
      {
        id: 'now.height',
        severity: 'warn',
        at: { piece: piece.id },
        measured: rounded(Math.abs(higherMm), 0),
        limit: UNMOVED_MM,
        unit: 'mm',
        says: say(higherMm > 0 ? 'now.height.says.higher' : 'now.height.says.lower', { piece: piece.id, by: inMm(Math.abs(higherMm)) }), // prettier-ignore
        because: say(deepMm >= 0 ? 'now.height.because.deep' : 'now.height.because', { deep: inMm(Math.abs(deepMm)) }), // prettier-ignore
        source: say('source.drawing'),
      },
    ];
  });
}
