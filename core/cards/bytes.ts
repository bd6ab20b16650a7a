import type { Card } from '../model';

const GB = 1e9;
/** Share of a card's nominal size that can be written to. */
export const USABLE_SHARE = 0.97;
/** Share of a card's size that planning leaves free. */
export const KEEP_FREE_SHARE = 0.1;
/** Head room a card's rated minimum write needs over the mode's rate. */
export const WRITE_MARGIN = 1.25;

/** Bytes of recorded video: Mbit/s·1e6/8·s. */
export const videoBytes = (megabitsPerS: number, seconds: number): number =>
  (megabitsPerS * 1e6 * seconds) / 8;

/** Room on a card for planning: (nominal·0.97·0.9 − used), bytes; never below zero. */
export const plannableBytes = (card: Pick<Card, 'nominalGB' | 'usedGB'>): number =>
  Math.max(0, card.nominalGB * GB * USABLE_SHARE * (1 - KEEP_FREE_SHARE) - card.usedGB * GB);

/** Seconds of a mode that fit on a card. */
export const plannableSeconds = (card: Pick<Card, 'nominalGB' | 'usedGB'>, megabitsPerS: number): number =>
  plannableBytes(card) / videoBytes(megabitsPerS, 1);

/** Sustained write a mode needs, MB/s: bitrate/8·1.25. */
export const writeNeeded = (megabitsPerS: number): number => (megabitsPerS / 8) * WRITE_MARGIN;

export const writesFastEnough = (card: Pick<Card, 'writeMBs'>, megabitsPerS: number): boolean =>
  card.writeMBs >= writeNeeded(megabitsPerS);

/** What is planned onto a card. */
export interface CardFill {
  readonly cardId: string;
  readonly bytes: number;
  readonly roomBytes: number;
}
