import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import { floods } from './floods';
import { fuzz } from './fuzz';
import { ended, kills, startProcess } from './kills';
import type { Outcome } from './outcome';
import { power } from './power';
import { races } from './races';

const PROGRAM = 'dist/server/main.mjs';
const { values } = parseArgs({
  options: {
    power: { type: 'string', default: '1000' },
    kills: { type: 'string', default: '100' },
    races: { type: 'string', default: '2000' },
    requests: { type: 'string', default: '20000' },
    connections: { type: 'string', default: '500' },
    seed: { type: 'string', default: '1' },
  },
});
const seed = Number(values.seed);

/** Attacks the built application on this machine's own address, with data of its own. */
const dataDir = await mkdtemp(join(tmpdir(), 'dusk-attack-'));
const outcomes: Outcome[] = [];
const report = (outcome: Outcome): void => {
  outcomes.push(outcome);
  const figures = Object.entries(outcome.figures).map(([name, value]) => `${name} ${value}`);
  console.log(
    `${outcome.name.padEnd(10)} ${String(outcome.tries).padStart(7)}  faults ${outcome.faults.length}  ${figures.join(' · ')}`,
  );
  for (const fault of outcome.faults.slice(0, 10)) console.log(`           ${fault}`);
};
/** Memory the server holds when all is over and it has come to rest, MB. */
const MOST_MB = 200;
const REST_MS = 10_000;
const memory = async (pid: number | undefined): Promise<Outcome> => {
  const taken = async (name: string): Promise<number> => {
    // Only Linux tells it by a file; elsewhere nothing is judged.
    const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '');
    return Math.round(Number(new RegExp(`${name}:\\s+(\\d+) kB`).exec(status)?.[1]) / 1000);
  };
  const busy = await taken('VmRSS');
  await setTimeout(REST_MS);
  const rest = await taken('VmRSS');
  return {
    name: 'memory',
    tries: 1,
    faults: rest > MOST_MB ? [`${rest} MB are held, more than ${MOST_MB}`] : [],
    figures: { 'at rest': `${rest} MB`, before: `${busy} MB`, 'at most': `${await taken('VmHWM')} MB` },
  };
};
report(await power(PROGRAM, join(dataDir, 'power'), Number(values.power), seed));
report(await kills(PROGRAM, join(dataDir, 'kills'), Number(values.kills), seed));
const { child, address } = await startProcess(PROGRAM, join(dataDir, 'run'));
report(await races(address, Number(values.races), seed));
report(await fuzz(address, Number(values.requests), seed));
report(await floods(address, Number(values.connections), 200));
report(await memory(child.pid));
const code = await ended(child, 'SIGTERM');
await rm(dataDir, { recursive: true, force: true });
const faults = outcomes.reduce((sum, o) => sum + o.faults.length, 0) + (code === 0 ? 0 : 1);
console.log(faults === 0 ? '\nNothing lost, nothing overwritten, nothing broken.' : `\n${faults} faults.`);
process.exitCode = faults === 0 ? 0 : 1;
