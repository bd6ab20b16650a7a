import pino from 'pino';
import { demoFilm } from '@demo';
import { asksForHelp, HELP, readConfig, SettingError } from './config';
import { StartError } from './database';
import { invitationText } from './pairing/terminal';
import { start } from './start';

const run = async (): Promise<void> => {
  const args = process.argv.slice(2);
  if (asksForHelp(args)) {
    process.stdout.write(HELP);
    return;
  }
  const config = readConfig(process.env, args);
  const log = pino({ level: process.env['DUSK_LOG'] ?? 'info' }, pino.destination(2));
  const running = await start(config, log, async (films) => {
    if (config.demo && (await films.list()).length === 0) await films.importFile(demoFilm(), 'demo');
  });
  let leaving = false;
  // A key in the terminal reaches this process twice, by itself and through its starter: the second must not cut the first off.
  const leave = (): void => {
    if (leaving) return;
    leaving = true;
    void running.stop().then(() => process.exit(0));
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, leave);
  if (config.exposed)
    process.stderr.write(
      `\n  Warning: everybody who reaches ${config.host} can read and change all films. Nobody is asked for a password.\n`,
    );
  if (running.lan) process.stdout.write(await invitationText(running.lan));
  process.stdout.write(
    `\n  Dusk Slate is at ${running.address}\n  Data: ${config.dataDir}\n  Stop with Ctrl+C.\n\n`,
  );
};

run().catch((error: unknown) => {
  process.stderr.write(
    error instanceof StartError || error instanceof SettingError
      ? `\nDusk Slate cannot start.\n${error.message}\n\n`
      : `${error instanceof Error ? error.stack : String(error)}\n`,
  );
  process.exit(1);
});
