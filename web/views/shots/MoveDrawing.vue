<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { fixed } from '../../format';
import type { DerivedShot } from '@core/film';
import { computed, ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import PlanSketch from '../../parts/PlanSketch.vue';
import { SliderControl } from '../../parts/slider-control';
import { launchOfShot } from '../../composables/shot-launch';
import { useFilm } from '../../stores/film';
import { useDeferred } from '../../composables/deferred';
import { useSelection } from '../../stores/selection';
import EyeView from '../../parts/EyeView.vue';
import SideView from './SideView.vue';
import { tr } from './messages';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const selection = useSelection();
/** The dearest of the three drawings, a picture later. */
const eye = useDeferred(() => props.shot);
const share = ref(0.5);
const subjects = computed(() =>
  film
    .list('subject')
    .filter((s) => s.locationId === props.shot.facts.location.id && s.id === props.shot.facts.shot.subjectId),
);
const launch = computed(() => launchOfShot(film, props.shot.facts));
const seconds = computed(() => share.value * (props.shot.facts.trajectory?.totalS ?? 0));
</script>

<template>
  <div class="drawing">
    <div class="panes">
      <figure>
        <SideView :facts="shot.facts" :share="share" :width="230" :height="168" />
        <figcaption class="label">{{ tr('fromTheSide') }}</figcaption>
      </figure>
      <figure>
        <EyeView :shot="eye" :share="share" :width="290" :height="168" />
        <figcaption class="label">{{ tr('throughTheLens') }}</figcaption>
      </figure>
      <figure>
        <PlanSketch
          :subjects="subjects"
          :shots="[shot]"
          :picked="shot.facts.shot.id"
          :width="230"
          :height="168"
          :share="share"
          :wind-from-deg="shot.facts.location.windFromDeg"
          :launch="launch"
          :sun-deg="shot.light && shot.light.sun.altitudeDeg > -6 ? shot.light.sun.azimuthDeg : undefined"
          @pick="selection.pick"
        />
        <figcaption class="label">{{ tr('fromAbove') }}</figcaption>
      </figure>
    </div>
    <p v-for="m in shot.facts.trajectory?.marks ?? []" :key="m.say" class="mark label">
      <ElButton class="btn bare" @click="share = m.timeS / (shot.facts.trajectory?.totalS ?? 1)">
        {{ tr('sayAfter', { say: m.say }) }} <Fig :value="m.timeS" quantity="seconds" />
      </ElButton>
    </p>
    <div class="scrub">
      <span class="label">{{ tr('alongTheMove') }}</span>
      <SliderControl
        :value="share"
        :min="0"
        :max="1"
        :step="1 / 16"
        :label="tr('alongTheMove')"
        @slide="
          (v: number) => {
            share = v;
          }
        "
      />
      <span class="label at">{{ fixed(seconds, 1) }}<span class="unit">s</span></span>
    </div>
  </div>
</template>

<style scoped>
.panes {
  display: grid;
  grid-template-columns: 23fr 29fr 23fr;
  gap: 6px;
}
figure {
  margin: 0;
  position: relative;
}
figcaption {
  position: absolute;
  left: 6px;
  top: 3px;
  font-size: 11px;
  background: color-mix(in srgb, var(--bench) 72%, transparent);
  padding: 0 4px;
}
.mark {
  margin: 2px 0 0;
}
.mark .btn {
  min-height: 24px;
  padding: 0 6px;
}
.scrub {
  display: grid;
  grid-template-columns: auto 1fr 56px;
  gap: 14px;
  align-items: center;
  padding-top: 2px;
}
.at {
  text-align: right;
}
@media (max-width: 700px) {
  .panes {
    grid-template-columns: 1fr 1fr;
  }
  .panes > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 1;
  }
}
</style>
