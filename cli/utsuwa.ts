import { Command, CommanderError } from 'commander';
import { isDay } from '../core/calendar/day';
import { plan } from '../core/pipeline/plan';
import { report } from '../core/pipeline/report';
import { unknownFields } from '../core/commission/unknown';
import { optionOf } from '../core/commission/lookup';
import { readCommission, RefusedError } from './read';
import { table, type Part } from './tables';

interface Asked {
  option?: string;
  json?: boolean;
  today?: string;
}

const ABOUT: Record<Part | 'validate', string> = {
  validate: 'check a commission and list its findings',
  takeoff: 'what the scape takes: measured, needed, packs',
  order: 'the take-off by supplier, with order-by days',
  build: 'the build day, task by task, on a clock',
  care: 'the first eight weeks after the build',
  brief: 'what a first visit has to settle: brief, vessel and site, with their findings',
};

function run(part: Part | 'validate', file: string, asked: Asked): void {
  const commission = readCommission(file);
  if (asked.today !== undefined && !isDay(asked.today))
    throw new RefusedError([{ path: '--today', says: `is "${asked.today}", must be a day, YYYY-MM-DD` }]);
  if (asked.option !== undefined) checkOption(() => optionOf(commission, asked.option));
  // Beside the answer, not in it: programs read what stands on standard output.
  for (const { path, says } of unknownFields(commission)) process.stderr.write(`note: ${path} ${says}\n`);
  const today = asked.today ?? localDay(new Date());
  const result = plan(commission, { optionId: asked.option, today });
  const shown = part === 'validate' ? 'takeoff' : part;
  if (asked.json) process.stdout.write(`${JSON.stringify(report(result, shown), null, 2)}\n`);
  else process.stdout.write(table(part, commission, result));
}

function checkOption(look: () => unknown): void {
  try {
    look();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new RefusedError([{ path: '--option', says: error.message.replace(/^option: /, '') }]);
  }
}

function localDay(now: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

const program = new Command('utsuwa').description('Plans a commissioned aquascape from its document.');
program.exitOverride().showHelpAfterError(false);
for (const part of Object.keys(ABOUT) as (Part | 'validate')[]) {
  program
    .command(part)
    .description(ABOUT[part])
    .argument('<file>', 'a commission document (JSON)')
    .option('--option <id>', 'another option than the chosen one')
    .option('--today <day>', 'the day against which order-by days are held, YYYY-MM-DD')
    .option('--json', 'one JSON object instead of a table')
    .action((file: string, asked: Asked) => run(part, file, asked));
}

try {
  program.parse();
} catch (error) {
  if (error instanceof RefusedError) {
    for (const { path, says } of error.faults) process.stderr.write(`${path}: ${says}\n`);
    process.exitCode = 2;
  } else if (error instanceof CommanderError) {
    process.exitCode = error.exitCode === 0 ? 0 : 2;
  } else {
    process.stderr.write(`(program): ${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  }
}
