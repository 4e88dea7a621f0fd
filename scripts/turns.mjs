/*
 * What `npm test` drives in the browser. It has ten minutes, however much is added: some files are driven every time, the
 * others by turns, which the commit decides. The same commit drives the same files anywhere, a few commits all of them,
 * and `npm test -- --all` every one at once.
 */
import { execFileSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './ready.mjs';

/** From the first line of a brief to the last of a care guide, the Bench, a server that is killed. */
export const ALWAYS = ['e2e/commission.e2e.ts', 'e2e/bench.e2e.ts', 'e2e/process.e2e.ts'];

/** What each takes on two slow processors, s; one that is not named takes as long as most. */
const TAKES_S = {
  'e2e/visitsByTouch.e2e.ts': 67,
  'e2e/commission.e2e.ts': 63,
  'endure/endure.e2e.ts': 62,
  'endure/browser.e2e.ts': 62,
  'e2e/bench.e2e.ts': 53,
  'e2e/growing.e2e.ts': 30,
  'e2e/still.e2e.ts': 30,
  'e2e/people.e2e.ts': 48,
  'e2e/links.e2e.ts': 75,
  'e2e/plantingRegions.e2e.ts': 52,
  'e2e/accessible.e2e.ts': 52,
  'e2e/visit.e2e.ts': 50,
  'e2e/buying.e2e.ts': 46,
  'e2e/sittings.e2e.ts': 46,
  'e2e/job.e2e.ts': 41,
  'e2e/elsewhere.e2e.ts': 41,
  'e2e/newcomer.e2e.ts': 40,
  'endure/cutOff.e2e.ts': 36,
  'e2e/rescaped.e2e.ts': 36,
  'e2e/planting.e2e.ts': 36,
  'e2e/visitsByKeyboard.e2e.ts': 31,
  'e2e/yard.e2e.ts': 30,
  'e2e/phone.e2e.ts': 28,
  'e2e/ownStudio.e2e.ts': 27,
};
const MOSTLY_S = 18;
export const takes = (file) => TAKES_S[file] ?? MOSTLY_S;

export const TURNS = 10;

/** Every file that is driven in a browser. */
export function browserFiles() {
  return ['e2e', 'endure'].flatMap((folder) =>
    readdirSync(join(root, folder))
      .filter((name) => name.endsWith('.e2e.ts'))
      .map((name) => `${folder}/${name}`),
  );
}

/** The files that are not always driven, dealt out so that each turn takes about as long. */
export function turnsOf(files) {
  const turns = Array.from({ length: TURNS }, () => ({ files: [], s: 0 }));
  const rest = files.filter((file) => !ALWAYS.includes(file));
  for (const file of rest.sort((a, b) => takes(b) - takes(a) || a.localeCompare(b))) {
    const least = turns.reduce((a, b) => (b.s < a.s ? b : a));
    least.files.push(file);
    least.s += takes(file);
  }
  return turns.map((turn) => turn.files);
}

/** Which turn a commit has; without one the day decides. */
export function turnNow() {
  try {
    const sha = execFileSync('git', ['rev-parse', 'HEAD'], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }); // prettier-ignore
    return turnOfCommit(sha);
  } catch {
    return new Date().getDate() % TURNS;
  }
}

export const turnOfCommit = (sha) => parseInt(sha.slice(0, 8), 16) % TURNS;
