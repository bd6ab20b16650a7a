import { GO_LINE } from './views';
import { tr } from './messages';

/** A key and what it does, for the sheet and for tooltips. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

export const KEY_LINES: readonly { readonly group: string; readonly lines: readonly KeyLine[] }[] = [
  {
    get group() {
      return tr('shots');
    },
    lines: [
      {
        keys: 'N',
        get does() {
          return tr('newShotAfterThePicked');
        },
      },
      {
        keys: 'J / K',
        get does() {
          return tr('nextPreviousShot');
        },
      },
      {
        keys: '↓ / ↑',
        get does() {
          return tr('nextPreviousShot');
        },
      },
      {
        get keys() {
          return tr('altAlt');
        },
        get does() {
          return tr('moveTheShotUpDown');
        },
      },
      {
        keys: 'C',
        get does() {
          return tr('copyTheShot');
        },
      },
      {
        keys: 'M',
        get does() {
          return tr('chooseAMoveFromPictures');
        },
      },
      {
        keys: 'V',
        get does() {
          return tr('readTheListForVariety');
        },
      },
      {
        keys: 'O',
        get does() {
          return tr('coverASubjectWithA');
        },
      },
      {
        keys: 'F',
        get does() {
          return tr('whichShotsAndWhatRows');
        },
      },
      {
        keys: 'X',
        get does() {
          return tr('chooseForDoingSomethingWith');
        },
      },
      {
        keys: 'P',
        get does() {
          return tr('seeTheMoveAndBack');
        },
      },
      {
        get keys() {
          return tr('space');
        },
        get does() {
          return tr('playQuarterSecondsBackAnd');
        },
      },
      {
        get keys() {
          return tr('del');
        },
        get does() {
          return tr('deleteTheShot');
        },
      },
      {
        keys: '1 2 3',
        get does() {
          return tr('moveCutAndTakesExposure');
        },
      },
    ],
  },
  {
    get group() {
      return tr('plan');
    },
    lines: [
      {
        keys: 'S / L / W / E / H',
        get does() {
          return tr('drawASubjectALaunch');
        },
      },
      {
        keys: 'Y',
        get does() {
          return tr('groundAndLayers');
        },
      },
      {
        keys: 'M',
        get does() {
          return tr('measureAWay');
        },
      },
      {
        get keys() {
          return tr('enterEsc');
        },
        get does() {
          return tr('endDropWhatIsBeing');
        },
      },
      {
        get keys() {
          return tr('del');
        },
        get does() {
          return tr('deleteWhatIsPicked');
        },
      },
      {
        keys: 'J / K',
        get does() {
          return tr('nextPreviousShot');
        },
      },
      {
        keys: '0',
        get does() {
          return tr('wholeLocationInView');
        },
      },
      {
        keys: ', .',
        get does() {
          return tr('backAndOnAlongThe');
        },
      },
    ],
  },
  {
    get group() {
      return tr('flights');
    },
    lines: [
      {
        keys: '→ ←',
        get does() {
          return tr('nextPreviousShotOfA');
        },
      },
      {
        keys: '↓ ↑',
        get does() {
          return tr('nextPreviousFlight');
        },
      },
      {
        get keys() {
          return tr('altAlt2');
        },
        get does() {
          return tr('moveTheShotAlongIts');
        },
      },
      {
        get keys() {
          return tr('altAlt3');
        },
        get does() {
          return tr('moveTheShotToThe');
        },
      },
      {
        keys: 'N / Del',
        get does() {
          return tr('aFlightOfItsOwn');
        },
      },
      {
        keys: 'X',
        get does() {
          return tr('pinTheShotToIts');
        },
      },
      {
        keys: 'L',
        get does() {
          return tr('lockTheFlightOrUnlock');
        },
      },
      {
        keys: '+ / −',
        get does() {
          return tr('flyItEarlierLater');
        },
      },
      {
        keys: 'R',
        get does() {
          return tr('planTheDay');
        },
      },
      {
        keys: 'Enter',
        get does() {
          return tr('applyThePlan');
        },
      },
      {
        get keys() {
          return tr('esc');
        },
        get does() {
          return tr('stopOrDiscardThePlan');
        },
      },
      {
        keys: '1 to 4',
        get does() {
          return tr('applyACureOfThe');
        },
      },
    ],
  },
  {
    get group() {
      return tr('checks');
    },
    lines: [
      {
        keys: '↓ ↑',
        get does() {
          return tr('nextPreviousLineOfA');
        },
      },
      {
        keys: 'P / F',
        get does() {
          return tr('passFail');
        },
      },
      {
        keys: 'W',
        get does() {
          return tr('waiveItWithAReason');
        },
      },
      {
        keys: 'O',
        get does() {
          return tr('openAgain');
        },
      },
    ],
  },
  {
    get group() {
      return tr('field');
    },
    lines: [
      {
        keys: '→ ←',
        get does() {
          return tr('nextPreviousShotInThe');
        },
      },
      {
        keys: 'R',
        get does() {
          return tr('itIsRecording');
        },
      },
      {
        keys: '1 2 3',
        get does() {
          return tr('takeGoodMaybeNoGood');
        },
      },
    ],
  },
  {
    get group() {
      return tr('anywhere');
    },
    lines: [
      {
        get keys() {
          return tr('ctrlZ');
        },
        get does() {
          return tr('takeBack');
        },
      },
      {
        get keys() {
          return tr('ctrlShiftZ');
        },
        get does() {
          return tr('doAgain');
        },
      },
      {
        keys: '[ / ]',
        get does() {
          return tr('previousNextLocation');
        },
      },
      GO_LINE,
      {
        keys: 'Q',
        get does() {
          return tr('calculatorsLightApertureShutterISO');
        },
      },
      {
        keys: 'T',
        get does() {
          return tr('themeThemeDuskOrNoon');
        },
      },
      {
        keys: '?',
        get does() {
          return tr('thisSheet');
        },
      },
      {
        get keys() {
          return tr('esc');
        },
        get does() {
          return tr('leaveAFieldCloseA');
        },
      },
    ],
  },
];
