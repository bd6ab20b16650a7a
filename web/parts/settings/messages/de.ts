import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  codeLeft: 'Er gilt einmal, noch {left} Minuten.',
  codeToPhotograph: 'Code für die Kamera des Telefons',
  deviceIsPaired: '{name} ist gekoppelt. Wenn das nicht dein Gerät ist, entferne es unten.',
  devices: 'Geräte',
  display: 'Darstellung',
  dusk: 'Dämmerung',
  fingerprint: 'SHA-256-Fingerabdruck des Zertifikats',
  howToTrust:
    'Öffne auf dem Telefon die Seite zum Koppeln und lade dort das Zertifikat. Vergleiche seinen Fingerabdruck mit diesem, und installiere es in den Einstellungen des Telefons unter Zertifikaten; auf manchen Telefonen schaltet es erst ein zweiter Schalter in den Vertrauenseinstellungen ein. Ohne es warnt der Browser, und die Anwendung kann nicht für die Arbeit ohne Netz auf dem Telefon bleiben.',
  imperial: 'Imperial',
  keys: 'Tasten (?)',
  language: 'Sprache',
  languageUnitsDisplayKeys: 'Sprache, Einheiten, Darstellung, Geräte, Tasten',
  metric: 'Metrisch',
  newCode: 'Neuer Code',
  noDevicesYet: 'Noch ist kein Telefon oder Tablet gekoppelt.',
  noon: 'Mittag',
  notOnTheNetwork:
    'Nur dieser Rechner erreicht Dusk Slate. Um es auf einem Telefon im selben Netz zu öffnen, beende es und starte es so:',
  pairADevice: 'Gerät koppeln',
  pairedAndSeen: 'gekoppelt {paired}, zuletzt gesehen {seen}',
  pairedOnTheComputer: 'Geräte werden am Rechner selbst gekoppelt und entfernt.',
  photographIt: 'Fotografiere den Code mit dem Telefon, oder öffne die Adresse und gib ihn ein.',
  removeDevice: 'Entfernen',
  settings: 'Einstellungen der Anwendung',
  tour: 'Tour',
  trustOnThePhone: 'Diesem Rechner auf dem Telefon vertrauen',
  units: 'Einheiten',
  unitsOfThisFilm: 'Einheiten dieses Films',
  whatLanDoes:
    'Gekoppelte Geräte lesen und schreiben hier alle Filme, über eine sichere Verbindung im lokalen Netz. Andere sehen nur die Seite zum Koppeln.',
};
export default DE;
