export const EN = {
  display: 'Display',
  dusk: 'Dusk',
  imperial: 'Imperial',
  keys: 'Keys (?)',
  language: 'Language',
  languageUnitsDisplayKeys: 'Language, units, display, keys',
  metric: 'Metric',
  noon: 'Noon',
  settings: 'Settings',
  units: 'units',
  unitsOfThisFilm: 'Units of this film',
} as const;
