import { message } from '../messages';
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
        say: message('pack.none.say'),
        why: message('pack.none.why'),
        cures: [{ say: message('pack.none.cure') }],
      },
    ];
  if (packsShort > 0)
    return [
      {
        code: 'pack.short',
        severity: 'stop',
        subject: { kind: 'film' },
        say: message('pack.short.say', { packsShort, unfit }),
        why: message('pack.short.why'),
        cures: [{ say: message('pack.short.cure') }],
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
          say: message('film.stills.say'),
          why: message('film.stills.why'),
          cures: [{ say: message('film.stills.cure') }],
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
