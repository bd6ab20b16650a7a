import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  change: 'change',
  noAnswerFromTheApplication: 'No answer from the application.',
  theApplicationAnsweredStatus: 'The application answered {status}.',
  theApplicationDoesNotAnswer: 'The application does not answer. Is it running?',
  thisFilmWasDeletedIn: 'This film was deleted in another tab.',
};
export default DE;
