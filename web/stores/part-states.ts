import { partStates, type Part, type PartState } from '@core/overview';
import { defineStore } from 'pinia';
import { useDeferred } from '../composables/deferred';
import { useVerdict } from '../composables/useVerdict';
import { useDerivedFilm } from './derived-film';
import { useFilm } from './film';
import { useFindings } from './findings';
import { tr } from './messages';

export interface Mark {
  readonly state: PartState;
  /** In words, to stand after the name of the part. */
  readonly say: string;
}
export type Marks = Readonly<Record<string, Mark | undefined>>;

const WORDS: Readonly<Record<PartState, string>> = {
  get empty() {
    return tr('nothingEnteredYet');
  },
  get stop() {
    return tr('somethingDoesNotFit');
  },
  care: tr('warnings'),
  fits: tr('fits'),
};

/** How far each part of the work is, for the marks beside the names of the views. */
export const usePartStates = defineStore('part-states', () => {
  const film = useFilm();
  const derivedFilm = useDerivedFilm();
  const findings = useFindings();
  const verdict = useVerdict();

  const marksNow = (): Marks => {
    const { input } = film;
    const { derived } = derivedFilm;
    if (!input || !derived) return {};
    const places = [...derived.places.values()];
    const states = partStates(input, {
      verdict: verdict.film.value,
      locations: [...derived.locationWarnings.values(), ...findings.places.values()].flat(),
      shots: [...derived.shots.values()].filter((s) => !s.done).flatMap((s) => findings.about(s)),
      unfit: derived.budget.shotsUnfit,
      flights: places.reduce((n, p) => n + p.flights.length, 0),
      done: derived.done.size,
    });
    return Object.fromEntries(
      (Object.entries(states) as [Part, PartState | null][]).flatMap(([part, state]) =>
        state ? [[part, { state, say: WORDS[state] }]] : [],
      ),
    );
  };
  /** Follows a moment after a change: a slider in hand does not wait for it. */
  const marks = useDeferred(marksNow);
  return { marks };
});
