import { ABOARD_CHECKS } from './lines/aboard';
import { ASKED_CHECKS } from './lines/asked';
import { CARD_CHECKS } from './lines/cards';
import { KIT_CHECKS } from './lines/kit';
import { PLACE_CHECKS } from './lines/place';
import { SET_UP_CHECKS } from './lines/set-up';
import { TAKE_CHECKS } from './lines/take';
import type { Check } from './types';

/** Every check that comes along. A new one is an entry in the file of what it is about. */
export const CHECKS: readonly Check[] = [
  ...KIT_CHECKS,
  ...CARD_CHECKS,
  ...PLACE_CHECKS,
  ...TAKE_CHECKS,
  ...SET_UP_CHECKS,
  ...ABOARD_CHECKS,
  ...ASKED_CHECKS,
];
