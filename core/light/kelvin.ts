import type { Lamps, Sky } from '../model';

/** A white balance with the reason for it. */
export interface KelvinAdvice {
  readonly kelvin: number;
  readonly why: string;
}

const DAY_KELVIN: Readonly<Record<Sky, number>> = {
  clear: 5600,
  'thin-cloud': 5900,
  overcast: 6500,
  heavy: 7000,
};

/**
 * White balance to lock for a moment's light, kelvin. Usual practice: daylight by the sky; low sun is kept warm instead of
 * neutral; dusk is kept blue; lamps are met half-way.
 */
export const kelvinFor = (altitudeDeg: number, sky: Sky, lamps: Lamps): KelvinAdvice => {
  if (altitudeDeg > 8)
    return { kelvin: DAY_KELVIN[sky], why: sky === 'clear' ? 'Daylight.' : 'Cloud makes the light colder.' };
  if (altitudeDeg > -1)
    return sky === 'clear' || sky === 'thin-cloud'
      ? { kelvin: 5200, why: 'Keeps low sun warm; automatic would take the gold out.' }
      : { kelvin: 6200, why: 'Cloud at low sun.' };
  if (lamps !== 'none')
    return {
      kelvin: altitudeDeg > -6 ? 4300 : 3600,
      why: altitudeDeg > -6 ? 'Between a blue sky and warm lamps.' : 'Lamps a little warm, the sky blue.',
    };
  return { kelvin: 4800, why: 'Keeps dusk blue without turning it cold.' };
};
