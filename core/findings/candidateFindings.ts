import { daysFrom, type Day } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import type { Finding } from '../words/finding';
import { inKg, inMm } from '../words/measure';
import { say, type Said } from '../words/text';
import { materialOf } from '../commission/lookup';
import type { Candidate } from '../commission/schema';
import { differences, isRunningOut, type Differs } from '../yard/candidate';
import { foundChecks, foundVerdict } from '../yard/foundTests';

/**
 * Actual pieces for what is drawn in this option: one that nobody holds much longer and that nobody has said yes or no to, and
 * one that came other than it was promised, and one that is not of the trade and not tested. What the other size does is found like anything else, once it is on the bench.
 */
export function candidateFindings(
  job: Pick<Resolved, 'candidates' | 'option' | 'catalogue'>,
  today: Day | undefined,
): Finding[] {
  const { candidates = [], option } = job;
  const own = candidates.filter((c) => c.option === option.id && option.pieces.some((p) => p.id === c.piece));
  const held = own
    .filter((c) => today !== undefined && isRunningOut(c, today))
    .map((c): Finding => ({
      id: 'candidate.held',
      severity: 'warn',
      at: { piece: c.piece },
      measured: daysFrom(c.heldUntil!, today!),
      limit: 0,
      unit: 'days',
      says: say('candidate.held.says', { candidate: c.id, piece: c.piece, day: { day: c.heldUntil! } }),
      because: say('candidate.held.because'),
      source: say('source.offered'),
    }));
  const other = own
    .filter((c) => !c.declined)
    .flatMap((c) => {
      const by = differences(c);
      return by.length === 0 ? [] : [otherThan(c, by)];
    });
  const found = own
    .filter((c) => c.found && !c.declined && (c.was || c.approvedOn))
    .flatMap((c) => untested(job, c));
  return [...held, ...other, ...found];
}

/** A piece that is not of the trade and goes in: tested as far as nothing is left open, or not to be used. */
function untested(job: Pick<Resolved, 'catalogue'>, c: Candidate): Finding[] {
  const checks = foundChecks(c, materialOf(job, c.material));
  const verdict = foundVerdict(checks);
  if (verdict === 'fit') return [];
  const open = checks.filter((x) => x.outcome === undefined).length;
  return [
    {
      id: 'candidate.found',
      severity: verdict === 'never' ? 'stop' : 'warn',
      at: { piece: c.piece },
      measured: open,
      limit: 0,
      unit: 'tests',
      says: say(`candidate.found.${verdict}`, { candidate: c.id, piece: c.piece, open }),
      because: verdict === 'never' ? checks.find((x) => x.never)!.means! : say('candidate.found.because'),
      source: say('source.practice'),
    },
  ];
}

function otherThan({ id, piece, was }: Candidate, by: Differs[]): Finding {
  const [most] = [...by].sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  return {
    id: 'candidate.other',
    // On the bench as it is: what that does stands beside it. Not there yet: nobody has looked.
    severity: was ? 'note' : 'warn',
    at: { piece },
    measured: most.by,
    limit: 0,
    unit: most.what === 'mass' ? 'kg' : 'mm',
    says: say('candidate.other.says', { candidate: id, piece, how: by.map(differsWords) }),
    because: say(was ? 'candidate.other.tried' : 'candidate.other.because'),
    source: say('source.offered'),
  };
}

/** `60 mm shorter`, `0.4 kg heavier`. */
export function differsWords({ what, by }: Differs): Said {
  const much = what === 'mass' ? inKg(Math.abs(by), 2) : inMm(Math.abs(by));
  return say(`differs.${what}.${by > 0 ? 'more' : 'less'}`, { much });
}
