import { measured, message } from '../messages';
import { writesFastEnough, writeNeeded } from '../cards';
import type { Card, FilmInput } from '../model';
import type { Warning } from './types';
import { shotsIn, type CardFacts, type ShotsById } from '../day';
import { recordedMbits } from '../shot';

const onCard = (card: Card) => ({ kind: 'card' as const, id: card.id });
const onFilm = { kind: 'film' } as const;

/** Highest rate that is recorded onto a card, Mbit/s. */
const peakOn = (facts: CardFacts, cardId: string, shots: ShotsById): number =>
  Math.max(
    0,
    ...facts.byFlight
      .filter((f) => f.cardId === cardId)
      .flatMap((f) =>
        shotsIn(f.flight, shots)
          .filter((s) => !s.facts.trajectory?.frames)
          .map((s) => s.facts.mode?.megabitsPerS ?? 0),
      ),
  );

/** More on a card than its size. */
const impossible = (card: Card): Warning | null =>
  card.usedGB <= card.nominalGB
    ? null
    : {
        code: 'card.impossible',
        severity: 'care',
        subject: onCard(card),
        say: message('card.impossible.say', { card: card.name }),
        why: message('card.impossible.why'),
        cures: [{ say: message('card.impossible.cure') }],
      };

/** A card that falls behind the bitrate of what is recorded onto it. */
const slow = (card: Card, peakMbits: number): Warning | null =>
  peakMbits <= 0 || writesFastEnough(card, peakMbits)
    ? null
    : {
        code: 'card.slow',
        severity: 'care',
        subject: onCard(card),
        say: message('card.slow.say', {
          card: card.name,
          write: measured(card.writeMBs, 'megabytesPerSecond', 0),
          peak: measured(peakMbits, 'megabits', 0),
          peak2: measured(writeNeeded(peakMbits), 'megabytesPerSecond', 0),
        }),
        why: message('card.slow.why'),
        cures: [{ say: message('card.slow.cure') }],
      };

/** Single frames that come faster than their card writes: the camera waits, and the interval is not what was asked for. */
const tooManyFrames = (card: Card, facts: CardFacts, shots: ShotsById): Warning[] =>
  facts.byFlight
    .filter((f) => f.cardId === card.id)
    .flatMap((f) => shotsIn(f.flight, shots))
    .flatMap((s): Warning[] => {
      const { shot, trajectory } = s.facts;
      const frames = trajectory?.frames;
      const mbits = recordedMbits(s.facts);
      if (!frames || writesFastEnough(card, mbits)) return [];
      const wanted = writeNeeded(mbits);
      // To the next half second, as intervals are dialled.
      const everyS = Math.ceil((frames.everyS * wanted * 2) / card.writeMBs) / 2;
      return [
        {
          code: 'card.frames',
          severity: 'care',
          subject: { kind: 'shot', id: shot.id },
          say: message('card.frames.say', {
            card: card.name,
            write: measured(card.writeMBs, 'megabytesPerSecond', 0),
            wanted: measured(wanted, 'megabytesPerSecond', 0),
          }),
          why: message('card.frames.why'),
          cures: [
            {
              say: message('card.frames.cure', { every: measured(everyS, 'seconds', 1) }),
              set: {
                entity: 'shot',
                id: shot.id,
                fields: {
                  move: {
                    ...shot.move,
                    values: {
                      ...shot.move.values,
                      [frames.by === 'interval' ? 'intervalS' : 'eachS']: everyS,
                    },
                  },
                },
              },
            },
          ],
        },
      ];
    });

/** Flights over water or far away that carry earlier footage. */
const shared = ({ byFlight }: CardFacts): Warning | null => {
  const flights = byFlight.filter((f) => f.shares).length;
  return flights === 0
    ? null
    : {
        code: 'card.shared',
        severity: 'note',
        subject: onFilm,
        say: message('card.shared.say', { shared: flights }),
        why: message('card.shared.why'),
        cures: [{ say: message('card.shared.cure') }],
      };
};

/** Footage that goes into the memory of the aircraft. */
const internal = ({ internalBytes }: CardFacts): Warning | null =>
  internalBytes <= 0
    ? null
    : {
        code: 'card.internal',
        severity: 'note',
        subject: onFilm,
        say: message('card.internal.say', { internalBytes: measured(internalBytes / 1e9, 'gigabytes', 1) }),
        why: message('card.internal.why'),
        cures: [{ say: message('card.internal.cure') }],
      };

/** Footage that has no room at all. */
const full = ({ overBytes }: CardFacts): Warning | null =>
  overBytes <= 0
    ? null
    : {
        code: 'card.full',
        severity: 'stop',
        subject: onFilm,
        say: message('card.full.say', { overBytes: measured(overBytes / 1e9, 'gigabytes', 1) }),
        why: message('card.full.why'),
        cures: [{ say: message('card.full.cure') }],
      };

/** What is wrong with cards as they are planned: sizes that cannot be, cards that are too slow, footage without room. */
export const cardWarnings = (
  { kit }: Pick<FilmInput, 'kit'>,
  facts: CardFacts,
  shots: ShotsById,
): Warning[] =>
  [
    ...kit.cards.flatMap((card) => [
      impossible(card),
      slow(card, peakOn(facts, card.id, shots)),
      ...tooManyFrames(card, facts, shots),
    ]),
    shared(facts),
    internal(facts),
    full(facts),
  ].filter((w): w is Warning => w !== null);
