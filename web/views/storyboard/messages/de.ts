import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  addSomeOnTheShots: 'Füge auf der Seite Einstellungen welche hinzu',
  airNumber: 'Luft {number}',
  asFlown: 'Wie geflogen',
  cutAsFlown: 'Schnitt wie geflogen',
  ground: 'Boden',
  groundDone: ' · erledigt',
  lengthsAlongTheCut: 'Längen entlang des Schnitts',
  newGroundShot: 'Neue Bodeneinstellung',
  of: 'von',
  openItEnterAltAnd: 'Öffnen (Eingabe); Alt und Pfeile verschieben im Schnitt',
  orderOfTheCut: 'Reihenfolge des Schnitts',
  placesShotsFill: '{places} füllen Einstellungen',
  remarksOnTheCut: 'Anmerkungen zum Schnitt',
  storyboard: 'Storyboard',
  theBoardShowsTheCut: 'Das Storyboard zeigt den Schnitt, sobald es Einstellungen gibt.',
  theCutFollowsTheList: 'Der Schnitt folgt wieder der Liste',
  theCutRunsFromLeft:
    '. Der Schnitt läuft von links nach rechts; die Nummer ist die Reihenfolge in der Luft.',
  untitled: 'ohne Titel',
};
export default DE;
