import { bySeverity, type Warning } from './types';
import { cardWarnings } from './cards';
import type { CardFacts, ShotsById } from '../day';
import { contradictingTurns, failingPacks } from './packs';
import type { FilmInput } from '../model';

const packWarnings = (input: FilmInput, packsShort: number, unfit: number): Warning[] => {
  const packs = input.kit.packs;
  if (packs.length === 0 && input.shots.length > 0)
    return [
      {
        code: 'pack.none',
        severity: 'stop',
        subject: { kind: 'film' },
        say: 'No pack comes along.',
        why: 'Flights are made of packs.',
        cures: [{ say: 'Add the packs you own to the kit, or take them along on this film.' }],
      },
    ];
  if (packsShort > 0)
    return [
      {
        code: 'pack.short',
        severity: 'stop',
        subject: { kind: 'film' },
        say: `${packsShort} pack${packsShort > 1 ? 's' : ''} short: ${unfit} shot${unfit > 1 ? 's do' : ' does'} not fit.`,
        why: 'Counted with full packs of the kind you have, in list order, reserve kept.',
        cures: [{ say: 'Bring or charge more packs, take fewer takes, or drop what only could be.' }],
      },
    ];
  return [];
};

/** Stills cost time over the same spots; nothing on the list asks for it yet. */
const stillsNote = (input: FilmInput): Warning[] =>
  !input.film.stillsWanted || input.shots.length === 0
    ? []
    : [
        {
          code: 'film.stills',
          severity: 'note',
          subject: { kind: 'film' },
          say: 'Stills are wanted too, and take time over the same spots.',
          why: 'The slates budget video only.',
          cures: [{ say: 'Give the slates that carry a still a longer set-up, or add a hold for it.' }],
        },
      ];

/** What is wrong with the film as a whole: packs, cards, stills, order. Worst first. */
export const filmWarnings = (
  input: FilmInput,
  packsShort: number,
  unfit: number,
  cards: CardFacts,
  shots: ShotsById,
): Warning[] =>
  bySeverity([
    ...packWarnings(input, packsShort, unfit),
    ...cardWarnings(input, cards, shots),
    ...stillsNote(input),
    ...failingPacks(input.kit),
    ...contradictingTurns(input),
  ]);
