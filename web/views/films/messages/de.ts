import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  aBackupIsWrittenAnd: 'Eine Sicherung ist geschrieben und geprüft.',
  aFreshCopyOfThe: 'Eine frische Kopie des erfundenen Films, neben deinen',
  allFilms: 'Alle Filme',
  asTheKindOfFilm: 'wie die Art des Films',
  atTheNextStartEverything:
    'Beim nächsten Start ist alles wie damals. Der jetzige Stand bleibt als {before} erhalten. Beende und starte die Anwendung.',
  backUpNow: 'Jetzt sichern',
  backups: 'Sicherungen',
  check: 'Prüfung',
  coordinates: 'Koordinaten',
  copiesOfEverythingEachOpened:
    'Kopien von allem, jede geöffnet und geprüft: die neuesten drei, eine je Tag für 14 Tage, eine je Woche für 8 Wochen.',
  createFilm: 'Film anlegen',
  damaged: 'beschädigt',
  decimalOrDegreesMinutesSeconds: 'Dezimal oder Grad, Minuten, Sekunden. Licht und Sonne brauchen sie.',
  delete: 'Löschen',
  duskSlate: 'Dusk Slate',
  everythingGoesBackToThat: 'Alles geht zurück auf diesen Stand.',
  figure4318483Or: '43.18, -4.83 – oder später',
  filmsInIt: 'Filme darin',
  flownWith: 'Geflogen mit',
  goneForGoodWithAll: 'Endgültig weg, mit allen Einstellungen?',
  keep: 'Behalten',
  keepTodays: 'Heutigen behalten',
  loading: 'Wird geladen',
  mb: 'MB',
  name: 'Name',
  nameIsBackBesideTodays: '„{name}“ ist wieder da, neben dem heutigen Film, als Sicherung benannt.',
  nameIsLargerThanA: '„{name}“ ist größer, als eine Filmdatei sein kann (20 MB).',
  nameIsNotAFilm: '„{name}“ ist keine Filmdatei: sie enthält kein lesbares JSON.',
  newFilm: 'Neuer Film',
  noBackupYet: 'Noch keine Sicherung.',
  noFilmYetChooseA:
    'Noch kein Film. Wähle unten eine Art von Film, oder sieh dir zuerst den Beispielfilm an.',
  offlineTheseFilmsAreOn:
    'Offline. Diese Filme sind auf diesem Gerät; was du änderst, wird hier aufgehoben und gesendet, sobald die Anwendung wieder antwortet.',
  openAFilmFile: 'Filmdatei öffnen',
  openTheDemoFilm: 'Beispielfilm öffnen',
  passed: 'bestanden',
  planTheShotsTheLight:
    'Plane Einstellungen, Licht, Akkus und Karten eines Tages in der Luft, und fahr los in dem Wissen, dass es passt.',
  readingTheListOfBackups: 'Die Liste der Sicherungen wird gelesen.',
  restoreAll: 'Alles zurückholen',
  restoreAtTheNextStart: 'Beim nächsten Start zurückholen',
  restoreBeside: 'Daneben zurückholen',
  saveAsFile: 'Als Datei speichern',
  shotsShotsAtLocationsLocations: 'Einstellungen: {shots}, Drehorte: {locations} · geändert {when}',
  size: 'Größe',
  theApplicationDoesNotAnswer: 'Die Anwendung antwortet nicht. Läuft sie?',
  timelineFrameRate: 'Bildrate der Timeline',
  typical: 'typisch',
  typicalFiguresAreMarkedIn:
    'Typische Werte sind in der Ausrüstung gekennzeichnet, bis du sie durch eigene ersetzt.',
  valueFps: '{value} fps',
  whatItIsAbout: 'Worum es geht',
  written: 'Geschrieben',
  yesDelete: 'Ja, löschen',
  yourKitName: 'Deine Ausrüstung ({name})',
};
export default DE;
