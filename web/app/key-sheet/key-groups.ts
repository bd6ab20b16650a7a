import { inSentence } from '../../format';
import { VIEW_KEYS } from '../views';
import { tr } from './messages';

/** A key and what it does. */
export type KeyLine = readonly [keys: string, does: string];

export interface KeyGroup {
  readonly group: string;
  readonly lines: readonly KeyLine[];
}

const goLine = (): KeyLine => [
  tr('gThen', { keys: VIEW_KEYS.map((v) => v.key).join(', ') }),
  VIEW_KEYS.map((v) => inSentence(v.label)).join(', '),
];

const shotsKeys = (): KeyGroup => ({
  group: tr('shots'),
  lines: [
    ['N', tr('newShotAfterThePicked')],
    ['J / K', tr('nextPreviousShot')],
    ['↓ / ↑', tr('nextPreviousShot')],
    [tr('altAlt'), tr('moveTheShotUpDown')],
    ['C', tr('copyTheShot')],
    ['M', tr('chooseAMoveFromPictures')],
    ['V', tr('readTheListForVariety')],
    ['O', tr('coverASubjectWithA')],
    ['F', tr('whichShotsAndWhatRows')],
    ['X', tr('chooseForDoingSomethingWith')],
    ['P', tr('seeTheMoveAndBack')],
    [tr('space'), tr('playQuarterSecondsBackAnd')],
    [tr('del'), tr('deleteTheShot')],
    ['1 2 3', tr('moveCutAndTakesExposure')],
  ],
});

const planKeys = (): KeyGroup => ({
  group: tr('plan'),
  lines: [
    ['S / L / W / E / H', tr('drawASubjectALaunch')],
    ['Y', tr('groundAndLayers')],
    ['M', tr('measureAWay')],
    [tr('enterEsc'), tr('endDropWhatIsBeing')],
    [tr('del'), tr('deleteWhatIsPicked')],
    ['J / K', tr('nextPreviousShot')],
    ['0', tr('wholeLocationInView')],
    [', .', tr('backAndOnAlongThe')],
  ],
});

const flightsKeys = (): KeyGroup => ({
  group: tr('flights'),
  lines: [
    ['→ ←', tr('nextPreviousShotOfA')],
    ['↓ ↑', tr('nextPreviousFlight')],
    [tr('altAlt2'), tr('moveTheShotAlongIts')],
    [tr('altAlt3'), tr('moveTheShotToThe')],
    [tr('newOrDelete'), tr('aFlightOfItsOwn')],
    ['X', tr('pinTheShotToIts')],
    ['L', tr('lockTheFlightOrUnlock')],
    ['+ / −', tr('flyItEarlierLater')],
    ['R', tr('planTheDay')],
    [tr('enter'), tr('applyThePlan')],
    [tr('esc'), tr('stopOrDiscardThePlan')],
    [tr('oneToFour'), tr('applyACureOfThe')],
  ],
});

const checksKeys = (): KeyGroup => ({
  group: tr('checks'),
  lines: [
    ['↓ ↑', tr('nextPreviousLineOfA')],
    ['P / F', tr('passFail')],
    ['W', tr('waiveItWithAReason')],
    ['O', tr('openAgain')],
  ],
});

const fieldKeys = (): KeyGroup => ({
  group: tr('field'),
  lines: [
    ['→ ←', tr('nextPreviousShotInThe')],
    ['R', tr('itIsRecording')],
    ['1 2 3', tr('takeGoodMaybeNoGood')],
  ],
});

const anywhereKeys = (): KeyGroup => ({
  group: tr('anywhere'),
  lines: [
    [tr('ctrlZ'), tr('takeBack')],
    [tr('ctrlShiftZ'), tr('doAgain')],
    ['[ / ]', tr('previousNextLocation')],
    goLine(),
    ['Q', tr('calculatorsLightApertureShutterISO')],
    ['T', tr('themeThemeDuskOrNoon')],
    ['?', tr('thisSheet')],
    [tr('esc'), tr('leaveAFieldCloseA')],
  ],
});

/** Every key of the application, by where it works. */
export const keyGroups = (): readonly KeyGroup[] => [
  shotsKeys(),
  planKeys(),
  flightsKeys(),
  checksKeys(),
  fieldKeys(),
  anywhereKeys(),
];
