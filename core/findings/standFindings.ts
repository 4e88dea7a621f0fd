import { pieceOf, type Resolved } from '../resolved/resolved';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inKg, inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Survey } from '../survey/survey';

/** A piece that goes over at less than this lean does so at the first push of a hand or a fish, ° (common practice). */
const SURE_DEG = 5;
/** From this mass on a stone asks for something under it, kg; and so much of a pad is one, mm (common practice). */
const HEAVY_KG = 2;
const PAD_MM = 2;

/** Pieces that do not stand by themselves, and heavy ones on bare glass. */
export function standFindings(commission: Resolved, survey: Survey): Finding[] {
  return [...tippingFindings(survey), ...looseFindings(survey), ...bareFindings(commission, survey)];
}

function tippingFindings({ stands }: Survey): Finding[] {
  return stands.flatMap(({ id, isHeld, insideMm, tipsAtDeg, towards }): Finding[] => {
    if (isHeld || tipsAtDeg >= SURE_DEG || insideMm === undefined) return [];
    const tips = insideMm <= 0;
    const values = {
      piece: id,
      side: say(`side.${towards}`),
      out: inMm(Math.ceil(-insideMm)),
      lean: rounded(tipsAtDeg, 0),
    };
    return [
      {
        id: 'piece.tips',
        severity: tips ? 'warn' : 'note',
        at: { piece: id },
        measured: tips ? rounded(insideMm, 1) : rounded(tipsAtDeg, 1),
        limit: tips ? 0 : SURE_DEG,
        unit: tips ? 'mm' : '°',
        says: say(tips ? 'piece.tips.says' : 'piece.tips.says.barely', values),
        because: say('piece.tips.because'),
        source: say('source.drawing'),
      },
    ];
  });
}

/** Pieces drawn at a height that touch others there, yet neither lie on them nor are joined to them. */
function looseFindings({ stands, pieces }: Survey): Finding[] {
  const inAir = new Set(pieces.flatMap((p) => (p.inAir ? [p.id] : [])));
  return stands.flatMap(({ id, isHeld, insideMm = -1 }): Finding[] => {
    if (!isHeld || insideMm > 0 || inAir.has(id)) return [];
    return [
      {
        id: 'piece.loose',
        severity: 'warn',
        at: { piece: id },
        measured: 0,
        limit: 1,
        unit: 'joint',
        says: say('piece.loose.says', { piece: id }),
        because: say('piece.loose.because'),
        source: say('source.drawing'),
      },
    ];
  });
}

/** Stones that press on the bottom pane with nothing between; what has stood there already has shown that it holds. */
function bareFindings(commission: Resolved, { pieces }: Survey): Finding[] {
  const drawn = commission.option.pieces;
  return pieces.flatMap((p, i): Finding[] => {
    const { stand } = drawn[i];
    const onGlass = stand.kind === 'floor' ? (stand.pad ?? 0) < PAD_MM : stand.kind === 'bed' && Math.abs(p.bottomMm) < PAD_MM; // prettier-ignore
    const { material, origin } = pieceOf(commission, p.id);
    if (!onGlass || material.kind !== 'stone' || p.massKg < HEAVY_KG || origin === 'here') return [];
    return [
      {
        id: 'piece.bare',
        severity: 'warn',
        at: { piece: p.id },
        measured: rounded(p.massKg, 1),
        limit: HEAVY_KG,
        unit: 'kg',
        says: say('piece.bare.says', { piece: p.id, mass: inKg(p.massKg) }),
        because: say('piece.bare.because'),
        source: PRACTICE,
      },
    ];
  });
}
