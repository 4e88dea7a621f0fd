import { existsSync } from 'node:fs';
import { rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import pLimit from 'p-limit';
import { DATABASE } from '../folder';
import { engineFile, follow, type Engine, type Said } from './engine';
import { begunAnew, claimPlace, databaseIn, isOurs, isOutdated } from './place';
import { scansOver, scansTaken } from './scans';

/*
 * A copy of the studio elsewhere that follows every save: what the database's log gets is there a second later, and can be had
 * as it was at any time of the last week. Scans go along as files.
 */

/** How often the log is brought over and scans are looked for, s; from when on there is a whole copy each day, and how long it can be gone back, h. */
const [SYNC_S, SCANS_S, WHOLE_H, BACK_H] = [1, 2, 24, 7 * 24];
/** After what time an engine that ended by itself is started again, ms. */
const AGAIN_MS = 10_000;
/** How long a first whole copy is waited for when it is stopped, ms. */
const FIRST_MS = 5_000;
const AWAY = 'The folder is not there any more.';
/** What the engine says when it has brought something over. */
const BROUGHT = ['wal segment written', 'snapshot written'];

export interface ReplicaState {
  to: string;
  /** When something was brought over last, ISO 8601. */
  lastAt?: string;
  /** What is wrong since then; gone with the next that was brought over. */
  fault?: string;
}
export interface Replica {
  state(): ReplicaState;
  /** Has the database written anew while nobody follows, and goes on. */
  without<T>(work: () => Promise<T>): Promise<T>;
  /** Brings over what is left. */
  stop(): Promise<void>;
}

/**
 * Begins to follow the studio of a folder, which the caller has claimed. One thing at a time: it never follows twice.
 *
 * @throws an Error in words where the place does not do or there is no engine
 */
export async function openReplica(folder: string, to: string, warn: (words: string) => void = console.error): Promise<Replica> {
  engineFile();
  for (const words of await claimPlace(folder, to)) warn(words);
  const settings = join(folder, 'utsuwa.replica.yml');
  await writeFile(settings, settingsFor(join(folder, DATABASE), databaseIn(to)), { mode: 0o600 });
  const wholeOnes = join(databaseIn(to), 'generations');
  const state: ReplicaState = { to };
  const inTurn = pLimit(1);
  let [engine, stopped]: [Engine | undefined, boolean] = [undefined, false];
  /** Told when something has been brought over. */
  let told = () => {};
  // A large scan takes longer than that: nobody queues up behind it.
  const isIdle = () => inTurn.activeCount + inTurn.pendingCount === 0;
  const looking = setInterval(() => void (isIdle() && inTurn(look)), SCANS_S * 1_000).unref();
  await inTurn(resume);
  return {
    state: () => ({ ...state }),
    without: (work) => inTurn(async () => {
      await pause();
      return work().finally(resume);
    }),
    stop: () => inTurn(async () => {
      stopped = true;
      clearInterval(looking);
      if (engine) await bringScans();
      // One that has just begun has nothing yet: it would be none.
      if (engine && !existsSync(wholeOnes)) await Promise.race([new Promise<void>((resolve) => (told = resolve)), engine.ended, setTimeout(FIRST_MS)]);
      await pause();
    }),
  };

  /** New scans; nothing where the disk has gone, and on again where it is back. */
  async function look(): Promise<void> {
    if (stopped) return;
    if (!engine) return resume();
    if (await isOurs(folder, to)) return bringScans();
    await pause();
    wrong(AWAY);
  }

  /** Follows where the disk is there: an empty folder in its place would be filled on this one. What is outdated goes first. */
  async function resume(): Promise<void> {
    if (!(await isOurs(folder, to))) return wrong(AWAY);
    if (isOutdated(folder)) {
      await scansTaken(folder, to);
      await forgotten(folder, to);
      state.lastAt = undefined;
      await begunAnew(folder);
    }
    begin();
  }

  function begin(): void {
    const own = (engine = follow(settings, heard));
    void own.ended.then(async () => {
      if (engine !== own || stopped) return;
      wrong('It ended by itself and is started again.');
      await setTimeout(AGAIN_MS, undefined, { ref: false });
      await inTurn(async () => { if (engine === own && !stopped) begin(); });
    });
  }

  function bringScans(): Promise<void> {
    return scansOver(folder, to).then(() => {}, () => wrong('A scan could not be copied.'));
  }

  async function pause(): Promise<void> {
    const own = engine;
    engine = undefined;
    await own?.stop();
  }

  function heard({ level, msg, error }: Said): void {
    if (BROUGHT.includes(msg)) {
      Object.assign(state, { lastAt: new Date().toISOString(), fault: undefined });
      told();
    } else if (level === 'ERROR') wrong(error ?? msg);
  }

  /** Said once, not with every second that it lasts. */
  function wrong(fault: string): void {
    if (state.fault === undefined) warn(`The replica in ${to} does not follow: ${fault}`);
    state.fault = fault;
  }
} // prettier-ignore

/** JSON, which every reader of YAML reads. */
function settingsFor(database: string, path: string): string {
  const replica = {
    type: 'file',
    path,
    'sync-interval': `${SYNC_S}s`,
    'snapshot-interval': `${WHOLE_H}h`,
    retention: `${BACK_H}h`,
  };
  return JSON.stringify({ logging: { type: 'json' }, dbs: [{ path: database, replicas: [replica] }] });
}

/** What the engine has kept of the log, here and there. */
async function forgotten(folder: string, to: string): Promise<void> {
  await forgetFollowed(folder);
  await rm(databaseIn(to), { recursive: true, force: true });
}

/** Takes away what was kept of the log beside the database: where nobody follows any more, an erased client would stay in it. */
export async function forgetFollowed(folder: string): Promise<void> {
  await rm(join(folder, `.${DATABASE}-litestream`), { recursive: true, force: true });
}
