import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  change: 'Änderung',
  noAnswerFromTheApplication: 'Keine Antwort von der Anwendung.',
  notPaired: 'Dieses Gerät ist nicht mit dem Rechner gekoppelt.',
  theApplicationAnsweredStatus: 'Die Anwendung antwortete {status}.',
  theApplicationDoesNotAnswer: 'Die Anwendung antwortet nicht. Läuft sie?',
  thisFilmWasDeletedIn: 'Dieser Film wurde in einem anderen Tab gelöscht.',
};
export default DE;
