import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  choose: 'choose',
  close: 'Close',
  closeLower: 'close',
  free: 'free',
  given: 'given',
  givenStaysAsItIs: 'Given: stays as it is when something is asked for',
  howLabelComesAbout: 'How {label} comes about',
  labelIsGiven: '{label} is given',
  labelNeedsANumber: '{label} needs a number.',
  launch: 'launch',
  n: 'N',
  noDate: 'no date',
  notKnownYet: 'Not known yet',
  note: 'Note',
  planToScaleLaunchPoint: 'Plan to scale: launch point, subjects and paths',
  stop: 'Stop',
  sun: 'sun',
  takeCare: 'Take care',
  theFrameAsTheCamera: 'The frame as the camera sees it',
  wind: 'wind',
};
export default DE;
