/** What cards flights are put on. */
export interface CardRules {
  /** Whether each flight wants a card nothing else is on; or all of them, or none. */
  readonly fresh: boolean | readonly boolean[];
  /** When each flight is in the air: a card cannot be in two of them at once. Nobody flies at once where left out. */
  readonly spans?: readonly (readonly [from: number, to: number])[];
  /** Where no fresh card is left, any with room will do. */
  readonly softly?: boolean;
  /** Cards something is on already: none of them is fresh. None where left out. */
  readonly used?: readonly boolean[];
}

/**
 * Card of each flight, in the order they are flown. A card is only changed on the ground, so a flight goes onto one card
 * whole: the one in the camera while it has room, else the next; a fresh one where that is the habit. A card is never gone back
 * to, but one that was passed over because something is on it may still serve.
 * @param bytes what each flight records @param roomBytes room of the cards in the order they are taken
 * @returns number of each flight's card; null for one that finds no room
 */
export const assignCards = (
  bytes: readonly number[],
  roomBytes: readonly number[],
  rules: boolean | CardRules,
): (number | null)[] => {
  const {
    fresh,
    used,
    softly,
    spans = [],
  }: CardRules = typeof rules === 'boolean' ? { fresh: rules } : rules;
  const touched = roomBytes.map((_, i) => used?.[i] ?? false);
  const on = roomBytes.map(() => 0);
  const done = roomBytes.map(() => false);
  const given: (number | null)[] = [];
  const busy = (i: number, n: number): boolean => {
    const now = spans[n];
    return (
      now !== undefined &&
      given.some((g, k) => {
        const then = spans[k];
        return g === i && then !== undefined && then[0] < now[1] && now[0] < then[1];
      })
    );
  };
  let card = -1;
  const put = (b: number, n: number): number | null => {
    const alone = typeof fresh === 'boolean' ? fresh : (fresh[n] ?? false);
    const takes = (i: number, own: boolean): boolean =>
      !done[i] && !busy(i, n) && (on[i] ?? 0) + b <= (roomBytes[i] ?? 0) && !(own && touched[i]);
    const next = (own: boolean): number =>
      card >= 0 && takes(card, own) ? card : roomBytes.findIndex((_, i) => i !== card && takes(i, own));
    const strict = next(alone);
    const at = strict === -1 && alone && softly ? next(false) : strict;
    if (at === -1) return null;
    if (card >= 0 && at !== card && !busy(card, n)) done[card] = true;
    on[at] = (on[at] ?? 0) + b;
    touched[at] = true;
    card = at;
    return at;
  };
  bytes.forEach((b, n) => {
    given.push(put(b, n));
  });
  return given;
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
export const maxUncopiedFootage = (
  cards: readonly (number | null)[],
  recordedS: readonly number[],
  days: readonly string[] = [],
): Aboard => {
  const on = new Map<string, number>();
  let most: Aboard = { seconds: 0, flight: -1 };
  recordedS.forEach((s, flight) => {
    const card = cards[flight] ?? null;
    const key = `${days[flight] ?? ''}|${card ?? ''}`;
    const seconds = s + (card === null ? 0 : (on.get(key) ?? 0));
    if (card !== null) on.set(key, seconds);
    if (seconds > most.seconds) most = { seconds, flight };
  });
  return most;
};
