import type { Entity, CheckMoment } from '@core/model';
import {
  answerKey,
  contextOf,
  foundKey,
  goOfFlight,
  goOfPlace,
  newAnswer,
  sheetsOf,
  SCOPE_OF,
  type Context,
  type SheetLine,
} from '@core/checks';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

type Answer = Entity<'answer'>;
export type Verdict = Answer['verdict'];
const TICK_MS = 20_000;

/** The place, the flight and the shot in hand, with the sheets of the day and what they come to. */
export const useChecks = () => {
  const film = useFilm();
  const findings = useFindings();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const moment = ref<CheckMoment>('evening-before');
  const flightN = ref(0);
  const nowMs = ref(Date.now());
  let timer: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    timer = setInterval(() => {
      nowMs.value = Date.now();
    }, TICK_MS);
  });
  onBeforeUnmount(() => clearInterval(timer));

  const place = computed(() => selection.place);
  const flights = computed(() => place.value?.flights ?? []);
  const shots = computed(() =>
    [...(derivedFilm.derived?.shots.values() ?? [])].filter(
      (s) => s.facts.location.id === place.value?.location.id,
    ),
  );
  const context = computed<Context | null>(() => {
    const [here, { derived }, { input }] = [place.value, derivedFilm, film];
    if (!here || !derived || !input) return null;
    const { places: looked, shots: told } = findings.of('site');
    const about = looked.get(here.location.id);
    const site = about ? [...about, ...shots.value.flatMap((s) => told.get(s.facts.shot.id) ?? [])] : null;
    return contextOf(input, derived, {
      locationId: here.location.id,
      flight: flightN.value,
      shotId: selection.shotId,
      site,
      nowMs: nowMs.value,
    });
  });
  const sheets = computed(() => (context.value ? sheetsOf(context.value) : []));
  const sheet = computed(() => sheets.value.find((s) => s.moment === moment.value) ?? null);
  const go = computed(() => {
    if (!context.value) return null;
    const alone = SCOPE_OF[moment.value] === 'flight' || SCOPE_OF[moment.value] === 'take';
    return {
      of: alone && context.value.flight ? ('flight' as const) : ('place' as const),
      ...(alone && context.value.flight ? goOfFlight(context.value) : goOfPlace(context.value)),
    };
  });
  /** Every flight of the location by itself, for the list beside the figure. */
  const flightGo = computed(() => {
    const c = context.value;
    return c
      ? flights.value.map((flight, index) => ({
          index,
          pack: film.get('pack', flight.packId ?? '')?.name ?? tr('noPack'),
          ...goOfFlight({ ...c, flight }),
        }))
      : [];
  });
  const who = computed(() => film.get('pilot', film.film?.pilotId ?? '')?.name ?? '');

  /** Enters an answer; the log keeps who, when and why. @returns what kept it from being entered */
  const answer = (
    { id, scope, look }: Pick<SheetLine, 'id' | 'scope'> & { readonly look?: SheetLine['result'] },
    verdict: Verdict,
    reason = '',
    at: CheckMoment = moment.value,
  ): string => {
    const c = context.value;
    if (!c) return '';
    const key = answerKey(c, scope);
    const value = newAnswer(
      film.list('answer'),
      {
        id: uuid(),
        ...key,
        checkId: id,
        moment: at,
        verdict,
        reason,
        found: look ? foundKey(look) : '',
        who: who.value,
      },
      Date.now(),
    );
    const faults = film.commit(tr('check'), [{ kind: 'answer', id: value.id, after: value }]);
    nowMs.value = Date.now();
    return faults[0]?.say ?? '';
  };
  return { moment, flightN, flights, shots, place, context, sheets, sheet, go, flightGo, who, answer };
};

export type Ready = ReturnType<typeof useChecks>;
