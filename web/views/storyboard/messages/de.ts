import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  addSomeOnTheShots: 'Add some on the Shots page',
  airNumber: 'air {number}',
  asFlown: 'As flown',
  cutAsFlown: 'cut as flown',
  lengthsAlongTheCut: 'Lengths along the cut',
  of: 'of',
  openItEnterAltAnd: 'Open it (Enter); Alt and arrows move it in the cut',
  orderOfTheCut: 'order of the cut',
  placesShotsFill: '{places} shots fill',
  remarksOnTheCut: 'Remarks on the cut',
  storyboard: 'Storyboard',
  theBoardShowsTheCut: 'The board shows the cut once there are shots.',
  theCutFollowsTheList: 'The cut follows the list again',
  theCutRunsFromLeft: '. The cut runs from left to right; the number is the order in the air.',
  untitled: 'untitled',
};
export default DE;
