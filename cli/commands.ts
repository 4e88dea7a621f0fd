import { Command, CommanderError } from 'commander';
import { isDay } from '../core/calendar/day';
import { BUYING_AIMS } from '../core/commission/briefSchema';
import type { Commission } from '../core/commission/schema';
import { withAim } from '../core/edits/buying';
import { plan } from '../core/pipeline/plan';
import { report } from '../core/pipeline/report';
import { unknownFields } from '../core/commission/unknown';
import { optionOf } from '../core/commission/lookup';
import { readCommission, RefusedError } from './read';
import { table, type Part } from './tables';
import { inEnglish } from '../core/words/english';
import { fault } from '../core/commission/fault';
import { faultLine } from '../core/commission/faultLine';

interface Asked {
  option?: string;
  json?: boolean;
  today?: string;
  cheapest?: boolean;
  soonest?: boolean;
  fewest?: boolean;
}

const ABOUT: Record<Part | 'validate', string> = {
  validate: 'check a commission and list its findings',
  takeoff: 'what the scape takes: measured, needed, packs',
  order: 'the take-off by supplier, with order-by days',
  difference: 'what becomes of each thing in the tank as it is now: it stays, is set again or leaves',
  build: 'the build day, task by task, on a clock',
  care: 'the first eight weeks after the build',
  brief: 'what a first visit has to settle: brief, vessel and site, with their findings',
  shop: 'what is bought in shops, by shop and aisle, with sizes to look for',
  quote: 'what the client is asked, line by line, with tax',
  planting: 'where each plug goes, its light, when it closes, and what runs short',
};

/** Where the answer and what is said beside it go. */
export interface Output {
  out(text: string): void;
  say(text: string): void;
}

async function run(part: Part | 'validate', file: string, asked: Asked, { out, say }: Output): Promise<void> {
  const commission = asBought(await readCommission(file), asked);
  if (asked.today !== undefined && !isDay(asked.today))
    throw new RefusedError([fault('--today', 'fault.day', { value: asked.today })]);
  if (asked.option !== undefined) checkOption(() => optionOf(commission, asked.option));
  // Beside the answer, not in it: programs read what stands on standard output.
  for (const { path, says } of unknownFields(commission)) say(`note: ${path} ${inEnglish(says)}\n`);
  const today = asked.today ?? localDay(new Date());
  const result = plan(commission, { optionId: asked.option, today });
  const shown = part === 'validate' ? 'takeoff' : part;
  // Programs are told where each plug goes with the quantities too; a table of quantities has no room for it.
  const wanted = part === 'planting' || (asked.json && part === 'takeoff');
  const planted = wanted ? result.planted : undefined;
  if (asked.json) out(`${JSON.stringify(report(result, shown, planted), null, 2)}\n`);
  else out(table(part, commission, result, planted));
}

/** The commission as it would be bought: as the document has it unless the command line says otherwise. */
function asBought(commission: Commission, asked: Asked): Commission {
  const aims = BUYING_AIMS.filter((aim) => asked[aim]);
  if (aims.length > 1)
    throw new RefusedError([fault(`--${aims[1]}`, 'fault.aims', { other: `--${aims[0]}` })]);
  return aims[0] ? withAim(commission, aims[0]) : commission;
}

function checkOption(look: () => unknown): void {
  try {
    look();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new RefusedError([
      fault('--option', 'must.other', { says: error.message.replace(/^option: /, '') }),
    ]);
  }
}

function localDay(now: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** Does what the words of a command line ask for; returns the exit code: 0, 2 for what was asked, 1 for a fault here. */
export async function utsuwa(words: readonly string[], output: Output): Promise<number> {
  try {
    await commands(output).parseAsync(words, { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (!(error instanceof RefusedError)) {
      output.say(`(program): ${error instanceof Error ? error.message : String(error)}\n`);
      return 1;
    }
    for (const f of error.faults) output.say(`${faultLine(f)}\n`);
    return 2;
  }
}

function commands(output: Output): Command {
  const program = new Command('utsuwa').description('Plans a commissioned aquascape from its document.');
  program
    .exitOverride()
    .showHelpAfterError(false)
    .configureOutput({ writeOut: output.out, writeErr: output.say });
  for (const part of Object.keys(ABOUT) as (Part | 'validate')[]) {
    const command = program
      .command(part)
      .description(ABOUT[part])
      .argument('<file>', 'a commission: its document (JSON), or the file with its scans (zip)')
      .option('--option <id>', 'another option than the chosen one')
      .option('--today <day>', 'the day against which order-by days are held, YYYY-MM-DD')
      .option('--json', 'one JSON object instead of a table')
      .action((file: string, asked: Asked) => run(part, file, asked, output));
    if (part !== 'order') continue;
    command
      .option('--cheapest', 'suppliers chosen for the least total with carriage')
      .option('--soonest', 'suppliers chosen for the soonest day on which all is there')
      .option('--fewest', 'suppliers chosen for the fewest parcels');
  }
  return program;
}
