import { writesFastEnough, writeNeeded } from '../cards';
import type { Card, FilmInput } from '../model';
import type { Warning } from './types';
import { shotsIn, type CardFacts, type ShotsById } from '../day';

const subject = (card: Card) => ({ kind: 'card' as const, id: card.id });

/** Highest rate that is recorded onto a card, Mbit/s. */
const peakOn = (facts: CardFacts, cardId: string, shots: ShotsById): number =>
  Math.max(
    0,
    ...facts.byFlight
      .filter((f) => f.cardId === cardId)
      .flatMap((f) => shotsIn(f.flight, shots).map((s) => s.facts.mode?.megabitsPerS ?? 0)),
  );

/** What is wrong with cards as they are planned: sizes that cannot be, cards that are too slow, footage without room. */
export const cardWarnings = (
  { kit }: Pick<FilmInput, 'kit'>,
  facts: CardFacts,
  shots: ShotsById,
): Warning[] => {
  const { overBytes, internalBytes } = facts;
  const own = kit.cards.flatMap((card): Warning[] => {
    const peak = peakOn(facts, card.id, shots);
    return [
      ...(card.usedGB > card.nominalGB
        ? [
            {
              code: 'card.impossible',
              severity: 'care' as const,
              subject: subject(card),
              say: `${card.name} holds more than its size.`,
              why: 'Used space cannot be larger than the card.',
              cures: [{ say: 'Correct its size or what is on it.' }],
            },
          ]
        : []),
      ...(peak > 0 && !writesFastEnough(card, peak)
        ? [
            {
              code: 'card.slow',
              severity: 'care' as const,
              subject: subject(card),
              say: `${card.name} is rated ${card.writeMBs.toFixed(0)} MB/s; ${peak.toFixed(0)} Mbit/s wants ${writeNeeded(peak).toFixed(0)} MB/s.`,
              why: 'Recording can stop by itself when the card falls behind.',
              cures: [{ say: 'Use a faster card, or a mode with a lower rate.' }],
            },
          ]
        : []),
    ];
  });
  const shared = facts.byFlight.filter((f) => f.shares).length;
  return [
    ...own,
    ...(shared > 0
      ? [
          {
            code: 'card.shared',
            severity: 'note' as const,
            subject: { kind: 'film' as const },
            say: `${shared === 1 ? 'A flight' : `${shared} flights`} over water or far away carr${shared === 1 ? 'ies' : 'y'} earlier footage along: no fresh card is left.`,
            why: 'An aircraft that comes down there is gone with all that is on its card.',
            cures: [{ say: 'Copy and empty a card, or bring another.' }],
          },
        ]
      : []),
    ...(internalBytes > 0
      ? [
          {
            code: 'card.internal',
            severity: 'note' as const,
            subject: { kind: 'film' as const },
            say: `${(internalBytes / 1e9).toFixed(1)} GB go into the memory of the aircraft.`,
            why: 'No card has room. It cannot be taken out: it is lost with the aircraft, and copied slowly by cable.',
            cures: [{ say: 'Bring another card.' }],
          },
        ]
      : []),
    ...(overBytes > 0
      ? [
          {
            code: 'card.full',
            severity: 'stop' as const,
            subject: { kind: 'film' as const },
            say: `${(overBytes / 1e9).toFixed(1)} GB find no room on the cards.`,
            why: '10 % of each card is kept free, and what is on them counts.',
            cures: [{ say: 'Copy and empty a card, bring another, or take fewer takes.' }],
          },
        ]
      : []),
  ];
};
