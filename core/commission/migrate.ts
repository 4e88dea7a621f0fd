import { FORMAT, VERSION } from './schema';
import { say, type Text } from '../words/text';
import { shown, type Fault } from './fault';

/**
 * Steps from each older version to the next, so that a file of any age opens. There is one version yet; the
 * step from 1 to 2 will stand here under the key 1.
 */
export const MIGRATIONS: Readonly<Record<number, (old: Record<string, unknown>) => Record<string, unknown>>> =
  {};

export type Migrated = { ok: true; document: unknown } | { ok: false; faults: Fault[] };

/** Brings a document of any known version to the present one; refuses what it cannot know. */
export function migrated(input: unknown, steps = MIGRATIONS, newest: number = VERSION): Migrated {
  if (input === null || typeof input !== 'object' || Array.isArray(input))
    return refused('(document)', say('fault.no.object', { value: shown(input) }));
  let document = input as Record<string, unknown>;
  if (document.format !== FORMAT)
    return refused('format', say('fault.no.format', { value: shown(document.format), format: FORMAT }));
  const version = document.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refused('version', say('fault.no.version', { value: shown(version), newest }));
  if (version > newest) return refused('version', say('fault.newer', { version, newest }));
  for (let v = version; v < newest; v++) document = { ...steps[v](document), version: v + 1 };
  return { ok: true, document };
}

function refused(path: string, says: Text): Migrated {
  return { ok: false, faults: [{ path, says }] };
}
