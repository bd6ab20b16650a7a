import type { Sequelize } from 'sequelize';
import { inTransaction, read } from '../database';
import { rewriteBodies, rewriteLog } from './rewrite';

type Row = Record<string, unknown>;

/** Checks that were asked about a whole flight, as they were when this was written; their answers hung on a shot of it. */
const FLIGHT_CHECKS_0008: readonly unknown[] = ['card-in', 'card-change', 'pack-after', 'logged'];

/** The log says how a flight went under the trade's word. */
const entry = ({ verdict, ...rest }: Row): Row =>
  verdict === undefined ? rest : { ...rest, outcome: verdict === 'trouble' ? 'incident' : verdict };

const flightOfShot = async (sequelize: Sequelize): Promise<Map<unknown, string>> => {
  const flights = await read<{ id: string; body: string }>(sequelize, 'SELECT id, body FROM flights', {});
  const found = new Map<unknown, string>();
  for (const { id, body } of flights)
    for (const stop of (JSON.parse(body) as { stops?: { shotId: string }[] }).stops ?? [])
      found.set(stop.shotId, id);
  return found;
};

/**
 * The flight log gets its name, and answers about a flight hang on the flight. An answer about a flight that only followed from
 * list order keeps its shot: it counts for the flight that has this shot.
 */
export const flightLogAndFlightIds = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await sequelize.query('ALTER TABLE flown RENAME TO flight_log');
    await sequelize.query('DROP INDEX flown_film');
    await sequelize.query('CREATE INDEX flight_log_film ON flight_log(film_id)');
    await sequelize.query("UPDATE change_log SET kind = 'flightLogEntry' WHERE kind = 'flown'");
    await rewriteBodies(sequelize, 'flight_log', entry);

    const flights = await flightOfShot(sequelize);
    const answer = (row: Row): Row => {
      const flightId = FLIGHT_CHECKS_0008.includes(row['checkId'])
        ? (flights.get(row['shotId']) ?? null)
        : null;
      return { ...row, flightId, shotId: flightId === null ? (row['shotId'] ?? null) : null };
    };
    await rewriteBodies(sequelize, 'answers', answer);
    await rewriteLog(sequelize, ['flightLogEntry', 'answer'], (kind, value) =>
      kind === 'answer' ? answer(value) : entry(value),
    );
  });
