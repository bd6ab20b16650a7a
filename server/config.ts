import { resolve } from 'node:path';

export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataDir: string;
  /** Host names, besides addresses and localhost, under which the application may be called. */
  readonly names: readonly string[];
  /** Address of map tiles with {z}, {x} and {y}, or empty: then nothing is ever fetched from elsewhere. */
  readonly tiles?: string;
  /** Off where a developer starts it over and over; on where left out. */
  readonly backups?: boolean;
  readonly demo: boolean;
  readonly webDir: string;
}

const readTiles = (text: string): string => {
  if (text === '') return '';
  const url = URL.parse(text.replaceAll(/\{(z|x|y|-y)\}/g, '0'));
  if (!url || !/^https?:$/.test(url.protocol) || !['{z}', '{x}'].every((part) => text.includes(part)))
    throw new Error(
      `DUSK_TILES must be an address such as https://tiles.example/{z}/{x}/{y}.png, not “${text}”.`,
    );
  return text;
};

/** Reads DUSK_HOST, DUSK_PORT, DUSK_DATA, DUSK_NAMES and DUSK_TILES. @throws Error naming the variable that makes no sense */
export const readConfig = (env: NodeJS.ProcessEnv, args: readonly string[]): Config => {
  const port = Number(env['DUSK_PORT'] ?? 4780);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`DUSK_PORT must be a port number, not “${env['DUSK_PORT']}”.`);
  return {
    host: env['DUSK_HOST'] ?? '127.0.0.1',
    port,
    dataDir: resolve(env['DUSK_DATA'] ?? 'data'),
    names: (env['DUSK_NAMES'] ?? '')
      .split(',')
      .map((n) => n.trim().toLowerCase())
      .filter(Boolean),
    tiles: readTiles((env['DUSK_TILES'] ?? '').trim()),
    backups: env['DUSK_BACKUPS'] !== 'off',
    demo: args.includes('--demo'),
    webDir: resolve(env['DUSK_WEB'] ?? 'dist/web'),
  };
};
