import type { Preferences } from '@core/model';
import { tr } from './messages';

/** A question good people answer differently, with both answers and what each costs. */
export interface School {
  readonly key: keyof Preferences;
  readonly asks: string;
  readonly answers: readonly {
    readonly value: string | boolean;
    readonly label: string;
    readonly why: string;
  }[];
}

export const SCHOOLS: readonly School[] = [
  {
    key: 'packUse',
    get asks() {
      return tr('packsAndShots');
    },
    answers: [
      {
        value: 'several',
        get label() {
          return tr('severalShotsAPack');
        },
        get why() {
          return tr('asLongAsTheReserve');
        },
      },
      {
        value: 'one-shot',
        get label() {
          return tr('onePackOneShot');
        },
        get why() {
          return tr('alwaysAFullPackUnder');
        },
      },
    ],
  },
  {
    key: 'holdBackSpare',
    get asks() {
      return tr('sparePack');
    },
    answers: [
      {
        value: false,
        get label() {
          return tr('flyEverything');
        },
        get why() {
          return tr('theMostShotsFromThe');
        },
      },
      {
        value: true,
        get label() {
          return tr('holdOneBack');
        },
        get why() {
          return tr('forTheChanceSubjectAt');
        },
      },
    ],
  },
  {
    key: 'flyAtOnce',
    get asks() {
      return tr('pilots');
    },
    answers: [
      {
        value: false,
        get label() {
          return tr('oneAfterAnother');
        },
        get why() {
          return tr('onePersonFliesAllAircraft');
        },
      },
      {
        value: true,
        get label() {
          return tr('twoAtTheSameTime');
        },
        get why() {
          return tr('eachAircraftHasItsOwn');
        },
      },
    ],
  },
  {
    key: 'chargeBetween',
    get asks() {
      return tr('packsOnTheDay');
    },
    answers: [
      {
        value: true,
        get label() {
          return tr('chargedBetween');
        },
        get why() {
          return tr('onWhatComesAlongA');
        },
      },
      {
        value: false,
        get label() {
          return tr('flownOnce');
        },
        get why() {
          return tr('whatWasChargedTheEvening');
        },
      },
    ],
  },
  {
    key: 'learn',
    get asks() {
      return tr('loggedFlights');
    },
    answers: [
      {
        value: true,
        get label() {
          return tr('correctThePlan');
        },
        get why() {
          return tr('fromThreeFlightsOnReal');
        },
      },
      {
        value: false,
        get label() {
          return tr('areOnlyKept');
        },
        get why() {
          return tr('ratedFiguresAsTheMaker');
        },
      },
    ],
  },
  {
    key: 'takeStyle',
    get asks() {
      return tr('takes');
    },
    answers: [
      {
        value: 'there-and-back',
        get label() {
          return tr('thereAndBack');
        },
        get why() {
          return tr('savesTheFlightBackTo');
        },
      },
      {
        value: 'same-way',
        get label() {
          return tr('sameWayEachTime');
        },
        get why() {
          return tr('takesMatchPaysAReset');
        },
      },
    ],
  },
  {
    key: 'cutStyle',
    get asks() {
      return tr('cutting');
    },
    answers: [
      {
        value: 'in-motion',
        get label() {
          return tr('inMotion');
        },
        get why() {
          return tr('onlyTheSteadyPartCounts');
        },
      },
      {
        value: 'whole',
        get label() {
          return tr('startsAndStopsInShot');
        },
        get why() {
          return tr('theWholeMoveCountsCalmer');
        },
      },
    ],
  },
  {
    key: 'cardPolicy',
    get asks() {
      return tr('cards');
    },
    answers: [
      {
        value: 'fresh-away',
        get label() {
          return tr('freshOverWaterOrFar');
        },
        get why() {
          return tr('oneCardOnLandA');
        },
      },
      {
        value: 'one',
        get label() {
          return tr('oneCardThenTheNext');
        },
        get why() {
          return tr('nothingToChangeOnLocation');
        },
      },
      {
        value: 'fresh',
        get label() {
          return tr('freshCardEachFlight');
        },
        get why() {
          return tr('aLostAircraftLosesOne');
        },
      },
    ],
  },
  {
    key: 'profile',
    get asks() {
      return tr('profile');
    },
    answers: [
      {
        value: 'standard',
        get label() {
          return tr('standard');
        },
        get why() {
          return tr('asItWillBeSeen');
        },
      },
      {
        value: 'flat',
        get label() {
          return tr('flat');
        },
        get why() {
          return tr('forGradingKeepsShadowsAnd');
        },
      },
    ],
  },
  {
    key: 'flatAtNight',
    get asks() {
      return tr('profileAtNight');
    },
    answers: [
      {
        value: false,
        get label() {
          return tr('asByDay');
        },
        get why() {
          return tr('cutsMatch');
        },
      },
      {
        value: true,
        get label() {
          return tr('flatAtNight');
        },
        get why() {
          return tr('whereShadowsMatter');
        },
      },
    ],
  },
  {
    key: 'whiteBalance',
    get asks() {
      return tr('whiteBalance');
    },
    answers: [
      {
        value: 'locked',
        get label() {
          return tr('locked');
        },
        get why() {
          return tr('soThatCutsMatchA');
        },
      },
      {
        value: 'automatic',
        get label() {
          return tr('automatic');
        },
        get why() {
          return tr('whenLightChangesFastWithin');
        },
      },
    ],
  },
];
