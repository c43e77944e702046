/** Ends the command with one clear sentence and the way out, and no stack trace. */
export class CliError extends Error {
  override readonly name = 'CliError';

  constructor(
    message: string,
    readonly exitCode = 1,
  ) {
    super(message);
  }
}
