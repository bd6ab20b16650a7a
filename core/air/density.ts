/** Standard acceleration of free fall, m/s² (ISO 80000-3). */
export const GRAVITY = 9.80665;

/** Density of the standard atmosphere at sea level, kg/m³. */
export const SEA_LEVEL_DENSITY = 1.225;

/**
 * Air density at an elevation and temperature, kg/m³.
 * ρ = 101325 (1 − 2.25577e-5 H)^5.25588 / (287.05 (T + 273.15)); ISO 2533 standard pressure, ideal gas.
 * @param elevationM height above sea level, m, below 44,000
 */
export const airDensity = (elevationM: number, temperatureC: number): number =>
  (101325 * (1 - 2.25577e-5 * elevationM) ** 5.25588) / (287.05 * (temperatureC + 273.15));
