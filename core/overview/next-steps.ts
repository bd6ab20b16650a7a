import type { FilmInput } from '../model';
import type { Verdict } from '../verdict';

/** What a film needs next, with how many of it; the first is the one everything after waits for. */
export interface NextStep {
  readonly code:
    | 'brief'
    | 'aircraft'
    | 'pack'
    | 'location'
    | 'coordinates'
    | 'shots'
    | 'typical'
    | 'mend'
    | 'warnings'
    | 'checks'
    | 'copy';
  readonly count: number;
}

const typicalCount = ({ kit }: FilmInput): number =>
  [...kit.aircraft, ...kit.packs, ...kit.cards, ...kit.filters].reduce((n, r) => n + r.typical.length, 0);

/** Steps that are still open, in the order in which a film is prepared. */
export const nextSteps = (input: FilmInput, verdict: Verdict): readonly NextStep[] => {
  const { film, kit, locations, shots } = input;
  const flown = kit.aircraft.filter((a) => !a.retired).length > 0;
  const open: [NextStep['code'], number][] = [
    ['brief', film.purpose === '' && film.audience === '' ? 1 : 0],
    ['aircraft', flown ? 0 : 1],
    ['pack', flown && kit.packs.every((p) => p.retired) ? 1 : 0],
    ['location', locations.length === 0 ? 1 : 0],
    ['coordinates', locations.filter((l) => !l.placed).length],
    ['shots', locations.length > 0 && shots.length === 0 ? 1 : 0],
    ['mend', verdict.state === 'not' ? Math.max(1, verdict.failing) : 0],
    ['typical', typicalCount(input)],
    ['warnings', verdict.state === 'warnings' || verdict.state === 'not' ? verdict.warnings : 0],
    [
      'checks',
      (verdict.state === 'fits' || verdict.state === 'warnings') && input.answers.length === 0 ? 1 : 0,
    ],
    ['copy', verdict.state === 'done' ? 1 : 0],
  ];
  return open.filter(([, count]) => count > 0).map(([code, count]) => ({ code, count }));
};
