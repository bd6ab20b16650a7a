import type { DerivedShot } from '@core/film';
import { verdictOf, type JudgedShot, type Verdict } from '@core/verdict';
import type { Warning } from '@core/warnings';
import { computed, type ComputedRef } from 'vue';
import { useDerivedFilm } from '../stores/derived-film';
import { useFindings } from '../stores/findings';

/** The one verdict on the film, on places, and on shots: from what the page works out and what is found beside it. */
export const useVerdict = () => {
  const derivedFilm = useDerivedFilm();
  const findings = useFindings();

  const judged = (shot: DerivedShot): JudgedShot => ({
    id: shot.facts.shot.id,
    done: shot.done,
    unfit: shot.unfit !== null,
    found: findings.about(shot),
  });
  const about = (placeId: string): Warning[] => [
    ...(derivedFilm.derived?.locationWarnings.get(placeId) ?? []),
    ...(findings.places.get(placeId) ?? []),
  ];
  const shotsAt = (placeIds: ReadonlySet<string>): DerivedShot[] =>
    [...(derivedFilm.derived?.shots.values() ?? [])].filter((s) => placeIds.has(s.facts.location.id));
  /** Whether what is worked out beside the page has come in for a place. */
  const known = (placeId: string): boolean =>
    findings.of('site').places.has(placeId) || shotsAt(new Set([placeId])).length === 0;

  const ofPlaces = (placeIds: readonly string[], more: readonly Warning[] = []): Verdict =>
    verdictOf(
      shotsAt(new Set(placeIds)).map(judged),
      [...placeIds.flatMap(about), ...more],
      derivedFilm.derived !== null && placeIds.every(known),
    );
  const film: ComputedRef<Verdict> = computed(() =>
    ofPlaces([...(derivedFilm.derived?.places.keys() ?? [])], derivedFilm.derived?.budget.warnings ?? []),
  );
  return { film, ofPlaces };
};
