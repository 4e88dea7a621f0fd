import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

/*
 * The engine that follows a database: Litestream, as its registry packages bring it for a few kinds of machine.
 */

const name = `@flydotio/litestream-${process.platform}-${process.arch}`;

/** Whether this machine has one: the packages bring it for some kinds. */
export const hasEngine = (): boolean => found() !== undefined;

function found(): string | undefined {
  try {
    const file = join(dirname(createRequire(import.meta.url).resolve(`${name}/package.json`)), 'litestream');
    return existsSync(file) ? file : undefined;
  } catch {
    // Not installed.
    return undefined;
  }
}

/**
 * Where the engine lies.
 *
 * @throws an Error in words where there is none for this machine
 */
export function engineFile(): string {
  const file = found();
  if (file) return file;
  throw new Error(
    `UTSUWA_REPLICA: there is no engine here for this kind of machine. Install ${name} where there is one, or leave the setting out: backups in the folder are made all the same.`,
  );
}

/** A line that the engine wrote: what happened, and how bad it is. */
export interface Said {
  level: string;
  msg: string;
  error?: string;
}

/** A running engine. */
export interface Engine {
  ended: Promise<void>;
  /** Has it bring over what is left, and waits until it has ended. */
  stop(): Promise<void>;
}

/**
 * A shell between: it ends the engine when it is told to, and when whoever started it is gone, however that ended. Two at one
 * database would each undo the other's work.
 */
const BETWEEN = '"$0" replicate -config "$1" & p=$!; cat >/dev/null; kill $p 2>/dev/null; wait $p';

/** Starts following by a file of settings; `heard` gets every line. */
export function follow(settings: string, heard: (said: Said) => void): Engine {
  const child = spawn('/bin/sh', ['-c', BETWEEN, engineFile(), settings], {
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  for (const stream of [child.stdout, child.stderr]) linesOf(stream, (line) => heard(saidIn(line)));
  child.stdin.on('error', () => {});
  const ended = new Promise<void>((resolve) => {
    child.once('error', () => resolve());
    child.once('close', () => resolve());
  });
  return { ended, stop: () => (child.stdin.end(), ended) };
}

/** Brings a database back out of a replica, as it was at a time or as it was last, into a file that is not there yet. */
export async function broughtBack(replica: string, file: string, at?: Date): Promise<Said[]> {
  const when = at ? ['-timestamp', at.toISOString()] : [];
  const child = spawn(engineFile(), ['restore', ...when, '-o', file, `file://${replica}`]);
  const said: Said[] = [];
  for (const stream of [child.stdout, child.stderr]) linesOf(stream, (line) => said.push(saidIn(line)));
  await new Promise((resolve) => child.once('close', resolve));
  return said;
}

function linesOf(stream: NodeJS.ReadableStream, each: (line: string) => void): void {
  let rest = '';
  stream.on('data', (part: Buffer) => {
    const lines = (rest + part.toString()).split('\n');
    rest = lines.pop() ?? '';
    lines.filter(Boolean).forEach(each);
  });
}

/** What the engine writes is JSON while it follows, and plain words where it could not begin. */
function saidIn(line: string): Said {
  try {
    const { level = 'INFO', msg = line, error } = JSON.parse(line) as Partial<Said>;
    return { level, msg, error };
  } catch {
    return { level: /\bERROR\b/.test(line) ? 'ERROR' : 'INFO', msg: line };
  }
}
