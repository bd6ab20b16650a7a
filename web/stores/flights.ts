import { adopt, contradiction, beforePairs, dayJob, deriveFilm, FilmReckoner, letGo, proposalOf, riskDay, weighFlights, withChanges, type DayProposal, type DerivedFilm, type FilmInput, type FlightChange, type FlightsWeighed } from '@core/film';
import { proxy, wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { v4 as uuid } from 'uuid';
import type { Chances, PlanWorker } from '../workers/plan.worker';
import { useFilm } from './film';
import { useLooking } from './looking';
import { useReckoning } from './reckoning';

const SEARCH_MS = 3000;

/** A plan that was put aside to compare with: rows as they were. */
interface Aside { readonly flights: FilmInput['flights']; readonly shots: FilmInput['shots']; readonly weighed: FlightsWeighed }

/** Flights of the open film: what a planner proposes, what was put aside, what would come of a change. */
export const useFlights = defineStore('flights', () => {
  const film = useFilm();
  const looking = useLooking();
  const reckoning = useReckoning();
  const busy = ref(false);
  const progress = ref('');
  const failed = ref('');
  const proposal = shallowRef<DayProposal | null>(null);
  const refused = ref<ReadonlySet<number>>(new Set());
  /** Nothing is launched before; −Infinity for a day that has not begun. */
  const nowMs = ref(-Infinity);
  const aside = shallowRef<Aside | null>(null);
  let from: FilmInput | null = null;
  let worker: Worker | null = null;
  /** Remembers what does not change between tries. */
  const reckoner = new FilmReckoner();

  const placeIds = (date: string): string[] => reckoning.locations.filter((l) => l.date === date).map((l) => l.id);
  const drop = (): void => { proposal.value = null; refused.value = new Set(); from = null; };
  const stop = (): void => { worker?.terminate(); worker = null; busy.value = false; progress.value = ''; };
  const remote = (): Remote<PlanWorker> => {
    worker?.terminate();
    worker = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module', name: 'plan' });
    return wrap<PlanWorker>(worker);
  };

  /** Has a date planned; what was found so far is kept when it is stopped. */
  const plan = async (date: string): Promise<void> => {
    reckoning.settle();
    const { input } = film;
    const { derived } = reckoning;
    if (!input || !derived) return;
    stop(); drop(); failed.value = '';
    if (contradiction(beforePairs(input.shots)).length > 0) { failed.value = 'Some slates are to come before each other in a ring; see the warning on which. Nothing can be planned until one of them gives way.'; return; }
    const job = dayJob(input, derived, date, nowMs.value);
    if (!job || job.groups.length === 0) { failed.value = job ? 'Nothing is left to plan: the windows of that day are past, or no slate has an aircraft and a path.' : 'That day has no place whose window is known.'; return; }
    from = input;
    busy.value = true;
    progress.value = 'first plan';
    try {
      const answer = await remote().day(JSON.parse(JSON.stringify(job)), SEARCH_MS, proxy((best) => {
        if (from !== input) return;
        proposal.value = proposalOf(job, best);
        progress.value = `${best.plan.flights.length} flights, ${best.plan.left.length} left out`;
      }));
      if (from === input) proposal.value = proposalOf(job, answer);
    } catch (error) { failed.value = `The planner stopped: ${error instanceof Error ? error.message : 'no reason given'}.`; } finally { stop(); }
  };

  const accepted = computed(() => proposal.value?.flights.filter((f, i) => f.fixed || !refused.value.has(i)) ?? []);
  const all = computed(() => refused.value.size === 0);
  const changes = computed<FlightChange[]>(() => {
    const { derived } = reckoning;
    return from && derived && proposal.value ? adopt(from, derived, accepted.value, all.value, nowMs.value, uuid) : [];
  });
  /** What the film would come to with some changes, worked out as it would be shown. */
  const tried = (some: readonly FlightChange[]): DerivedFilm | null => (film.input ? reckoner.derive(withChanges(film.input, some)) : null);
  /** The film with what is ticked of the proposal. */
  const would = computed(() => (proposal.value && !busy.value ? tried(changes.value) : null));

  const apply = (label: string, some: readonly FlightChange[] | null): boolean => {
    if (!some || some.length === 0) return false;
    const faults = film.act(label, some.map((c) => ({ kind: c.kind, id: c.id, after: c.after as never })));
    if (faults[0]) looking.say(faults[0].say);
    return faults.length === 0;
  };
  const take = (): void => {
    if (apply('plan of the day', changes.value)) looking.say('The day is laid down as ticked. Ctrl+Z takes it back.');
    else looking.say('The day already is as proposed.');
    drop();
  };
  const refuse = (index: number): void => { const next = new Set(refused.value); if (!next.delete(index)) next.add(index); refused.value = next; };

  /** Lets a place's flights fall out of the list again. */
  const release = (locationIds: readonly string[]): void => {
    const { input } = film;
    if (input && apply('let flights go', locationIds.flatMap((id) => letGo(input, id)))) looking.say('What was laid down is let go; locked flights stay.');
  };

  const putAside = (date: string): void => {
    const { input } = film;
    const ids = placeIds(date);
    if (!input || !reckoning.derived) return;
    aside.value = { flights: input.flights.filter((f) => ids.includes(f.locationId)), shots: input.shots.filter((s) => ids.includes(s.locationId)), weighed: weighFlights(reckoning.derived, ids) };
    looking.say('This plan is put aside. Change what you like, then compare.');
  };
  /** Brings back the flights that were put aside, and the direction each slate was flown in. */
  const bringBack = (): void => {
    const { input } = film;
    const kept = aside.value;
    if (!input || !kept) return;
    const places = new Set(kept.shots.map((s) => s.locationId));
    const now = input.flights.filter((f) => places.has(f.locationId));
    const turned = kept.shots.flatMap((s): FlightChange[] => { const shot = input.shots.find((x) => x.id === s.id); return shot && shot.move.reversed !== s.move.reversed ? [{ kind: 'shot', id: s.id, after: { ...shot, move: { ...shot.move, reversed: s.move.reversed } } }] : []; });
    apply('plan put aside', [
      ...now.filter((f) => !kept.flights.some((k) => k.id === f.id)).map((f): FlightChange => ({ kind: 'flight', id: f.id, after: null })),
      ...kept.flights.filter((k) => JSON.stringify(now.find((f) => f.id === k.id)) !== JSON.stringify(k)).map((f): FlightChange => ({ kind: 'flight', id: f.id, after: f })), ...turned,
    ]);
    looking.say('The plan put aside is back.');
  };

  /** Throws the dice for a date; null where nothing is planned. */
  const chances = async (date: string): Promise<Chances | null> => {
    const { input } = film;
    const day = input && riskDay({ ...input, kit: reckoning.along }, reckoning.derived ?? deriveFilm(input), date);
    return day ? remote().chances(JSON.parse(JSON.stringify(day))) : null;
  };

  // What was worked out for another state of the film is not offered.
  watch(() => film.input, (input) => { if (from && input !== from) { if (busy.value) stop(); drop(); } });
  watch(() => film.filmId, () => { stop(); drop(); aside.value = null; nowMs.value = -Infinity; });
  return { busy, progress, failed, proposal, refused, accepted, would, nowMs, aside, placeIds, plan, stop, drop, tried, apply, take, refuse, release, putAside, bringBack, chances };
});
