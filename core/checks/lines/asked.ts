import type { Check } from '../types';

const asks = (
  moment: Check['moment'],
  scope: Check['scope'],
  list: readonly (readonly [code: string, asks: string, protects: string, safety?: boolean])[],
): Check[] =>
  list.map(([code, text, protects, safety = false]) => ({
    code,
    moment,
    scope,
    safety,
    asks: text,
    protects,
  }));

/** What only a person can know. In the order one does it. */
export const ASKED_CHECKS: readonly Check[] = [
  ...asks('days-before', 'day', [
    [
      'rule',
      'The local rule is looked up for this place and this date: zones, heights, distances, what has to be told to whom.',
      'Everybody. Rules differ by country and change; this program knows none of them.',
      true,
    ],
    [
      'weather',
      'The weather is looked at: wind at height, rain, fog, storms.',
      'A day that should have been another.',
    ],
    [
      'crewed',
      'Crewed air traffic near the place is known: airfields, helicopters, air ambulance, gliders.',
      'People in other aircraft. They have the right of way.',
      true,
    ],
  ]),
  ...asks('evening-before', 'day', [
    [
      'informed',
      'Neighbours, owners and helpers know when and where.',
      'Quarrels, and people who walk into the way.',
    ],
    ['cards-empty', 'Cards that may be formatted are formatted in the aircraft.', 'A full card on location.'],
    ['offline', 'Maps and this sheet are on the phone, for no signal.', 'CheckStatus there without a plan.'],
  ]),
  ...asks('leaving-home', 'day', [
    [
      'packs-case',
      'Packs are in their case, contacts covered, the aircraft off. On an airline: check its carry rule.',
      'A short circuit in the bag.',
      true,
    ],
    ['cards-case', 'Cards are in their case, one in the aircraft.', 'Driving an hour without one.'],
    ['bag', 'The bag is packed by its list.', 'The one thing left on the kitchen table.'],
  ]),
  ...asks('launch-point', 'place', [
    [
      'propellers',
      'Propellers are whole, on the right arms, clicked home; they sound as always in the first hover.',
      'An aircraft that sheds a propeller.',
      true,
    ],
    ['gimbal', 'Gimbal guard off, lens clean, camera moves freely.', 'A day behind a thumbprint.'],
    [
      'home-point',
      'The home point is set, and on the map it is where you stand.',
      'A way home to yesterday\u2019s place.',
      true,
    ],
    ['satellites', 'Enough satellites, position held without drift.', 'Drift, and a wrong home point.', true],
    [
      'phone',
      'The phone is in flight mode, or silent; its screen is bright.',
      'A call in the middle of a take.',
    ],
    ['people', 'People are at a distance and know what happens; nobody is flown over.', 'People.', true],
    [
      'animals',
      'No nesting birds, horses or herds that would take fright.',
      'Animals, and who sits on them.',
      true,
    ],
    [
      'listen',
      'Sky and ears are free: other aircraft have the right of way; land when one comes.',
      'People in other aircraft.',
      true,
    ],
    [
      'wind-felt',
      'The wind here is about as planned; treetops are still enough.',
      'Believing the forecast.',
      true,
    ],
  ]),
  ...asks('after-landing', 'flight', [
    [
      'aircraft-after',
      'Motors off; propellers, arms and gimbal looked over.',
      'A crack that opens in the next flight.',
      true,
    ],
  ]),
  ...asks('leaving-place', 'place', [
    [
      'ground-clear',
      'Pad, propellers, filters, markers: nothing is left lying.',
      'Things lost, and places closed to the next.',
    ],
    ['thanks', 'Whoever let you in knows that you are done.', 'Not being let in again.'],
  ]),
  ...asks('at-home', 'day', [
    ['looked-through', 'One clip of each card is played from the copy.', 'Copies nobody can read.', true],
    [
      'reset',
      'White balance, profile and shutter stand as the next day wants them.',
      'A morning in last night\u2019s settings.',
    ],
    [
      'packs-out',
      'Packs are out of aircraft and charger, on something that does not burn.',
      'A fire nobody watches.',
      true,
    ],
  ]),
];
