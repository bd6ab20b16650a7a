import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  addSomeOnTheShots: 'Füge auf der Seite Einstellungen welche hinzu',
  airNumber: 'Luft {number}',
  asFlown: 'Wie geflogen',
  cancel: 'Abbrechen',
  cutAsFlown: 'Schnitt wie geflogen',
  frameOfFrames: 'Bild {done} von {total}',
  fromTheGround: 'Vom Boden',
  ground: 'Boden',
  groundDone: ' · erledigt',
  lengthsAlongTheCut: 'Längen entlang des Schnitts',
  newGroundShot: 'Neue Bodeneinstellung',
  noPathYet: 'Noch kein Weg',
  numberTitleAndTimecode: 'Nummer, Titel und Timecode im Bild',
  of: 'von',
  openItEnterAltAnd: 'Öffnen (Eingabe); Alt und Pfeile verschieben im Schnitt',
  orderOfTheCut: 'Reihenfolge des Schnitts',
  pictureSize: 'Bildgröße',
  placesShotsFill: '{places} füllen Einstellungen',
  previewFilm: 'Vorschaufilm',
  recordPreviewFilm: 'Vorschaufilm aufnehmen',
  remarksOnTheCut: 'Anmerkungen zum Schnitt',
  saveFilm: 'Film speichern',
  storyboard: 'Storyboard',
  theBoardShowsTheCut: 'Das Storyboard zeigt den Schnitt, sobald es Einstellungen gibt.',
  theCutDrawnThrough:
    'Der geplante Schnitt, gezeichnet durch das Objektiv jeder Einstellung: für Tempo und Reihenfolge, bevor etwas geflogen ist. Er bleibt auf diesem Gerät.',
  theCutFollowsTheList: 'Der Schnitt folgt wieder der Liste',
  theCutRunsFromLeft:
    '. Der Schnitt läuft von links nach rechts; die Nummer ist die Reihenfolge in der Luft.',
  theFilmCouldNotBe: 'Der Film ließ sich nicht aufnehmen: Versuch ein kleineres Bild.',
  thisBrowserHasNoCodec:
    'Dieser Browser kann keinen Film aufnehmen. Ein aktueller Browser am Rechner kann es.',
  untitled: 'ohne Titel',
  webmOfSize: 'WebM, {megabytes} MB',
  asRehearsed: '{n, plural, one {Eine Einstellung} other {# Einstellungen}} wie geprobt',
  path: 'Weg',
  frame: 'Bild',
  onTheCards: 'Bild auf den Karten',
  rehearsedMark: 'geprobt, {mark}',
};
export default DE;
