import type { CardMove } from '../model';

/** Something that happened to card `c`; in the order of their numbers. */
export const move = (act: CardMove['act'], more: Partial<CardMove> = {}, n = 0): CardMove => ({
  id: `m${n}`,
  cardId: 'c',
  utcMs: n,
  act,
  spot: null,
  aircraftId: null,
  gb: 0,
  copiesWanted: 2,
  waiver: '',
  ...more,
});
