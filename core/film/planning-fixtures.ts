import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { deriveFilm } from './derive';
import type { FilmInput } from '../model';
import { proposalOf, withChanges, type DayProposal, dayJob, solveDay } from '../scheduler';
import type { FlightChange } from '../day';

export const seeded = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 2 ** 32;
};

let ids = 0;
export const newId = (): string => {
  ids += 1;
  return `00000000-0000-4000-8000-${String(ids).padStart(12, '0')}`;
};

/** The first day of the made-up film. */
export const DAY = '2027-05-14';
export const dayPlaces = (input: FilmInput, date = DAY): string[] =>
  input.locations.filter((l) => l.date === date).map((l) => l.id);

/** What the planner makes of a day in a few rounds. */
export const proposed = (input: FilmInput, date = DAY, rounds = 30): DayProposal => {
  const job = dayJob(input, deriveFilm(input), date);
  if (!job) throw new Error('nothing to plan');
  let left = rounds;
  return proposalOf(
    job,
    solveDay(job, seeded(1), () => {
      left -= 1;
      return left > 0;
    }),
  );
};

export const taken = (input: FilmInput, changes: readonly FlightChange[] | null): FilmInput =>
  withChanges(input, changes ?? []);

/** The film with so many packs of its large aircraft, and no charger. */
export const few = (input: FilmInput, keep: number): FilmInput => ({
  ...input,
  kit: {
    ...input.kit,
    chargers: [],
    packs: input.kit.packs.map((p) => ({
      ...p,
      retired: p.aircraftIds[0] === input.kit.aircraft[0]?.id && Number(p.name.slice(1)) > keep,
    })),
  },
});
