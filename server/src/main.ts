import { InvalidSettingError, readSettings } from './server-settings.js';

/**
 * The server alone, as built, for machines where a service manager starts it: `node
 * server/dist/server/src/main.js`, told by its environment
 * where everything is. The web part is served from the folder TASCHE_WEB names.
 */
async function main(): Promise<void> {
  const { databaseUrl, ...settings } = readSettings(process.env);
  const port = Number(process.env.PORT ?? 4310);
  if (databaseUrl === undefined)
    throw new InvalidSettingError('DATABASE_URL must say where the database is.');
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new InvalidSettingError(`PORT must be between 1 and 65535, got "${process.env.PORT}".`);
  // What is wrong above is said at once; the rest of the server takes some seconds to read.
  const { startServer } = await import('./start-server.js');
  const server = await startServer({
    ...settings,
    databaseUrl,
    port,
    letMachineIn: false,
    demo: false,
    ...(process.env.TASCHE_WEB && { webFolder: process.env.TASCHE_WEB }),
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void server.close().finally(() => process.exit(0)));
  console.log(`tasche: ready on http://${settings.host}:${port}`);
  if (server.firstPersonAt !== null)
    console.log(
      `tasche: nobody has an account yet. Create the first, the owner's, at:\n  ${server.firstPersonAt}`,
    );
}

main().catch((error: unknown) => {
  console.error(error instanceof InvalidSettingError ? `tasche: ${error.message}` : error);
  process.exit(error instanceof InvalidSettingError ? 2 : 1);
});
