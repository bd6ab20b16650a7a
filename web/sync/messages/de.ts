import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  change: 'Änderung',
  noAnswerFromTheApplication: 'Keine Antwort von der Anwendung.',
  notPaired: 'Dieses Gerät ist nicht mit dem Rechner gekoppelt.',
  theApplicationAnsweredStatus: 'Die Anwendung antwortete {status}.',
  theApplicationDoesNotAnswer: 'Die Anwendung antwortet nicht. Läuft sie?',
  thisFilmWasDeletedIn: 'Dieser Film wurde in einem anderen Tab gelöscht.',
  theApplicationIsNewer:
    'Auf dem Rechner läuft eine neuere Version von Dusk Slate als in dieser Seite. Was du änderst, bleibt hier; lade die neue Version, um es zu senden.',
  theApplicationIsOlder:
    'Dieses Gerät hat eine neuere Version von Dusk Slate als der Rechner. Was du änderst, bleibt hier; aktualisiere den Rechner, um es zu senden.',
};
export default DE;
