import type { Pilot, Practice } from '../model';

/** Words for the practised level of a move. */
export const LEVEL_WORDS = ['never flown', 'tried', 'learning', 'steady', 'sure'] as const;

/** What a try in a simulator is worth beside one in the air. Own estimate: it teaches sticks and timing, not wind and nerves. */
export const SIMULATOR_WEIGHT = 1 / 3;

/** Newest tries that count; hands change. */
export const TRIES_COUNTED = 20;

/** Keeper rate expected of a level before there is a record, and how many tries that expectation is worth. Own estimates. */
export const EXPECTED_RATE = [0.2, 0.35, 0.5, 0.7, 0.85] as const;
const EXPECTATION_TRIES = 4;

/** What each input beyond the second leaves of the rate. Own estimate. */
const INPUT_FACTOR = 0.88;

/** Chance of at least one keeper that the suggested takes give. */
export const WANTED_CHANCE = 0.9;
const MOST_TAKES = 12;

export interface Record20 {
  readonly tries: number;
  readonly keepers: number;
}

/** The newest tries of a move, at most twenty of them; a practice cut by the limit counts in proportion, one in a simulator for a part. */
export const recordOf = (practice: readonly Practice[], pilotId: string, moveKind: string): Record20 => {
  let [tries, keepers] = [0, 0];
  const mine = practice
    .filter((p) => p.pilotId === pilotId && p.moveKind === moveKind)
    .sort((a, b) => b.utcMs - a.utcMs);
  for (const p of mine) {
    const worth = p.tries * (p.handling === 'simulator' ? SIMULATOR_WEIGHT : 1);
    const take = Math.min(worth, TRIES_COUNTED - tries);
    if (take <= 0) break;
    tries += take;
    keepers += (Math.min(p.keepers, p.tries) * take) / p.tries;
  }
  return { tries, keepers };
};

/** Level a record alone speaks for: enough tries, and enough of them kept. */
const levelOfRecord = ({ tries, keepers }: Record20): number => {
  const rate = tries > 0 ? keepers / tries : 0;
  if (tries >= 20 && rate >= 0.75) return 4;
  if (tries >= 10 && rate >= 0.5) return 3;
  if (tries >= 5 && rate >= 0.3) return 2;
  return tries > 0 ? 1 : 0;
};

/** Practised level of a move: what the pilot states, raised by logged practice. */
export const levelOf = (pilot: Pilot | null, practice: readonly Practice[], moveKind: string): number => {
  if (!pilot) return 0;
  return Math.max(pilot.levels[moveKind] ?? 0, levelOfRecord(recordOf(practice, pilot.id, moveKind)));
};

/**
 * Chance that a take is a keeper: the record, drawn towards what the level lets expect while it is short (a beta prior), and
 * less for each input beyond two.
 */
export const keeperRate = (level: number, record: Record20, inputs: number): number => {
  const expected =
    (EXPECTED_RATE[Math.max(0, Math.min(4, Math.round(level)))] ?? 0.2) *
    INPUT_FACTOR ** Math.max(0, inputs - 2);
  return (record.keepers + EXPECTATION_TRIES * expected) / (record.tries + EXPECTATION_TRIES);
};

/** Takes that give a wanted chance of one keeper at least: n ≥ ln(1 − chance) / ln(1 − rate). */
export const takesFor = (rate: number, chance = WANTED_CHANCE): number => {
  if (!(rate > 0)) return MOST_TAKES;
  if (rate >= 1) return 1;
  return Math.max(1, Math.min(MOST_TAKES, Math.ceil(Math.log(1 - chance) / Math.log(1 - rate) - 1e-9)));
};
