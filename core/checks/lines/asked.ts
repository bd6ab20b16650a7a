import { message } from '../../messages';
import type { Check } from '../types';

const askedChecks = (
  moment: Check['moment'],
  scope: Check['scope'],
  list: readonly (readonly [code: string, safety: boolean])[],
): Check[] =>
  list.map(([code, safety]) => ({
    code,
    moment,
    scope,
    safety,
    prompt: message(`check.${code}.asks`),
    protects: message(`check.${code}.protects`),
  }));

/** What only a person can know. In the order one does it. */
export const ASKED_CHECKS: readonly Check[] = [
  ...askedChecks('days-before', 'day', [
    ['rule', true],
    ['weather', false],
    ['crewed', true],
  ]),
  ...askedChecks('evening-before', 'day', [
    ['informed', false],
    ['cards-empty', false],
    ['offline', false],
  ]),
  ...askedChecks('leaving-home', 'day', [
    ['packs-case', true],
    ['cards-case', false],
    ['bag', false],
  ]),
  ...askedChecks('launch-point', 'place', [
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
  ...askedChecks('after-landing', 'flight', [
    ['aircraft-after', true],
    ['glass-after', false],
  ]),
  ...askedChecks('leaving-place', 'place', [
    ['ground-clear', false],
    ['thanks', false],
  ]),
  ...askedChecks('at-home', 'day', [
    ['looked-through', true],
    ['reset', false],
    ['packs-out', true],
  ]),
];
