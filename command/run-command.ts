import { parseArgs } from 'node:util';
import { CliError } from './stop.js';

const USAGE = `tasche: spec sheets, ladders and club swaps

  ./tasche demo          everything, with the Meridian Swing demo data, on http://127.0.0.1:4310
  ./tasche start         the same without demo data
      --port N           another port
      --data DIR         another data folder (default .tasche beside this command)
      --reset            empties the data folder first
  ./tasche build         both parts, for machines that only run it: docs/several-machines.md
  ./tasche test          every check; the files of which the unit tests run less than half of the lines; at the
                         end what failed by name, and the counts
      --only PART        types, lint, imports, unit, fuzz or browser
      --coverage         those files with --only unit too
  ./tasche backup FILE   everything, into one file; also while Tasche runs
      --data DIR         of another data folder
      --schedule         prints what has the system's own timer do it every night
  ./tasche restore FILE  a backup, into an empty data folder (--data DIR, --reset)
  ./tasche downgrade MIGRATION FILE   the database as an earlier version knows it; a backup in FILE first
  ./tasche reset-link MAIL   an address where that person sets a new password
  ./tasche calc NAME     JSON in, JSON out, by the core alone: gaps, flight, carry, conditions, needs,
                         choose, travel, remedies, basket or bend
  ./tasche bench         the speed figures
      --only PART        gaps, flight, choosing, rounds, travel, morning, load, sheet, browser, range or large
  ./tasche fuzz          20,000 requests made by chance against a server of its own
      --kills            instead: ends server and database at random moments while clients write
      --seed N           other chances
  ./tasche drill         several machines within this one: kills and cuts them while clients work (root; 25 minutes)
      --rounds N         how often each fault (3)
      --only TEXT        only faults with this in their name
      --recovery         instead: back to a moment before a mistake, with pgBackRest
  ./tasche validate      holds the core to published and remembered numbers: docs/validation.md
  ./tasche fit           fits the ball's drag and lift to the stock tables again, and says how well
  ./tasche usual-rounds  plays the usual courses again, for what an ordinary round asks of a player
  ./tasche screenshots   the pictures of docs/screenshots, from the demo data

DATABASE_URL in the environment uses that PostgreSQL and starts none.`;

/**
 * Does what one line after `./tasche` asks for.
 * @param line its words
 * @param input what `calc` reads
 * @throws CliError what stands in the way, in one sentence
 */
export async function runCommand(line: readonly string[], input: () => Promise<string>): Promise<void> {
  const { values, positionals } = readArguments(line);
  const [name, ...rest] = positionals;
  if (values.help || name === undefined || name === 'help') {
    console.log(USAGE);
    return;
  }
  switch (name) {
    case 'demo':
    case 'start': {
      const { serve } = await import('./serve.js');
      return serve({
        demo: name === 'demo',
        port: readPort(values.port),
        data: values.data,
        reset: values.reset ?? false,
      });
    }
    case 'build': {
      const { buildServer, buildWeb } = await import('./build.js');
      const [web, server] = await Promise.all([buildWeb(process.cwd()), buildServer(process.cwd())]);
      console.log(`tasche: built ${web} and ${server}`);
      return;
    }
    case 'backup': {
      const { backup, scheduleWords } = await import('./backup.js');
      if (values.schedule) console.log(scheduleWords(rest[0], values.data));
      else await backup(rest[0], values.data);
      return;
    }
    case 'restore':
      return (await import('./backup.js')).restore(rest[0], values.data, values.reset ?? false);
    case 'downgrade':
      return (await import('./downgrade.js')).downgrade(rest[0], rest[1], values.data);
    case 'reset-link':
      return (await import('./reset-link.js')).resetLink(rest[0], values.data);
    case 'calc':
      return (await import('./calc.js')).calc(rest[0], input);
    case 'test':
      return (await import('./test.js')).test(values.only, values.coverage ?? values.only === undefined);
    case 'validate':
      return (await import('./validate.js')).validate();
    case 'bench':
      return (await import('./bench.js')).bench(values.only);
    case 'fit':
      return (await import('./fit-flight.js')).fitFlight();
    case 'usual-rounds':
      (await import('./usual-rounds.js')).usualRounds();
      return;
    case 'fuzz':
      return (await import('./fuzz.js')).fuzz({
        kills: values.kills ?? false,
        seed: Number(values.seed ?? 1),
      });
    case 'drill':
      if (values.recovery) {
        console.log(await (await import('./drill/point-in-time.js')).pointInTime());
        return;
      }
      return (await import('./drill.js')).drill({
        rounds: Number(values.rounds ?? 3),
        seed: Number(values.seed ?? 1),
        only: values.only,
      });
    case 'screenshots':
      return (await import('./screenshots.js')).screenshots();
    default:
      throw new CliError(`there is no "${name}" here.\n\n${USAGE}`, 2);
  }
}

function readArguments(line: readonly string[]) {
  try {
    return parseArgs({
      args: [...line],
      allowPositionals: true,
      options: {
        port: { type: 'string' },
        data: { type: 'string' },
        reset: { type: 'boolean' },
        only: { type: 'string' },
        coverage: { type: 'boolean' },
        kills: { type: 'boolean' },
        schedule: { type: 'boolean' },
        seed: { type: 'string' },
        rounds: { type: 'string' },
        recovery: { type: 'boolean' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new CliError(`${(error as Error).message}\n\n${USAGE}`, 2);
  }
}

function readPort(text: string | undefined): number {
  const port = Number(text ?? 4310);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new CliError(`--port must be between 1 and 65535, got "${text}".`, 2);
  return port;
}
