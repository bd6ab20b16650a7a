<script setup lang="ts">
import type { Beat, CallOut, Try } from '@core/rehearsal';
import type { Vec3 } from '@core/geometry';
import { computed, type Ref } from 'vue';
import { useMessages } from '../../composables/useMessages';
import Fig from '../../parts/Fig.vue';
import LineMap from './LineMap.vue';
import ThumbPad from './ThumbPad.vue';
import type { StickValues } from './useKeySticks';
import type { Phase } from './useRehearsal';
import { tr } from './messages';
import { fixed } from '../../format';

/** What lies over the picture and changes with every frame: figures, lines from above and the side, call-outs, sticks. */
const props = defineProps<{
  /** Refs themselves, so that whoever holds them is not drawn anew with every picture. */
  cockpit: {
    readonly flight: Ref<Try | null>;
    /** Raised with every picture: what is read from the flight is read anew. */
    readonly tick: Ref<number>;
    /** Seconds until it begins. */
    readonly count: Ref<number>;
    readonly stand: Ref<StickValues>;
    /** The beat of the music that sounds now. */
    readonly beat: Ref<Beat | null>;
  };
  totalS: number;
  planned: readonly Vec3[];
  /** There is no picture: the line from above is flown by. */
  plain: boolean;
  call: ((tS: number) => CallOut | null) | null;
  phase: Phase;
  notice: string;
}>();
const emit = defineEmits<{ thumb: [axis: keyof StickValues, value: number] }>();
const { text } = useMessages();
const now = computed(() => {
  void props.cockpit.tick.value;
  const flight = props.cockpit.flight.value;
  if (!flight) return null;
  const { state, pose } = flight;
  return {
    tS: state.tS,
    speedMs: Math.hypot(state.velocity.x, state.velocity.y, state.velocity.z),
    heightM: pose.at.z,
    headingDeg: pose.headingDeg,
    at: pose.at,
    usedWh: state.usedWh,
    touched: state.touched,
  };
});
/** Every so many samples is a corner of the flown line. */
const THIN = 6;
const flown = computed(() => {
  void props.cockpit.tick.value;
  return (props.cockpit.flight.value?.samples ?? []).filter((_, i) => i % THIN === 0).map((s) => s.pose.at);
});
const called = computed(() =>
  now.value && (props.phase === 'flying' || props.phase === 'watching')
    ? (props.call?.(now.value.tS) ?? null)
    : null,
);
const pull = (x: keyof StickValues | null, y: keyof StickValues) => (dx: number, dy: number) => {
  if (x) emit('thumb', x, dx);
  emit('thumb', y, dy);
};
const [left, right, wheel] = [pull('leftX', 'leftY'), pull('rightX', 'rightY'), pull(null, 'tilt')];
</script>

<template>
  <LineMap
    v-if="plain"
    class="whole"
    :planned="planned"
    :flown="flown"
    :now="now?.at ?? null"
    :heading-deg="now?.headingDeg ?? 0"
    from="above"
    :width="720"
    :height="420"
  />
  <div v-if="now" class="figures">
    <span
      ><b>{{ fixed(now.tS, 1) }}</b> {{ tr('ofTotalSS', { totalS: fixed(totalS, 1) }) }}</span
    >
    <span><Fig :value="now.speedMs" quantity="speed" /></span>
    <span><Fig :value="now.heightM" quantity="metres" /> {{ tr('high') }}</span>
    <span><Fig :value="now.usedWh" quantity="wattHours" /></span>
    <span v-if="cockpit.beat.value" class="beat"
      >{{ tr('countNumber', { count: cockpit.beat.value.count }) }}
      <b>{{ cockpit.beat.value.inCount }}</b></span
    >
  </div>
  <div class="maps">
    <LineMap
      :planned="planned"
      :flown="flown"
      :now="now?.at ?? null"
      :heading-deg="now?.headingDeg ?? 0"
      from="above"
      :width="150"
      :height="120"
    />
    <LineMap
      :planned="planned"
      :flown="flown"
      :now="now?.at ?? null"
      :heading-deg="0"
      from="side"
      :width="150"
      :height="80"
    />
  </div>
  <p v-if="phase === 'count'" class="call big" role="status">{{ Math.ceil(cockpit.count.value) }}</p>
  <p v-else-if="phase === 'frozen'" class="call" role="status">{{ notice || tr('frozen') }}</p>
  <p v-else-if="called" class="call" role="status">{{ text(called.say) }}</p>
  <p v-if="now?.touched" class="touched" role="status">{{ tr('touchedTheGround') }}</p>
  <div class="thumbs">
    <ThumbPad
      :label="tr('leftStick')"
      :x="cockpit.stand.value.leftX"
      :y="cockpit.stand.value.leftY"
      @move="left"
    />
    <ThumbPad :label="tr('cameraTilt')" :x="0" :y="cockpit.stand.value.tilt" upright @move="wheel" />
    <ThumbPad
      :label="tr('rightStick')"
      :x="cockpit.stand.value.rightX"
      :y="cockpit.stand.value.rightY"
      @move="right"
    />
  </div>
</template>

<style scoped>
.whole {
  width: 100%;
  height: 100%;
}
.figures {
  position: absolute;
  top: 10px;
  left: 10px;
  display: flex;
  gap: 16px;
  padding: 4px 10px;
  background: color-mix(in srgb, var(--slab) 78%, transparent);
  font-variant-numeric: tabular-nums;
  font-size: 17px;
}
.maps {
  position: absolute;
  top: 10px;
  right: 10px;
  display: grid;
  gap: 6px;
}
.call {
  position: absolute;
  left: 50%;
  bottom: 170px;
  transform: translateX(-50%);
  margin: 0;
  padding: 4px 16px;
  font-size: 24px;
  font-weight: 640;
  background: color-mix(in srgb, var(--slab) 82%, transparent);
}
.call.big {
  font-size: 60px;
}
.touched {
  position: absolute;
  left: 10px;
  top: 54px;
  margin: 0;
  padding: 4px 10px;
  background: var(--stop);
  color: var(--bench);
  font-weight: 640;
}
.thumbs {
  position: absolute;
  left: 14px;
  right: 14px;
  bottom: 14px;
  display: flex;
  justify-content: space-between;
  align-items: end;
}
@media (max-width: 800px) {
  .maps {
    top: 48px;
    grid-auto-flow: column;
    align-items: start;
  }
  .maps svg {
    width: 96px;
    height: auto;
  }
}
</style>
