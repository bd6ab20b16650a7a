/**
 * A draw from the standard normal distribution, from two even ones (Box & Muller 1958).
 * @param random even draws from 0 to 1
 */
export const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
