import type { CardFill } from '../cards';
import { type Warning, filmWarnings } from '../warnings';
import { cardFacts, type CardFacts, type LocationPlan, type TimedFlight } from '../day';
import type { DerivedShot } from './derived';
import type { FilmInput } from '../model';
import { secondsOf } from '../shot';

/** Sums over the film: what is asked of packs and cards, and whether they are enough. */
export interface FilmTotals {
  readonly airborneS: number;
  readonly usedWh: number;
  readonly recordedS: number;
  readonly bytes: number;
  readonly cardRoomBytes: number;
  readonly cardOverBytes: number;
  readonly cardFills: readonly CardFill[];
  readonly cards: CardFacts;
  readonly packsUsed: number;
  readonly packsSpare: number;
  /** Packs that would have to be added for every shot to fit. */
  readonly packsShort: number;
  readonly shotsFitting: number;
  readonly shotsUnfit: number;
  readonly mustsUnfit: number;
  readonly timelineS: number;
  readonly warnings: readonly Warning[];
}

/** Seconds of the cut: what is flown, and what is filmed from the ground. */
const timeline = (shots: ReadonlyMap<string, DerivedShot>, { groundShots }: FilmInput): number =>
  [...shots.values()].reduce((sum, s) => sum + secondsOf(s.facts.segments), 0) +
  groundShots.reduce((sum, g) => sum + g.timelineS, 0);

const dates = (places: readonly LocationPlan[]): string[] => [...new Set(places.map((p) => p.location.date))];

/** Packs used and spare on the day that uses most of them. */
const packCount = (input: FilmInput, places: readonly LocationPlan[]) => {
  const perDay = dates(places).map(
    (date) =>
      new Set(places.filter((p) => p.location.date === date).flatMap((p) => p.flights.map((f) => f.packId)))
        .size,
  );
  const packsUsed = Math.max(0, ...perDay);
  return { packsUsed, packsSpare: Math.max(0, input.kit.packs.length - packsUsed) };
};

/** Sums the places of a film into its budget. */
export const totalsOf = (
  input: FilmInput,
  places: readonly LocationPlan[],
  shots: ReadonlyMap<string, DerivedShot>,
): FilmTotals => {
  const flights: TimedFlight[] = places.flatMap((p) => [...p.flights]);
  const unfit = places.flatMap((p) => p.fill.unfit);
  const cards = cardFacts(input, places, shots);
  const { fills, overBytes } = cards;
  const all = [...shots.values()];
  const packsShort = places.reduce((sum, p) => sum + p.fill.hypothetical.length, 0);
  const sum = (of: (s: DerivedShot) => number): number => all.reduce((total, s) => total + of(s), 0);
  return {
    airborneS: flights.reduce((total, f) => total + f.seconds, 0),
    usedWh: flights.reduce((total, f) => total + f.usedWh, 0),
    recordedS: sum((s) => (s.facts.trajectory ? s.facts.seconds.recordedS : 0)),
    bytes: sum((s) => s.facts.bytes),
    cardRoomBytes: fills.reduce((total, f) => total + f.roomBytes, 0),
    cardOverBytes: overBytes,
    cardFills: fills,
    cards,
    ...packCount(input, places),
    packsShort,
    shotsFitting: all.length - unfit.length,
    shotsUnfit: unfit.length,
    mustsUnfit: unfit.filter((u) => shots.get(u.shotId)?.facts.shot.priority === 'must').length,
    timelineS: timeline(shots, input),
    warnings: filmWarnings(input, packsShort, unfit.length, cards, shots),
  };
};
