import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  display: 'Darstellung',
  dusk: 'Dämmerung',
  imperial: 'Imperial',
  keys: 'Tasten (?)',
  language: 'Sprache',
  languageUnitsDisplayKeys: 'Sprache, Einheiten, Darstellung, Tasten',
  metric: 'Metrisch',
  noon: 'Mittag',
  settings: 'Einstellungen der Anwendung',
  units: 'Einheiten',
  unitsOfThisFilm: 'Einheiten dieses Films',
};
export default DE;
