import { message } from '../../messages';
import type { Check } from '../types';

const asks = (
  moment: Check['moment'],
  scope: Check['scope'],
  list: readonly (readonly [code: string, safety: boolean])[],
): Check[] =>
  list.map(([code, safety]) => ({
    code,
    moment,
    scope,
    safety,
    asks: message(`check.${code}.asks`),
    protects: message(`check.${code}.protects`),
  }));

/** What only a person can know. In the order one does it. */
export const ASKED_CHECKS: readonly Check[] = [
  ...asks('days-before', 'day', [
    ['rule', true],
    ['weather', false],
    ['crewed', true],
  ]),
  ...asks('evening-before', 'day', [
    ['informed', false],
    ['cards-empty', false],
    ['offline', false],
  ]),
  ...asks('leaving-home', 'day', [
    ['packs-case', true],
    ['cards-case', false],
    ['bag', false],
  ]),
  ...asks('launch-point', 'place', [
    ['propellers', true],
    ['gimbal', false],
    ['home-point', true],
    ['satellites', true],
    ['phone', false],
    ['people', true],
    ['animals', true],
    ['listen', true],
    ['wind-felt', true],
  ]),
  ...asks('after-landing', 'flight', [['aircraft-after', true]]),
  ...asks('leaving-place', 'place', [
    ['ground-clear', false],
    ['thanks', false],
  ]),
  ...asks('at-home', 'day', [
    ['looked-through', true],
    ['reset', false],
    ['packs-out', true],
  ]),
];
