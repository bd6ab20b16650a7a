import type { UnitSystem } from '@core/units';
import { fixed } from '../../format';
import { tr } from './messages';

/** By definition of the international foot: 0.3048² m², and 43,560 of them an acre. */
const M2_A_SQUARE_FOOT = 0.3048 ** 2;
const M2_AN_ACRE = 43_560 * M2_A_SQUARE_FOOT;

/** Square metres and hectares, or square feet and acres. */
export const areaText = (m2: number, units: UnitSystem): string => {
  if (units === 'metric')
    return m2 >= 10_000
      ? tr('areaM2Ha', { areaM2: fixed(m2 / 10_000, 2) })
      : tr('areaM2', { areaM2: fixed(m2, 0) });
  const acres = m2 / M2_AN_ACRE;
  return acres >= 1
    ? tr('areaAcres', { acres: fixed(acres, 2) })
    : tr('areaFt2', { areaFt2: fixed(m2 / M2_A_SQUARE_FOOT, 0) });
};
