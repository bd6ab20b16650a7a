import { counted } from '../format';
import { adopt, dayJob, proposalOf, type DayJob, type DayProposal } from '@core/scheduler';
import { contradiction, beforePairs, type FlightChange } from '@core/day';
import type { DerivedFilm } from '@core/film';
import type { FilmInput } from '@core/model';
import { proxy } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { v4 as uuid } from 'uuid';
import { planWorker, type PlanWorker } from '../composables/plan-worker';
import { useFilm } from './film';
import { useFlightEdits } from './flight-edits';
import { useSelection } from './selection';
import { useDerivedFilm } from './derived-film';
import { tr } from './messages';

const SEARCH_MS = 3000;

/** What the planner is asked for a date, or in words why it cannot be. */
const jobFor = (input: FilmInput, derived: DerivedFilm, date: string, nowMs: number): DayJob | string => {
  if (contradiction(beforePairs(input.shots)).length > 0) return tr('someShotsAreToCome');
  const job = dayJob(input, derived, date, nowMs);
  if (!job) return tr('thatDayHasNoLocation');
  return job.groups.length > 0 ? job : tr('nothingIsLeftToPlan');
};

/** Whether two states of a film differ in nothing but the ground that has been fetched. */
const onlyGround = (a: FilmInput, b: FilmInput): boolean =>
  (Object.keys(b) as (keyof FilmInput)[]).every((k) => k === 'terrain' || a[k] === b[k]);

/** Flights of the open film: what a planner proposes, and what the film would come to with it. */
export const useFlights = defineStore('flights', () => {
  const film = useFilm();
  const edits = useFlightEdits();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const busy = ref(false);
  const progress = ref('');
  const failed = ref('');
  const proposal = shallowRef<DayProposal | null>(null);
  const refused = ref<ReadonlySet<number>>(new Set());
  /** Nothing is launched before; −Infinity for a day that has not begun. */
  const nowMs = ref(-Infinity);
  let from: FilmInput | null = null;
  let planning = '';
  let worker: PlanWorker | null = null;

  const placeIds = (date: string): string[] =>
    derivedFilm.locations.filter((l) => l.date === date).map((l) => l.id);
  const drop = (): void => {
    proposal.value = null;
    refused.value = new Set();
    failed.value = '';
    from = null;
  };
  const stop = (): void => {
    worker?.end();
    worker = null;
    busy.value = false;
    progress.value = '';
  };

  /** Has a date planned; what was found so far is kept when it is stopped. */
  const plan = async (date: string): Promise<void> => {
    derivedFilm.settle();
    const { input } = film;
    const { derived } = derivedFilm;
    if (!input || !derived) return;
    stop();
    drop();
    const job = jobFor(input, derived, date, nowMs.value);
    if (typeof job === 'string') {
      failed.value = job;
      return;
    }
    from = input;
    planning = date;
    busy.value = true;
    progress.value = tr('firstPlan');
    const mine = (worker = planWorker());
    try {
      const answer = await mine.remote.day(
        JSON.parse(JSON.stringify(job)),
        SEARCH_MS,
        proxy((best) => {
          if (from !== input) return;
          proposal.value = proposalOf(job, best);
          progress.value = tr('flightsLeftLeftOut', {
            flights: counted(best.plan.flights.length, 'flight'),
            left: best.plan.left.length,
          });
        }),
      );
      if (from === input) proposal.value = proposalOf(job, answer);
    } catch (error) {
      failed.value = tr('thePlannerStoppedMessage', {
        message: error instanceof Error ? error.message : tr('noReasonGiven'),
      });
    } finally {
      if (worker === mine) stop();
    }
  };

  const accepted = computed(
    () => proposal.value?.flights.filter((f, i) => f.fixed || !refused.value.has(i)) ?? [],
  );
  const changes = computed<FlightChange[]>(() => {
    const { derived } = derivedFilm;
    return from && derived && proposal.value
      ? adopt(from, derived, accepted.value, refused.value.size === 0, nowMs.value, uuid)
      : [];
  });
  /** The film with what is ticked of the proposal. */
  const would = computed(() => (proposal.value && !busy.value ? edits.tried(changes.value) : null));

  const take = (): void => {
    if (edits.apply(tr('planOfTheDay'), changes.value)) selection.say(tr('theDayIsLaidDown'));
    else selection.say(tr('theDayAlreadyIsAs'));
    drop();
  };
  const refuse = (index: number): void => {
    const next = new Set(refused.value);
    if (!next.delete(index)) next.add(index);
    refused.value = next;
  };

  // What was worked out for another state of the film is not offered.
  watch(
    () => film.input,
    (input) => {
      if (!from || !input || input === from) return;
      // Ground that came in late changes nothing a person did: the day is planned anew. So is what is still being planned.
      const again = busy.value || onlyGround(from, input);
      stop();
      drop();
      if (again) void plan(planning);
      else failed.value = tr('somethingChangedMeanwhilePlanThe');
    },
  );
  watch(
    () => film.filmId,
    () => {
      stop();
      drop();
      nowMs.value = -Infinity;
    },
  );
  return {
    busy,
    progress,
    failed,
    proposal,
    refused,
    would,
    nowMs,
    placeIds,
    plan,
    stop,
    drop,
    take,
    refuse,
  };
});
