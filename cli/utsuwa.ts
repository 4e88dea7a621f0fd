import { utsuwa } from './commands';

/* npm run utsuwa -- COMMAND FILE: the plan in a terminal. */
process.exitCode = await utsuwa(process.argv.slice(2), {
  out: (text) => void process.stdout.write(text),
  say: (text) => void process.stderr.write(text),
});
