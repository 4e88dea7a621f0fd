import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'utsuwa-cli-'));
const root = join(import.meta.dirname, '..');

function utsuwa(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'cli/utsuwa.ts', ...args],
    { cwd: root, encoding: 'utf8' },
  );
  return { status, stdout, stderr };
}

/** A spoilt copy of an example. */
function spoilt(name: string, from: string, to: string): string {
  const file = join(folder, name);
  const text = readFileSync(join(root, 'demo/level-cube.json'), 'utf8');
  expect(text).toContain(from);
  writeFileSync(file, text.replace(from, to));
  return file;
}

describe('utsuwa in a terminal', () => {
  it('prints one JSON object with survey, lines and findings', () => {
    const { status, stdout, stderr } = utsuwa(
      'takeoff',
      'demo/level-cube.json',
      '--json',
      '--today',
      '2027-01-09',
    );
    expect([status, stderr]).toEqual([0, '']);
    const answer = JSON.parse(stdout);
    expect(answer.survey).toMatchObject({ brimL: 27, waterLineL: 25.2, freeWaterL: 21.6 });
    expect(answer.lines[0]).toMatchObject({
      id: 'soil-granules',
      measured: { value: 3.6, unit: 'L' },
      packs: [{ pack: 'soil-3', count: 2 }],
      orderBy: '2027-01-08',
    });
    expect(answer.findings).toMatchObject([{ id: 'order.late', severity: 'stop', measured: 1 }]);
  });

  it('prints a table for each command', () => {
    const expected = {
      validate: /complete/,
      takeoff: /Active soil.*2 × 9 L/,
      order: /Marl & Timber Yard: order by 2027-01-08/,
      build: /08:30–08:50 +Person 1/,
      care: /change 31\.5 L/,
    };
    for (const [command, pattern] of Object.entries(expected)) {
      const { status, stdout } = utsuwa(command, 'demo/held-root.json');
      expect(status).toBe(0);
      expect(stdout).toMatch(pattern);
    }
  });

  it('refuses with exit 2, a line a fault on standard error, nothing on standard output', () => {
    const big = join(folder, 'big.json');
    writeFileSync(big, '');
    truncateSync(big, 200 * 1024 * 1024);
    const cases: [string, RegExp][] = [
      [
        spoilt('negative.json', '"height": 300', '"height": -300'),
        /^vessel\.innerMm\.height: is -300, must be at least 20\n$/,
      ],
      [
        spoilt('future.json', '"version": 1', '"version": 2'),
        /^version: is 2, made by a newer Utsuwa; .*\n$/,
      ],
      [spoilt('nan.json', '"height": 300', '"height": NaN'), /^\(document\): is not JSON/],
      [
        spoilt('entry.json', '"material": "soil-granules"', '"material": "mud"'),
        /^options\[0\]\.bed\[0\]\.material: is "mud", must be/,
      ],
      [big, /^\(document\): has 200 MB, must have at most 20 MB\n$/],
      [join(folder, 'absent.json'), /cannot be read \(ENOENT\)/],
    ];
    for (const [file, message] of cases) {
      const { status, stdout, stderr } = utsuwa('takeoff', file, '--json');
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toMatch(message);
      expect(stderr).not.toMatch(/ at .*\.ts/);
    }
    expect(utsuwa('takeoff', 'demo/level-cube.json', '--option', 'z').stderr).toBe(
      '--option: is "z", must be one of "a"\n',
    );
    expect(utsuwa('takeoff', 'demo/level-cube.json', '--today', 'now').status).toBe(2);
    expect(utsuwa('fly').status).toBe(2);
  });
});
