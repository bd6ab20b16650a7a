import {
  callAt,
  callOuts,
  ghostControls,
  HANDS_OFF,
  markTry,
  plannedAt,
  rehearsalOf,
  STEP_S,
  stepsIn,
  Try,
  type Controls,
  type RehearsedAs,
  type RehearsedShot,
  type TryMarks,
} from '@core/rehearsal';
import type { DerivedShot } from '@core/film';
import type { Trajectory } from '@core/moves';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch, type Ref } from 'vue';
import { drawsOfTry, type KeptTry } from '../../composables/kept-tries';

export type Phase = 'ready' | 'count' | 'flying' | 'frozen' | 'marked' | 'watching';

const COUNT_S = 3;
/** A try ends by itself when it takes so much longer than the plan. */
const LONGEST = 1.6;
const LATE_S = 4;
const AT_END_M = 1.5;
const AT_END_MS = 0.35;
/** After a pause of the page no more than this is flown at once, s. */
const MOST_STEP_S = 0.1;

/** Flown by attitude it comes to no rest: it ends when it passes the end so near. */
const PAST_END_M = 5;

/** A try ends at rest where the plan ends, or when it takes far longer. */
const isOver = ({ state }: Try, { end, totalS }: Trajectory, byAttitude: boolean): boolean => {
  const { at, velocity, tS } = state;
  const off = Math.hypot(at.x - end.at.x, at.y - end.at.y, at.z - end.at.z);
  const still = Math.hypot(velocity.x, velocity.y, velocity.z) < AT_END_MS;
  const there = byAttitude ? off < PAST_END_M : off < AT_END_M && still;
  return (tS >= totalS && there) || tS > totalS * LONGEST + LATE_S;
};

/**
 * Flies a shot by hand: counts down, steps with the clock, freezes, goes back, marks.
 * @param target names what is flown: another one begins anew, the same worked out afresh does not
 */
export const useRehearsal = (
  shot: Ref<DerivedShot | null>,
  target: () => string,
  as: Ref<RehearsedAs>,
  asked: (seconds: number) => Controls,
  drawn: () => void,
) => {
  const phase = ref<Phase>('ready');
  const count = ref(0);
  const half = ref(false);
  const marks = shallowRef<TryMarks | null>(null);
  /** Raised with every picture: what is read from the try is read anew. */
  const tick = ref(0);
  const flight = shallowRef<Try | null>(null);
  const ended = shallowRef<KeptTry | null>(null);
  const rehearsed = computed(() => shot.value && rehearsalOf(shot.value, as.value));
  /** What is flown now: a kept try brings its own profile and wind. */
  let active: RehearsedShot | null = null;
  let seed = 1;
  let before = 0;
  let owed = 0;
  /** Some of it was flown at half speed: it teaches, but it is no try. */
  let slowed = false;
  let frame = 0;
  let controlling: ((t: Try) => Controls) | null = null;

  const begin = (with0: number): Try | null => {
    if (!active) return null;
    seed = with0;
    return new Try(active.trajectory.start, active.craft, { ...active.place, random: drawsOfTry(with0) });
  };
  const reset = (): void => {
    active = rehearsed.value;
    phase.value = 'ready';
    marks.value = null;
    controlling = null;
    slowed = false;
    flight.value = begin(1);
    drawn();
  };
  const finish = (): void => {
    const [t, r] = [flight.value, active];
    if (!t || !r) return;
    const watched = phase.value === 'watching';
    phase.value = 'marked';
    marks.value = markTry(t.samples, r.trajectory, r.verticalFovDeg, r.aimM);
    ended.value =
      watched || slowed || t.rewound || !marks.value
        ? null
        : {
            seed,
            ...as.value,
            mark: marks.value.mark,
            recorded: t.recorded.map((x) => ({ ...x })),
          };
  };
  const step = (s: number): void => {
    if (phase.value === 'count') {
      count.value -= s;
      if (count.value <= 0) phase.value = 'flying';
      return;
    }
    const [t, r] = [flight.value, active];
    if (!t || !r || (phase.value !== 'flying' && phase.value !== 'watching')) return;
    owed += Math.min(MOST_STEP_S, s) * (half.value ? 0.5 : 1);
    const steps = Math.floor(owed / STEP_S);
    owed -= steps * STEP_S;
    if (controlling) for (let i = 0; i < steps; i += 1) t.fly(controlling(t));
    else t.fly(asked(s), steps);
    slowed ||= half.value;
    if (isOver(t, r.trajectory, r.craft.rateDegS !== null)) finish();
  };
  const loop = (now: number): void => {
    const s = before === 0 ? 0 : (now - before) / 1000;
    before = now;
    step(s);
    tick.value += 1;
    drawn();
    frame = requestAnimationFrame(loop);
  };
  const hidden = (): void => {
    if (document.hidden && phase.value === 'flying') phase.value = 'frozen';
  };
  onMounted(() => {
    reset();
    document.addEventListener('visibilitychange', hidden);
    frame = requestAnimationFrame(loop);
  });
  onBeforeUnmount(() => {
    cancelAnimationFrame(frame);
    document.removeEventListener('visibilitychange', hidden);
  });
  watch([target, () => as.value.handling, () => as.value.calm, () => as.value.byAttitude], reset);

  const calls = computed(() => (rehearsed.value ? callOuts(rehearsed.value.trajectory) : []));
  return {
    phase,
    count,
    half,
    marks,
    flight,
    tick,
    ended,
    rehearsed,
    reset,
    finish,
    start: () => {
      reset();
      flight.value = begin(1 + Math.floor(Math.random() * 2 ** 30));
      count.value = COUNT_S;
      owed = 0;
      phase.value = 'count';
    },
    freeze: () => {
      if (phase.value === 'flying') phase.value = 'frozen';
      else if (phase.value === 'frozen') phase.value = 'flying';
    },
    back: (seconds: number) => {
      if (phase.value !== 'flying' && phase.value !== 'frozen') return;
      flight.value?.rewind(seconds);
      phase.value = 'frozen';
    },
    /** Flies the planned line without an error, to be watched. */
    watchGhost: () => {
      reset();
      // Whoever flies by attitude sees the line as it should be, flown with position hold.
      const r = shot.value && rehearsalOf(shot.value, { ...as.value, byAttitude: false });
      if (!r) return;
      active = r;
      flight.value = begin(1);
      controlling = (t) => ghostControls(t.state, r.trajectory, r.craft);
      owed = 0;
      phase.value = 'watching';
    },
    /** Flies a kept try again, exactly. */
    watchKept: (kept: KeptTry) => {
      reset();
      const r = shot.value && rehearsalOf(shot.value, kept);
      if (!r) return;
      active = r;
      flight.value = begin(kept.seed);
      const inputs = kept.recorded.flatMap((x) => Array.from({ length: x.steps }, () => x.controls));
      controlling = (t) => inputs[stepsIn(t.state.tS)] ?? HANDS_OFF;
      owed = 0;
      phase.value = 'watching';
    },
    ghostAt: (tS: number) =>
      (rehearsed.value && plannedAt(rehearsed.value.trajectory, tS)?.pose.at) ?? { x: 0, y: 0, z: 0 },
    callNow: (tS: number) => callAt(calls.value, tS),
  };
};
