/**
 * Card of each flight in a row: a card is changed only on the ground, and one that was put away is not taken again.
 * @param bytes what each flight records @param roomBytes room of the cards in the order they are taken
 * @param fresh a card of its own for each flight
 * @returns number of each flight's card; null for one that finds no room
 */
export const assignCards = (bytes: readonly number[], roomBytes: readonly number[], fresh: boolean): (number | null)[] => {
  let [card, on] = [0, 0];
  let used = false;
  return bytes.map((b) => {
    let [at, full] = fresh && used ? [card + 1, 0] : [card, on];
    while (at < roomBytes.length && full + b > (roomBytes[at] ?? 0)) { at += 1; full = 0; }
    if (at >= roomBytes.length) return null;
    [card, on, used] = [at, full + b, true];
    return at;
  });
};

export interface Aboard {
  /** Recorded seconds that exist nowhere else, s. */
  readonly seconds: number;
  /** Number of the flight that carries them. */
  readonly flight: number;
}

/**
 * Most footage that is in the air uncopied: a flight carries what is on its card from the flights before it, since nothing is
 * copied on location; in the evening everything is. A flight without a card counts by itself.
 * @param days date of each flight; all on one where left out
 */
export const mostAboard = (cards: readonly (number | null)[], recordedS: readonly number[], days: readonly string[] = []): Aboard => {
  const on = new Map<string, number>();
  let most: Aboard = { seconds: 0, flight: -1 };
  recordedS.forEach((s, flight) => {
    const card = cards[flight] ?? null;
    const key = `${days[flight] ?? ''}|${card ?? ''}`;
    const seconds = s + (card === null ? 0 : on.get(key) ?? 0);
    if (card !== null) on.set(key, seconds);
    if (seconds > most.seconds) most = { seconds, flight };
  });
  return most;
};
