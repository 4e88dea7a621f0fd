/** Why the database did not do what it was asked. Nothing was changed then. */
export type TroubleKind = 'busy' | 'full' | 'readonly' | 'damaged' | 'other';

/** A read or write that failed, without the values it was about: they name people. */
export class StoreTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    readonly code: string,
  ) {
    super(`${SAYS[kind]} (${code})`);
    this.name = 'StoreTrouble';
  }

  /** In a sentence. */
  get says(): string {
    return SAYS[this.kind];
  }
}

const SAYS: Record<TroubleKind, string> = {
  busy: 'Another program holds the studio’s data at the moment.',
  full: 'The disk is full.',
  readonly: 'The studio’s data cannot be written: the disk or the folder is read-only.',
  damaged: 'The studio’s data is damaged.',
  other: 'The database did not answer.',
};

/** From SQLite's own result codes (sqlite.org, "Result and Error Codes"). */
export function troubleOf(code: string, message = ''): StoreTrouble {
  const is = (...names: string[]) => names.some((n) => code.startsWith(n) || message.includes(n));
  if (is('SQLITE_BUSY', 'SQLITE_LOCKED', 'NOT_COMMITTED', 'database is locked'))
    return new StoreTrouble('busy', code);
  if (is('SQLITE_FULL', 'database or disk is full')) return new StoreTrouble('full', code);
  if (is('SQLITE_READONLY', 'SQLITE_CANTOPEN', 'SQLITE_PERM', 'readonly database', 'unable to open'))
    return new StoreTrouble('readonly', code);
  if (is('SQLITE_CORRUPT', 'SQLITE_NOTADB', 'malformed', 'not a database'))
    return new StoreTrouble('damaged', code);
  // A disk that is full in the middle of a page is reported as a failed write.
  if (is('SQLITE_IOERR')) return new StoreTrouble('full', code);
  return new StoreTrouble('other', code);
}
