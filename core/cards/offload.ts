/** A reader nobody entered: what a plain one copies, MB/s. */
export const PLAIN_READER_MBS = 90;
/** Reading a copy back to compare it takes about as long again. */
const VERIFY_FACTOR = 2;
/** Changing cards and starting the next copy, s. */
export const CARD_CHANGE_S = 60;

/** What is still to be copied of a card. */
export interface ToCopy {
  readonly cardId: string;
  readonly bytes: number;
  readonly copies: number;
}

export interface CopyRun {
  readonly cardId: string;
  readonly fromS: number;
  readonly toS: number;
  readonly copies: number;
}

/**
 * Copying of an evening: bytes / reader MB/s for each copy, each read back to compare; one card after another, the one with the
 * fewest copies first. Reckoning §9.
 * @param readMBs of the reader, MB/s; above 0
 */
export const offload = (
  cards: readonly ToCopy[],
  copiesWanted: number,
  readMBs: number,
  verify: boolean,
): { readonly runs: readonly CopyRun[]; readonly seconds: number; readonly bytes: number } => {
  let at = 0;
  const open = cards
    .filter((c) => c.bytes > 0 && c.copies < copiesWanted)
    .sort((a, b) => a.copies - b.copies || b.bytes - a.bytes);
  const runs = open.map((c): CopyRun => {
    const copies = copiesWanted - c.copies;
    const fromS = at;
    at += CARD_CHANGE_S + (c.bytes / (readMBs * 1e6)) * copies * (verify ? VERIFY_FACTOR : 1);
    return { cardId: c.cardId, fromS, toS: at, copies };
  });
  return { runs, seconds: at, bytes: open.reduce((sum, c) => sum + c.bytes * (copiesWanted - c.copies), 0) };
};
