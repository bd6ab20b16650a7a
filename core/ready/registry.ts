import { ASKED_CHECKS } from './checks/asked';
import { CARD_CHECKS } from './checks/cards';
import { KIT_CHECKS } from './checks/kit';
import { PLACE_CHECKS } from './checks/place';
import { TAKE_CHECKS } from './checks/take';
import type { Check } from './types';

/** Every check that comes along. A new one is an entry in the file of what it is about. */
export const CHECKS: readonly Check[] = [
  ...KIT_CHECKS,
  ...CARD_CHECKS,
  ...PLACE_CHECKS,
  ...TAKE_CHECKS,
  ...ASKED_CHECKS,
];
