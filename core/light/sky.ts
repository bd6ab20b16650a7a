/** Colours of the sky opposite nothing in particular, by sun altitude: [deg, r, g, b]. Drawn from the physics of scattering: deep blue, ember low, pale high. */
const SKY: readonly (readonly [number, number, number, number])[] = [
  [-90, 10, 11, 20],
  [-18, 12, 13, 25],
  [-12, 22, 24, 48],
  [-8, 39, 45, 86],
  [-6, 60, 70, 122],
  [-4, 104, 98, 142],
  [-2, 168, 118, 130],
  [-0.8, 214, 134, 104],
  [1, 232, 162, 104],
  [3, 238, 190, 134],
  [6, 232, 212, 176],
  [10, 208, 216, 206],
  [20, 178, 205, 216],
  [40, 160, 196, 216],
  [90, 150, 190, 214],
];

/** Colour of the sky for a sun altitude, as red, green, blue 0–255. */
export const skyColour = (altitudeDeg: number): readonly [number, number, number] => {
  const a = Math.min(90, Math.max(-90, altitudeDeg));
  const upper = SKY.findIndex((row) => row[0] >= a);
  const high = SKY[Math.max(0, upper)] ?? SKY[SKY.length - 1];
  const low = SKY[Math.max(0, upper - 1)] ?? high;
  if (!high || !low) return [0, 0, 0];
  const share = high[0] === low[0] ? 0 : (a - low[0]) / (high[0] - low[0]);
  const mix = (i: 1 | 2 | 3): number => Math.round(low[i] + (high[i] - low[i]) * share);
  return [mix(1), mix(2), mix(3)];
};
