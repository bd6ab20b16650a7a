import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  addShots: 'add {shots}',
  addWhatIsMissing: 'add what is missing',
  aircraftOfShots: 'aircraft of shots',
  card: 'card',
  copy: 'copy',
  copyShots: 'copy {shots}',
  cure: 'cure',
  deleteShot: 'delete shot',
  deleteShots: 'delete {shots}',
  deletedTitleCtrlZBrings: 'Deleted “{title}”. Ctrl+Z brings it back.',
  doneAgainWhat: 'Done again: {what}.',
  joinShots: 'join shots',
  kit: 'kit',
  moveShot: 'move shot',
  nameHoldsUsedGBGBWhat: '{name} holds {usedGB} GB. What is on it changes under Checks, Cards.',
  newShot: 'new shot',
  nothingToDoAgain: 'Nothing to do again.',
  nothingToTakeBack: 'Nothing to take back.',
  shotsAdded: '{shots} added.',
  someAreMeasuredInSeconds: 'Some are measured in seconds, some in beats or counts.',
  splitInTwoEachHas: 'Split in two; each has half of the cut.',
  splitShot: 'split shot',
  takenBackWhat: 'Taken back: {what}.',
  thatCardIsNotThere: 'That card is not there any more.',
  theyAreFlownAtDifferent: 'They are flown at different locations.',
  togetherTheyHaveMoreStretches: 'Together they have more stretches than a shot may.',
  twoShotsAreTheLeast: 'Two shots are the least to join.',
  untitled: 'untitled',
};
export default DE;
