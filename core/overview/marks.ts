import type { FilmInput } from '../model';
import type { Verdict } from '../verdict';
import type { Warning } from '../warnings';

/** How far a part of the work is: nothing there yet, something to mind, or as it should be. */
export type PartState = 'empty' | 'stop' | 'care' | 'fits';

/** The parts of the work that have a state of their own. */
export type Part = 'brief' | 'locations' | 'shots' | 'light' | 'flights' | 'checks' | 'field' | 'kit';

/** Everything found about a film so far. */
export interface Found {
  readonly verdict: Verdict;
  /** About locations. */
  readonly locations: readonly Warning[];
  /** About shots. */
  readonly shots: readonly Warning[];
  /** Shots in no flight. */
  readonly unfit: number;
  readonly flights: number;
  readonly done: number;
}

const LIGHT = /^(light|exposure)\./;

const worst = (found: readonly Warning[]): PartState =>
  found.some((w) => w.severity === 'stop')
    ? 'stop'
    : found.some((w) => w.severity === 'care')
      ? 'care'
      : 'fits';

const locationState = (input: FilmInput, found: Found): PartState => {
  if (input.locations.length === 0) return 'empty';
  return input.locations.some((l) => !l.placed) ? 'care' : worst(found.locations);
};

const flightState = (found: Found): PartState => {
  if (found.unfit > 0) return 'stop';
  return found.flights === 0 && found.done === 0 ? 'empty' : 'fits';
};

const kitState = ({ kit }: FilmInput): PartState => {
  const craft = kit.aircraft.filter((a) => !a.retired);
  if (craft.length === 0) return 'empty';
  const typical = [...craft, ...kit.packs, ...kit.cards, ...kit.filters].some((r) => r.typical.length > 0);
  return typical ? 'care' : 'fits';
};

const VERDICT = {
  unknown: null,
  nothing: 'empty',
  not: 'stop',
  warnings: 'care',
  fits: 'fits',
  done: 'fits',
} as const;

/** The state of each part; null where it has none, or as long as what it depends on is not known. */
export const partStates = (input: FilmInput, found: Found): Readonly<Record<Part, PartState | null>> => {
  const { film, shots, answers } = input;
  const known = found.verdict.state !== 'unknown';
  /** Nothing entered is known at once; everything else only with the verdict. */
  const when = (state: PartState): PartState | null => (known || state === 'empty' ? state : null);
  const light = worst(found.shots.filter((w) => LIGHT.test(w.code)));
  return {
    brief: film.purpose === '' && film.audience === '' ? 'empty' : 'fits',
    locations: when(locationState(input, found)),
    shots: VERDICT[found.verdict.state],
    light: when(shots.length === 0 ? 'empty' : light),
    flights: when(flightState(found)),
    checks: answers.length === 0 ? 'empty' : null,
    field: found.done > 0 && found.done === shots.length ? 'fits' : null,
    kit: kitState(input),
  };
};
