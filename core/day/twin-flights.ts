import type { CardMove, FlightLogEntry, Pack, RowChange } from '../model';
import { endOfFlown } from './pack-day';

/** Two entries that cannot both be right: one pack in the air twice at a time. The earlier take-off first. */
export interface TwinFlights {
  readonly first: FlightLogEntry;
  readonly second: FlightLogEntry;
}

/** Share of the shorter flight that both must have been in the air: a clock or a thumb may be a little out. Own choice. */
const SHARED = 0.5;
/** How far from a landing what was recorded is entered, ms. */
const NEAR_MS = 120_000;

const sharedMs = (a: FlightLogEntry, b: FlightLogEntry): number =>
  Math.min(endOfFlown(a), endOfFlown(b)) - Math.max(a.utcMs, b.utcMs);

/** Flights that two people logged, or one person twice: each of them with the next one like it. */
export const twinFlights = (log: readonly FlightLogEntry[]): readonly TwinFlights[] => {
  const flown = log.filter((f) => !f.simulated).sort((a, b) => a.utcMs - b.utcMs || (a.id < b.id ? -1 : 1));
  return flown.flatMap((first, i) => {
    const second = flown
      .slice(i + 1)
      .find(
        (f) =>
          f.packId === first.packId &&
          sharedMs(first, f) > SHARED * Math.min(first.minutes, f.minutes) * 60_000,
      );
    return second ? [{ first, second }] : [];
  });
};

/** What the second entry put onto a card that the first had put there already. */
const recordedTwice = (
  moves: readonly CardMove[],
  kept: FlightLogEntry,
  dropped: FlightLogEntry,
): CardMove | undefined => {
  const near = (f: FlightLogEntry): readonly CardMove[] =>
    moves.filter((m) => m.act === 'record' && Math.abs(m.utcMs - endOfFlown(f)) <= NEAR_MS);
  const own = near(kept);
  const last = near(dropped).at(-1);
  const other = own.find((m) => m.id !== last?.id && m.cardId === last?.cardId);
  return last && other ? last : undefined;
};

/**
 * Takes one of two entries of the same flight out of the log, with what it did: a cycle of its pack, and footage that was counted
 * twice. The pack stands as the entry that is kept says, unless it has flown since.
 */
export const withoutTwin = (
  kept: FlightLogEntry,
  dropped: FlightLogEntry,
  log: readonly FlightLogEntry[],
  pack: Pack | undefined,
  moves: readonly CardMove[],
): RowChange<'flightLogEntry' | 'pack' | 'cardMove'>[] => {
  const twice = recordedTwice(moves, kept, dropped);
  const flownSince = log.some(
    (f) => f.packId === kept.packId && f.utcMs > Math.max(kept.utcMs, dropped.utcMs) && !f.simulated,
  );
  return [
    { kind: 'flightLogEntry', id: dropped.id, after: null },
    ...(pack
      ? [
          {
            kind: 'pack' as const,
            id: pack.id,
            after: {
              ...pack,
              cycles: Math.max(0, pack.cycles - 1),
              charge: flownSince ? pack.charge : kept.endShare,
            },
          },
        ]
      : []),
    ...(twice ? [{ kind: 'cardMove' as const, id: twice.id, after: null }] : []),
  ];
};
