import pino from 'pino';
import { demoFilm } from '@demo';
import { readConfig } from './config';
import { StartError } from './database';
import { start } from './start';

const run = async (): Promise<void> => {
  const config = readConfig(process.env, process.argv.slice(2));
  const log = pino({ level: process.env['DUSK_LOG'] ?? 'info' }, pino.destination(2));
  const running = await start(config, log, async (films) => {
    if (config.demo && (await films.list()).length === 0) await films.importFile(demoFilm(), 'demo');
  });
  const leave = (): void => {
    void running.stop().then(() => process.exit(0));
  };
  process.once('SIGINT', leave);
  process.once('SIGTERM', leave);
  process.stdout.write(
    `\n  Dusk Slate is at ${running.address}\n  Data: ${config.dataDir}\n  Stop with Ctrl+C.\n\n`,
  );
};

run().catch((error: unknown) => {
  process.stderr.write(
    error instanceof StartError
      ? `\nDusk Slate cannot start.\n${error.message}\n\n`
      : `${error instanceof Error ? error.stack : String(error)}\n`,
  );
  process.exit(1);
});
