import { measured, message, type Message } from '../messages';
import type { Card, CardMove, CardSpot } from '../model';

/** What is on a card, how often it was copied, and where it is. */
export interface CardLife {
  readonly spot: CardSpot;
  /** Aircraft it sits in; null where it sits in none. */
  readonly aircraftId: string | null;
  readonly usedGB: number;
  /** Copies of all that is on it; footage added later has none, and takes that of the whole card back. */
  readonly copies: number;
  /** Formatted since something was last recorded. */
  readonly formatted: boolean;
  /** Instant of the last thing that happened to it; null where nothing was told. */
  readonly sinceMs: number | null;
  /** Last time footage was taken off it with fewer copies than were wanted, and why; null where it never was. */
  readonly waived: { readonly utcMs: number; readonly reason: string; readonly gb: number } | null;
}

export type CardState = 'empty' | 'in-aircraft' | 'holds' | 'copied' | 'safe' | 'formatted';

/** Less than this is nothing, GB. */
const NOTHING_GB = 1e-3;

/** A card nothing was told of: what its record says is on it has no copy that anybody knows of. */
const untold = (card: Pick<Card, 'usedGB' | 'recordedGB'>): CardLife => ({
  spot: 'bag',
  aircraftId: null,
  usedGB: card.recordedGB ?? card.usedGB,
  copies: 0,
  formatted: false,
  sinceMs: null,
  waived: null,
});

/** In reading order: when two things carry the same instant, the id decides, so that every machine agrees. */
const inTime = (moves: readonly CardMove[]): CardMove[] =>
  [...moves].sort((a, b) => a.utcMs - b.utcMs || (a.id < b.id ? -1 : 1));

/** Footage an entry takes off a card: all of it by a format, the difference where less is set right. */
const goneGB = (life: CardLife, { act, gb }: Pick<CardMove, 'act' | 'gb'>): number =>
  act === 'format' ? life.usedGB : act === 'correct' ? Math.max(0, life.usedGB - gb) : 0;

/** Whether something takes footage off a card that has fewer copies than are wanted: it takes a reason. */
export const wantsReason = (
  life: CardLife,
  move: Pick<CardMove, 'act' | 'gb' | 'copiesWanted' | 'waiver'>,
): boolean => goneGB(life, move) > NOTHING_GB && life.copies < move.copiesWanted && move.waiver.trim() === '';

const gigabytes = (gb: number) => measured(gb, 'gigabytes', 1);

/** Why something cannot happen to a card as it stands; null where it can. */
export const moveFault = (
  life: CardLife,
  move: Pick<CardMove, 'act' | 'gb' | 'copiesWanted' | 'waiver'>,
  card: Pick<Card, 'name' | 'nominalGB'>,
): Message | null => {
  const { name } = card;
  const holds = life.usedGB > NOTHING_GB;
  if (wantsReason(life, move))
    return message('card.move.copies', {
      name,
      holds: gigabytes(life.usedGB),
      copies: life.copies,
      wanted: move.copiesWanted,
    });
  if (move.act === 'copy' && !holds) return message('card.move.nothing', { name });
  if (move.act === 'record' && !(move.gb > 0)) return message('card.move.how-much');
  if (move.act === 'record' && life.usedGB + move.gb > card.nominalGB)
    return message('card.move.left', {
      name,
      left: gigabytes(Math.max(0, card.nominalGB - life.usedGB)),
      recorded: gigabytes(move.gb),
    });
  if (move.act === 'correct' && move.gb > card.nominalGB)
    return message('card.move.size', {
      size: measured(card.nominalGB, 'gigabytes', 0),
      holds: gigabytes(move.gb),
    });
  return null;
};

/**
 * A card after something happened to it. What cannot happen leaves it as it was: footage is never lost by an entry, only by a
 * format that had its copies or a reason.
 */
export const after = (life: CardLife, move: CardMove, card: Pick<Card, 'name' | 'nominalGB'>): CardLife => {
  if (moveFault(life, move, card) !== null) return life;
  const moved: CardLife = {
    ...life,
    sinceMs: move.utcMs,
    ...(move.spot === null
      ? {}
      : { spot: move.spot, aircraftId: move.spot === 'aircraft' ? move.aircraftId : null }),
  };
  if (move.act === 'record') return { ...moved, usedGB: life.usedGB + move.gb, copies: 0, formatted: false };
  if (move.act === 'copy') return { ...moved, copies: life.copies + 1 };
  const early = goneGB(life, move) > NOTHING_GB && life.copies < move.copiesWanted;
  const waived = early ? { utcMs: move.utcMs, reason: move.waiver, gb: goneGB(life, move) } : life.waived;
  if (move.act === 'correct')
    return {
      ...moved,
      waived,
      usedGB: move.gb,
      copies: move.gb > life.usedGB + NOTHING_GB ? 0 : life.copies,
      formatted: false,
    };
  if (move.act === 'format') return { ...moved, waived, usedGB: 0, copies: 0, formatted: true };
  return moved;
};

/** A card as it stands, from all that was told of it. */
export const lifeOf = (
  card: Pick<Card, 'id' | 'name' | 'nominalGB' | 'usedGB' | 'recordedGB'>,
  moves: readonly CardMove[],
): CardLife =>
  inTime(moves.filter((m) => m.cardId === card.id)).reduce(
    (life, move) => after(life, move, card),
    untold(card),
  );

/** One word for how a card stands. @param copiesWanted copies footage has before its card may be formatted */
export const stateOf = (life: CardLife, copiesWanted: number): CardState => {
  if (life.usedGB > NOTHING_GB)
    return life.copies >= copiesWanted
      ? 'safe'
      : life.copies > 0
        ? 'copied'
        : life.spot === 'aircraft'
          ? 'in-aircraft'
          : 'holds';
  return life.spot === 'aircraft' ? 'in-aircraft' : life.formatted ? 'formatted' : 'empty';
};

/** GB on a card that have fewer copies than are wanted. */
export const atRiskGB = (life: CardLife, copiesWanted: number): number =>
  life.copies >= copiesWanted ? 0 : life.usedGB;

/** Cards with what is on them now in place of what their records began with. */
export const cardsNow = <C extends Card>(cards: readonly C[], moves: readonly CardMove[]): readonly C[] => {
  if (moves.length === 0) return cards;
  return cards.map((card) => {
    const { usedGB } = lifeOf(card, moves);
    return usedGB === card.usedGB ? card : { ...card, usedGB, recordedGB: card.recordedGB ?? card.usedGB };
  });
};
