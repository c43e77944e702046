import { vi } from 'vitest';
import { runCommand } from '../run-command.js';
import { CliError } from '../stop.js';

/**
 * Runs a command in this process, which saves the seconds a new one takes to start; answers as `main.ts` would.
 */
export async function runHere(
  line: readonly string[],
  input = '',
): Promise<{ status: number; stdout: string; stderr: string }> {
  let stdout = '';
  const say = (text: unknown) => {
    stdout += String(text);
    return true;
  };
  const spies = [
    vi.spyOn(console, 'log').mockImplementation((text: unknown) => void say(`${String(text)}\n`)),
    vi.spyOn(process.stdout, 'write').mockImplementation(say),
  ];
  try {
    await runCommand(line, () => Promise.resolve(input));
    return { status: 0, stdout, stderr: '' };
  } catch (error) {
    if (!(error instanceof CliError)) throw error;
    return { status: error.exitCode, stdout, stderr: `tasche: ${error.message}\n` };
  } finally {
    for (const spy of spies) spy.mockRestore();
  }
}
