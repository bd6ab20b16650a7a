import { createFormatter, EN, type Formatter } from '@core/messages';
import type { UnitSystem } from '@core/units';

const formatters = new Map<UnitSystem, Formatter>();

/** The formatter for a system of units, made once. */
export const formatterFor = (units: UnitSystem): Formatter => {
  const known = formatters.get(units);
  if (known) return known;
  const made = createFormatter(EN, 'en', units);
  formatters.set(units, made);
  return made;
};
