import type { AnyRow } from '@contract';
import { v4 as uuid } from 'uuid';
import { pick, seeded, type Outcome } from './outcome';

type Shot = Extract<AnyRow, { kind: 'shot' }>;

/** Clients change one thing on one version at once: one of them wins, the others are told, and nothing else is stored. */
export const races = async (address: string, tries: number, seed = 1): Promise<Outcome> => {
  const random = seeded(seed);
  const { films } = (await (await fetch(`${address}/api/films`)).json()) as { films: { id: string }[] };
  const film = films[0]?.id ?? '';
  const read = async (): Promise<Shot[]> =>
    ((await (await fetch(`${address}/api/films/${film}`)).json()) as { rows: AnyRow[] }).rows.filter(
      (r): r is Shot => r.kind === 'shot',
    );
  const faults: string[] = [];
  const shots = new Map((await read()).map((s) => [s.value.id, s]));
  const ids = [...shots.keys()];
  let told = 0;
  for (let round = 0; round < tries; round += 1) {
    const shot = shots.get(pick(random, ids));
    if (!shot) continue;
    const clients = 2 + Math.floor(random() * 3);
    const answers = await Promise.all(
      Array.from({ length: clients }, async (_, client) => {
        const value = { ...shot.value, notes: `${round} by ${client}` };
        const change = { kind: 'shot', id: shot.value.id, version: shot.version, value };
        const body = JSON.stringify({ batch: uuid(), device: `client ${client}`, changes: [change] });
        const send = () =>
          fetch(`${address}/api/changes`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body,
          });
        const first = await send();
        // An answer that was lost: the same batch again must change nothing more.
        const again = random() < 0.1 ? await send() : first;
        if (again.status !== first.status)
          faults.push(`round ${round}: ${first.status}, then ${again.status} for the same batch`);
        return { status: first.status, notes: value.notes };
      }),
    );
    const won = answers.filter((a) => a.status === 200);
    told += answers.filter((a) => a.status === 409).length;
    if (won.length !== 1) faults.push(`round ${round}: ${won.length} of ${clients} won`);
    const [winner] = won;
    const after = {
      ...shot,
      version: shot.version + 1,
      value: { ...shot.value, notes: winner?.notes ?? '' },
    };
    shots.set(shot.value.id, after as Shot);
  }
  for (const stored of await read()) {
    const expected = shots.get(stored.value.id);
    if (stored.version !== expected?.version || stored.value.notes !== expected.value.notes)
      faults.push(`shot ${stored.value.title}: version ${stored.version}, “${stored.value.notes}” is stored`);
  }
  return { name: 'races', tries, faults, figures: { 'told of a conflict': String(told) } };
};
