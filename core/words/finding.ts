import type { FindingId } from './findingIds';
import type { Said, Text } from './text';

export type Severity = 'stop' | 'warn' | 'note';

/** What a finding is about; the interface puts its mark there. */
export interface FindingPlace {
  piece?: string;
  pieces?: string[];
  plant?: string;
  layer?: string;
  /** Species, by their ids. */
  animals?: string[];
  line?: string;
  supplier?: string;
  field?: string;
  /** Floor position in mm from the inner front-left corner. */
  xyMm?: [number, number];
}

/**
 * Something measured that lies outside a limit. It states both figures and leaves the judgement to the
 * designer.
 */
export interface Finding {
  id: FindingId;
  severity: Severity;
  at: FindingPlace;
  measured: number;
  limit: number;
  unit: string;
  /** What is the matter, one sentence. */
  says: Text;
  /** Why it matters and what would settle it. */
  because: Text;
  /** Where the limit comes from: a publication, `common practice`, or the document's own figure. */
  source: Said;
}

/** Findings that ask for something; notes are there to be known. */
export function toSettle<T extends Pick<Finding, 'severity'>>(findings: readonly T[]): T[] {
  return findings.filter((f) => f.severity !== 'note');
}

const RANK: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** Most severe first, otherwise in the order in which they were found. */
export function bySeverity(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
