import { mkdtempSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { readingRoom } from '../demo/commissions/readingRoom';
import { utsuwa as commandLine } from './commands';

const folder = mkdtempSync(join(tmpdir(), 'utsuwa-cli-'));
const root = join(import.meta.dirname, '..');

/** What a command line answers, says and ends with, without a process of its own. */
async function utsuwa(...words: string[]) {
  let [stdout, stderr] = ['', ''];
  const status = await commandLine(words, {
    out: (text) => (stdout += text),
    say: (text) => (stderr += text),
  });
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
  it('prints one JSON object with survey, lines and findings', async () => {
    const { status, stdout, stderr } = await utsuwa(
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
    expect(answer.findings).toMatchObject([
      { id: 'order.late', severity: 'stop', measured: 1 },
      { id: 'build.past', severity: 'warn', measured: 23 },
    ]);
  });

  it('says what becomes of each thing in a tank that stands there, and where nobody drew it', async () => {
    const file = join(folder, 'reading.json');
    writeFileSync(file, JSON.stringify(readingRoom('2026-11-25')));
    const { status, stdout } = await utsuwa('difference', file, '--today', '2026-11-25');
    expect(status).toBe(0);
    const row = (id: string) =>
      stdout
        .split('\n')
        .find((l) => l.startsWith(`${id} `))!
        .split(/ {2,}/);
    expect(row('K-1')).toEqual(['K-1', 'Slate', '6.09 kg', '·', '6.09 kg', '·']);
    expect(row('P-1').slice(2)).toEqual(['50 plugs', '·', '25 plugs', '25 plugs', 'to the studio’s stock']);
    const data = JSON.parse((await utsuwa('difference', file, '--json', '--today', '2026-11-25')).stdout);
    expect(data.difference.find((l: { id: string }) => l.id === 'L-1')).toMatchObject({
      of: 'pieces',
      unit: 'kg',
      stays: 0,
      moved: 0,
      to: 'stock',
    });
    expect((await utsuwa('difference', 'demo/level-cube.json')).stdout).toContain('is not drawn');
    const now = await utsuwa('takeoff', file, '--option', 'now', '--json', '--today', '2026-11-25');
    expect(JSON.parse(now.stdout).survey.layers[0].id).toBe('sand');
  });

  it('prints a table for each command', async () => {
    const expected = {
      validate: /complete/,
      takeoff: /Active soil.*2 × 9 L/,
      order: /Marl & Timber Yard: order by 2027-01-08/,
      build: /08:30–08:4\d +Person 1/,
      care: /change 31\.5 L/,
    };
    for (const [command, pattern] of Object.entries(expected)) {
      const { status, stdout } = await utsuwa(command, 'demo/held-root.json');
      expect(status).toBe(0);
      expect(stdout).toMatch(pattern);
    }
  });

  it('prints the planting plan: every plug numbered where it goes, and the findings of where it lives', async () => {
    const { stdout } = await utsuwa('planting', 'demo/held-root.json');
    expect(stdout).toMatch(/nos\.\s+plant\s+plugs\s+packs/);
    expect(stdout).toMatch(/tools {2}long tweezers, .*; about \d+ min to prepare/);
    const json = JSON.parse((await utsuwa('planting', 'demo/held-root.json', '--json')).stdout);
    const [first] = json.plantings;
    // The take-off has them too, for programs that place or price by the plug.
    const whole = JSON.parse((await utsuwa('takeoff', 'demo/held-root.json', '--json')).stdout);
    expect(whole.plantings[0].positions).toEqual(first.positions);
    expect(first.prepare).toContain('rinse the gel off, lukewarm');
    expect(first.cover.on).toMatch(/^\d{4}-\d\d-\d\d$/);
    expect(first.positions).toHaveLength(first.count);
    expect(json.survey.plantings[0].plugs).toBe(first.count);
    expect(first.positions[0]).toMatchObject({
      no: first.firstNo,
      xMm: expect.any(Number),
      dli: expect.any(Number),
    });
  });

  it('refuses with exit 2, a line a fault on standard error, nothing on standard output', async () => {
    const big = join(folder, 'big.json');
    writeFileSync(big, '');
    truncateSync(big, 200 * 1024 * 1024);
    const cases: [string, RegExp][] = [
      [
        spoilt('negative.json', '"height": 300', '"height": -300'),
        /^vessel\.innerMm\.height: is -300 mm, must be at least 20 mm\n$/,
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
      [big, /^\(document\): has 200 MB, must have at most 80 MB\n$/],
      [join(folder, 'absent.json'), /cannot be read \(ENOENT\)/],
    ];
    for (const [file, message] of cases) {
      const { status, stdout, stderr } = await utsuwa('takeoff', file, '--json');
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toMatch(message);
      expect(stderr).not.toMatch(/ at .*\.ts/);
    }
    expect((await utsuwa('takeoff', 'demo/level-cube.json', '--option', 'z')).stderr).toBe(
      '--option: is "z", must be one of "a"\n',
    );
    expect((await utsuwa('takeoff', 'demo/level-cube.json', '--today', 'now')).status).toBe(2);
    expect((await utsuwa('fly')).status).toBe(2);
  });

  it('lists what a first visit has to settle, for reading and for programs', async () => {
    const file = join(folder, 'visit.json');
    const doc = JSON.parse(readFileSync(join(root, 'demo/level-cube.json'), 'utf8'));
    doc.site = {
      storey: 2,
      sockets: 1,
      devices: [
        { id: 'a', name: 'light', watts: 20 },
        { id: 'b', name: 'filter', watts: 5 },
      ],
    };
    doc.brief.livestock = [
      { species: 'betta-splendens', count: 1 },
      { species: 'tanichthys-albonubes', count: 8 },
    ];
    writeFileSync(file, JSON.stringify(doc));
    const read = await utsuwa('brief', file, '--today', '2026-12-01');
    expect([read.status, read.stderr]).toEqual([0, '']);
    expect(read.stdout).toMatch(/27 L to the brim, 25\.2 L to the line/);
    // A desk cube weighs what furniture does; who asks about a large one is sent to an engineer.
    expect(read.stdout).toMatch(/kN\/m², as furniture of that mass/);
    Object.assign(doc.vessel, { innerMm: { length: 1200, width: 500, height: 500 }, waterLineMm: 470, labelL: undefined }); // prettier-ignore
    writeFileSync(file, JSON.stringify(doc));
    expect((await utsuwa('brief', file)).stdout).toMatch(/kN\/m²: ask a structural engineer/);
    expect(read.stdout).toMatch(
      /warn {2}livestock\.apart {2}25 °C for Betta splendens, 22 °C for Tanichthys albonubes/,
    );
    expect(read.stdout).not.toMatch(/bed\.shallow/);
    const { visit, findings } = JSON.parse(
      (await utsuwa('brief', file, '--json', '--today', '2026-12-01')).stdout,
    );
    expect(visit.power).toMatchObject({ watts: 25, plugs: 2, socketsShort: 1 });
    expect(findings.map((f: { id: string }) => f.id)).toContain('power.sockets');
  });

  it('refuses a vessel and a brief that cannot be, field by field', async () => {
    const file = join(folder, 'cannot.json');
    const doc = JSON.parse(readFileSync(join(root, 'demo/level-cube.json'), 'utf8'));
    doc.vessel = { ...doc.vessel, kind: 'bow', bowMm: 400 };
    doc.brief.seats = [{ id: 's', name: 'chair', at: [150, 150], eyeMm: 1200 }];
    writeFileSync(file, JSON.stringify(doc));
    const { status, stdout, stderr } = await utsuwa('brief', file);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr.trim().split('\n')).toEqual([
      'vessel.bowMm: is 400 mm, must be less than half the length, 150 mm: a bow cannot be deeper',
      'brief.seats[0].at: sets chair inside the tank, must be somewhere around it',
    ]);
  });
});
