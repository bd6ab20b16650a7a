/** A day without chance: packs, air and set-ups are as reckoned; three minutes to change a pack. */
export const CERTAIN = { swapS: 180, packSpread: 0, airSpread: 0, setupSpread: 0 } as const;
