import type { CardFill } from '../cards';
import type { Warning } from '../warnings';
import { bySeverity } from '../warnings';
import { cardFacts, cardWarnings, type CardFacts } from './cards';
import type { DerivedShot } from './derived';
import { contradictingTurns, failingPacks } from './rules/packs';
import type { PlaceFacts, TimedFlight } from './place';
import type { FilmInput } from './types';

/** Sums over the film: what is asked of packs and cards, and whether they are enough. */
export interface BudgetFacts {
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

const packWarnings = (input: FilmInput, packsShort: number, unfit: number): Warning[] => {
  const packs = input.kit.packs;
  if (packs.length === 0 && input.shots.length > 0)
    return [
      {
        code: 'pack.none',
        severity: 'stop',
        subject: { kind: 'film' },
        say: 'No pack comes along.',
        why: 'Flights are made of packs.',
        cures: [{ say: 'Add the packs you own to the kit, or take them along on this film.' }],
      },
    ];
  if (packsShort > 0)
    return [
      {
        code: 'pack.short',
        severity: 'stop',
        subject: { kind: 'film' },
        say: `${packsShort} pack${packsShort > 1 ? 's' : ''} short: ${unfit} shot${unfit > 1 ? 's do' : ' does'} not fit.`,
        why: 'Counted with full packs of the kind you have, in list order, reserve kept.',
        cures: [{ say: 'Bring or charge more packs, take fewer takes, or drop what only could be.' }],
      },
    ];
  return [];
};

/** Stills cost time over the same spots; nothing on the list asks for it yet. */
const stillsNote = (input: FilmInput): Warning[] =>
  !input.film.stillsWanted || input.shots.length === 0
    ? []
    : [
        {
          code: 'film.stills',
          severity: 'note',
          subject: { kind: 'film' },
          say: 'Stills are wanted too, and take time over the same spots.',
          why: 'The slates budget video only.',
          cures: [{ say: 'Give the slates that carry a still a longer set-up, or add a hold for it.' }],
        },
      ];

const timeline = (shots: ReadonlyMap<string, DerivedShot>): number =>
  [...shots.values()].reduce((sum, s) => sum + s.facts.segments.reduce((a, b) => a + b.timelineS, 0), 0);

const dates = (places: readonly PlaceFacts[]): string[] => [...new Set(places.map((p) => p.location.date))];

/** Packs used and spare on the day that uses most of them. */
const packCount = (input: FilmInput, places: readonly PlaceFacts[]) => {
  const perDay = dates(places).map(
    (date) =>
      new Set(places.filter((p) => p.location.date === date).flatMap((p) => p.flights.map((f) => f.packId)))
        .size,
  );
  const packsUsed = Math.max(0, ...perDay);
  return { packsUsed, packsSpare: Math.max(0, input.kit.packs.length - packsUsed) };
};

/** Sums the places of a film into its budget. */
export const budgetOf = (
  input: FilmInput,
  places: readonly PlaceFacts[],
  shots: ReadonlyMap<string, DerivedShot>,
): BudgetFacts => {
  const flights: TimedFlight[] = places.flatMap((p) => [...p.flights]);
  const unfit = places.flatMap((p) => p.fill.unfit);
  const cards = cardFacts(input, places, shots);
  const { fills, overBytes } = cards;
  const all = [...shots.values()];
  const packsShort = places.reduce((sum, p) => sum + p.fill.wished.length, 0);
  const sum = (of: (s: DerivedShot) => number): number => all.reduce((total, s) => total + of(s), 0);
  return {
    airborneS: flights.reduce((total, f) => total + f.seconds, 0),
    usedWh: flights.reduce((total, f) => total + f.usedWh, 0),
    recordedS: sum((s) => (s.facts.flown ? s.facts.seconds.recordedS : 0)),
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
    timelineS: timeline(shots),
    warnings: bySeverity([
      ...packWarnings(input, packsShort, unfit.length),
      ...cardWarnings(input, cards, shots),
      ...stillsNote(input),
      ...failingPacks(input.kit),
      ...contradictingTurns(input),
    ]),
  };
};
