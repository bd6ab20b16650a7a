import { createFormatter, EN, type Formatter, type Message } from '@core/messages';
import type { UnitSystem } from '@core/units';
import { useFilm } from '../stores/film';

const formatters = new Map<UnitSystem, Formatter>();

const formatterFor = (units: UnitSystem): Formatter => {
  let formatter = formatters.get(units);
  if (!formatter) {
    formatter = createFormatter(EN, 'en', units);
    formatters.set(units, formatter);
  }
  return formatter;
};

/** Writes messages of the core in the units of the open film; follows them when they change. */
export const useMessages = (): { text: (message: Message) => string } => {
  const film = useFilm();
  return { text: (message) => formatterFor(film.film?.units ?? 'metric').text(message) };
};
