import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  choose: 'wählen',
  close: 'Schließen',
  closeLower: 'schließen',
  dateFormat: 'D. MMM YYYY',
  free: 'frei',
  given: 'vorgegeben',
  givenStaysAsItIs: 'Vorgegeben: bleibt, wie es ist, wenn etwas verlangt wird',
  howLabelComesAbout: 'So kommt zustande: {label}',
  labelIsGiven: '{label} ist vorgegeben',
  labelNeedsANumber: '{label} braucht eine Zahl.',
  launch: 'Start',
  n: 'N',
  noDate: 'kein Datum',
  notKnownYet: 'Noch nicht bekannt',
  note: 'Hinweis',
  planToScaleLaunchPoint: 'Maßstäblicher Plan: Startpunkt, Motive und Wege',
  stop: 'Halt',
  sun: 'Sonne',
  takeCare: 'Achtung',
  theFrameAsTheCamera: 'Das Bild, wie die Kamera es sieht',
  wind: 'Wind',
};
export default DE;
