import { crowd } from './crowd';
import { doors } from './doors';
import { flat } from './flat';
import { hostileDocuments } from './hostile';
import { holds } from './hold';
import { hour } from './hour';
import { kills } from './kills';
import { killsDuringBackups, killsDuringCreations, killsDuringMigrations, killsDuringRestores } from './killsOf'; // prettier-ignore
import { lockedElsewhere, twoServers } from './locks';
import { manyCommissions } from './many';
import { memory } from './memory';
import { machinesGone } from './replica';
import type { Result } from './result';
import { browserKilled, closedAndReopened, twoBrowsers, typedAndGone } from './typed';
import { visits } from './visits';

/*
 * npm run endure [-- NAME …]: real processes, real files, the real browser; every fault is injected. One
 * measurement after the other, so that none slows another. Ends with 1 when one does not hold.
 */

const DEMO = ['valley', 'cliff', 'cube', 'desk', 'wall', 'rescape'].map((name) => `demo-${name}`);

const MEASUREMENTS: Record<string, () => Promise<Result>> = {
  doors: () => doors(),
  hold: () => holds(),
  crowd: () => crowd(200),
  memory: () => memory(),
  hour: () => hour(12),
  flat: () => flat(500, 5_000, 2_000),
  locked: () => lockedElsewhere(40),
  servers: () => twoServers(400),
  many: () => manyCommissions(10_000),
  typed: () => typedAndGone(40),
  reopened: () => closedAndReopened(40),
  browsers: () => twoBrowsers(100),
  killed: () => browserKilled(10),
  visits: () => visits(DEMO),
  hostile: () => hostileDocuments(1_000, 120),
  kills: () => kills(10_000),
  creations: () => killsDuringCreations(2_000),
  migrations: () => killsDuringMigrations(100),
  backups: () => killsDuringBackups(60),
  restores: () => killsDuringRestores(100),
  replica: () => machinesGone(5),
};

const asked = process.argv.slice(2);
const strange = asked.filter((name) => !(name in MEASUREMENTS));
if (strange.length > 0) {
  console.error(`${strange.join(', ')}: must be of ${Object.keys(MEASUREMENTS).join(', ')}`);
  process.exit(2);
}

const results: Result[] = [];
for (const [name, measure] of Object.entries(MEASUREMENTS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const from = Date.now();
  const result = await measure();
  results.push(result);
  const figures = Object.entries(result.figures).map(([key, value]) => `${key}: ${value}`);
  console.log(`${result.holds ? 'holds' : 'DOES NOT HOLD'} · ${result.measured} · wanted: ${result.wanted}`);
  console.log(`  ${figures.join('; ')} (${Math.round((Date.now() - from) / 1_000)} s)`);
  for (const line of result.wrong) console.log(`  ${line}`);
}
process.exit(results.every((r) => r.holds) ? 0 : 1);
