import { runCommand } from './run-command.js';
import { CliError } from './stop.js';

async function standardInput(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

runCommand(process.argv.slice(2), standardInput).catch((error: unknown) => {
  if (error instanceof CliError) {
    console.error(`tasche: ${error.message}`);
    process.exit(error.exitCode);
  }
  if ((error as NodeJS.ErrnoException).code === 'ENOSPC') {
    console.error('tasche: the disk is full. Free some space and try again; nothing half-written was kept.');
    process.exit(1);
  }
  console.error(error);
  process.exit(1);
});
