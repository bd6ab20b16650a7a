import { resolve } from 'node:path';
import { parseArgs } from 'node:util';

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
  /** Whether it is also served on the local network, over a secure connection to paired devices; one port above the other. */
  readonly lan?: boolean;
  /** Address the local network is served on; all of this machine's where left out. */
  readonly lanHost?: string;
  /** Whether it was said that others may reach the unprotected address. */
  readonly exposed?: boolean;
  readonly webDir: string;
}

const readTiles = (text: string): string => {
  if (text === '') return '';
  const url = URL.parse(text.replaceAll(/\{(z|x|y|-y)\}/g, '0'));
  if (!url || !/^https?:$/.test(url.protocol) || !['{z}', '{x}'].every((part) => text.includes(part)))
    throw new SettingError(
      `DUSK_TILES must be an address such as https://tiles.example/{z}/{x}/{y}.png, not “${text}”.`,
    );
  return text;
};

/** A setting that makes no sense; its message is one line for whoever starts the application. */
export class SettingError extends Error {}

/** What `--help` says. */
export const HELP = `Dusk Slate plans a shoot with a drone.

  --port <number>   port to listen on (DUSK_PORT, 4780)
  --host <address>  address to listen on (DUSK_HOST, 127.0.0.1)
  --data <folder>   folder of database and backups (DUSK_DATA, data)
  --lan             serves paired phones and tablets on the local network, over HTTPS on the next port (DUSK_LAN=on)
  --open            listens on an address that others can reach although nobody is asked for a password there
  --demo            puts in a made-up film where there is none
  --help            says this
`;

const OPTIONS = {
  port: { type: 'string' },
  host: { type: 'string' },
  data: { type: 'string' },
  demo: { type: 'boolean', default: false },
  lan: { type: 'boolean', default: false },
  open: { type: 'boolean', default: false },
  help: { type: 'boolean', default: false },
} as const;

const optionsOf = (args: readonly string[]) => {
  try {
    return parseArgs({ args: [...args], options: OPTIONS }).values;
  } catch (error) {
    throw new SettingError(`${error instanceof Error ? error.message : String(error)} See --help.`);
  }
};

/** Whether somebody only asks what the settings are. */
export const asksForHelp = (args: readonly string[]): boolean => optionsOf(args).help;

const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|::1)$/;

/** Address to listen on; one that others reach is only taken when it is said twice. */
const hostOf = (host: string, open: boolean): string => {
  if (!LOOPBACK.test(host) && !open)
    throw new SettingError(
      `On ${host} everybody on the network could read and change all films: nobody is asked for a password. Use --lan for your own phone, or add --open if that is what you want.`,
    );
  return host;
};

/**
 * Reads the options of the command line, then DUSK_HOST, DUSK_PORT, DUSK_DATA, DUSK_NAMES and DUSK_TILES. A folder that is not
 * absolute counts from where the person stands, which npm names in INIT_CWD.
 * @throws SettingError naming the setting that makes no sense
 */
export const readConfig = (env: NodeJS.ProcessEnv, args: readonly string[]): Config => {
  const options = optionsOf(args);
  const asked = options.port ?? env['DUSK_PORT'] ?? '4780';
  const port = /^\d+$/.test(asked) ? Number(asked) : NaN;
  if (!Number.isInteger(port) || port > 65_535)
    throw new SettingError(
      `${options.port === undefined ? 'DUSK_PORT' : '--port'} must be a port number, not “${asked}”.`,
    );
  const folder = options.data ?? env['DUSK_DATA'];
  return {
    host: hostOf(options.host ?? env['DUSK_HOST'] ?? '127.0.0.1', options.open),
    port,
    dataDir: folder === undefined ? resolve('data') : resolve(env['INIT_CWD'] ?? process.cwd(), folder),
    names: (env['DUSK_NAMES'] ?? '')
      .split(',')
      .map((n) => n.trim().toLowerCase())
      .filter(Boolean),
    tiles: readTiles((env['DUSK_TILES'] ?? '').trim()),
    backups: env['DUSK_BACKUPS'] !== 'off',
    demo: options.demo,
    lan: options.lan || env['DUSK_LAN'] === 'on',
    exposed: options.open,
    webDir: resolve(env['DUSK_WEB'] ?? 'dist/web'),
  };
};
