/* What a change touches, for `npm test -- --changed [REF]`. */
import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './ready.mjs';

const git = (...words) =>
  execFileSync('git', words, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean);

/** Files that differ from a commit, those that git does not know yet among them; what is gone is left out. */
export function changedSince(ref) {
  const names = [...git('diff', '--name-only', ref), ...git('ls-files', '--others', '--exclude-standard')];
  return [...new Set(names)].filter((name) => existsSync(join(root, name)));
}

const EVERYTHING = ['e2e', 'endure'];
/** Which files of the browser's run a change can reach, by where it is: the first that fits counts. */
const REACH = [
  [/^cli\//, ['e2e/process']],
  [/^(docs|measure|\.ci)\/|\.md$|\.test\.ts$|^web\/testing\//, []],
  [/^(?:e2e|endure)\/.*\.e2e\.ts$/, (name) => [name]],
  [/^e2e\/briefs\//, ['e2e/visits', 'e2e/visit.']],
  [
    /^web\/stages\/brief\/|^core\/(?:visit|site|livestock)\//,
    ['e2e/visit', 'e2e/newcomer', 'e2e/accessible', 'endure/browser'],
  ],
  [
    /^web\/stages\/vessel\/|^core\/vessel\//,
    ['e2e/visit', 'e2e/newcomer', 'e2e/accessible', 'endure/browser'],
  ],
  [
    /^web\/stages\/planting\/|^core\/planting\//,
    ['e2e/planting', 'e2e/commission', 'e2e/newcomer', 'e2e/accessible'],
  ],
  [
    /^web\/stages\/bench\//,
    ['e2e/bench', 'e2e/yard', 'e2e/commission', 'e2e/newcomer', 'e2e/visit.', 'e2e/accessible'],
  ],
  [
    /^web\/stages\/|^web\/bench\/|^web\/design\//,
    ['e2e/commission', 'e2e/newcomer', 'e2e/visit.', 'e2e/accessible'],
  ],
  [/^core\/(?:build|care|ordering|takeoff)\//, ['e2e/commission', 'e2e/newcomer', 'e2e/accessible']],
];

/** Filters for the browser's run; none where nothing there can have changed. */
export function browserFilesFor(names) {
  return [...new Set(names.flatMap(reachOf))];
}

function reachOf(name) {
  const [, files] = REACH.find(([where]) => where.test(name)) ?? [undefined, EVERYTHING];
  return typeof files === 'function' ? files(name) : files;
}
