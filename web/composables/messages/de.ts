import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  addShots: '{shots} hinzufügen',
  addWhatIsMissing: 'Fehlendes hinzufügen',
  aircraftOfShots: 'Fluggerät der Einstellungen',
  card: 'Karte',
  copy: 'Kopie',
  copyShots: '{shots} kopieren',
  cure: 'Abhilfe',
  deleteShot: 'Einstellung löschen',
  deleteShots: '{shots} löschen',
  deletedTitleCtrlZBrings: '„{title}“ gelöscht. Strg+Z holt sie zurück.',
  doneAgainWhat: 'Wiederholt: {what}.',
  joinShots: 'Einstellungen verbinden',
  kit: 'Ausrüstung',
  moveShot: 'Einstellung verschieben',
  nameHoldsUsedGBGBWhat: '{name} enthält {usedGB} GB. Was darauf ist, änderst du unter Checks, Karten.',
  newShot: 'neue Einstellung',
  nothingToDoAgain: 'Es gibt nichts zu wiederholen.',
  nothingToTakeBack: 'Es gibt nichts rückgängig zu machen.',
  shotsAdded: '{shots} hinzugefügt.',
  someAreMeasuredInSeconds: 'Einige sind in Sekunden gemessen, andere in Schlägen oder Zählzeiten.',
  splitInTwoEachHas: 'In zwei geteilt; jede hat die Hälfte des Schnitts.',
  splitShot: 'Einstellung teilen',
  takenBackWhat: 'Rückgängig gemacht: {what}.',
  thatCardIsNotThere: 'Diese Karte gibt es nicht mehr.',
  theyAreFlownAtDifferent: 'Sie werden an verschiedenen Drehorten geflogen.',
  togetherTheyHaveMoreStretches: 'Zusammen haben sie mehr Abschnitte, als eine Einstellung haben darf.',
  twoShotsAreTheLeast: 'Zum Verbinden braucht es mindestens zwei Einstellungen.',
  untitled: 'ohne Titel',
};
export default DE;
