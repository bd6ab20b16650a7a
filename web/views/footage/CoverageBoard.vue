<script setup lang="ts">
import type { CoveredPlace, CutCoverage } from '@core/handover';
import { computed, ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import InPieces from '../../parts/InPieces.vue';
import PathThumb from '../../parts/PathThumb.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useReadClips } from '../../stores/read-clips';
import { faultsOf } from './useCardMatch';
import { tr } from './messages';

/** The cut after the shoot, place by place, with a picture of the clip that fills it. */
const props = defineProps<{ coverage: CutCoverage }>();
const clips = useReadClips();
const hideKept = ref(false);
const whole = (s: number): number => Math.round(s);
const isKept = (p: CoveredPlace): boolean => p.state === 'kept' || p.state === 'logged';
const missing = computed(() => props.coverage.places.filter((p) => !isKept(p) && p.state !== 'maybe'));
const missingS = computed(() => missing.value.reduce((sum, p) => sum + p.timelineS, 0));
const shown = computed(() =>
  (hideKept.value ? props.coverage.places.filter((p) => !isKept(p)) : props.coverage.places).map((place) => {
    const { best, line, state } = place;
    const clip = best ? (clips.byTake.get(best.id) ?? null) : null;
    const read = clip && clip.name === best?.clip ? clip : null;
    return {
      ...place,
      words: tr(`coverage.${state}`),
      clip: read,
      faults: read && best && line ? faultsOf(read, best.id, line) : [],
      /** Why there is no picture of a take that is there. */
      why: !best ? '' : best.clip === '' ? tr('noClipNamed') : !read ? tr('clipNotRead') : tr('notDecoded'),
    };
  }),
);
</script>

<template>
  <div>
    <p class="sums">
      <span role="status">{{
        missing.length === 0
          ? tr('nothingIsMissing')
          : tr('missingForTheCut', { n: missing.length, seconds: whole(missingS) })
      }}</span>
      <span class="quiet">{{
        tr('coverageSums', {
          kept: whole(coverage.seconds.kept + coverage.seconds.logged),
          total: whole(coverage.totalS),
          maybe: whole(coverage.seconds.maybe),
        })
      }}</span>
      <SwitchField
        :label="tr('hideWhatIsKept')"
        :value="hideKept"
        :save="(v: boolean) => void (hideKept = v)"
      />
      <RouterLink v-if="missing.length > 0" class="btn" :to="{ name: 'debrief' }">{{
        tr('planSecondDay')
      }}</RouterLink>
    </p>
    <ol class="board">
      <InPieces :items="shown" :key-of="(p) => p.id" :size="8" v-slot="{ item: p }">
        <li :class="p.state">
          <div class="picture">
            <img
              v-if="p.clip?.picture"
              :src="p.clip.picture"
              :alt="tr('pictureOfClip', { clip: p.clip.name })"
            />
            <template v-else>
              <PathThumb
                v-if="p.line"
                :flown="p.line.shot.facts.trajectory"
                :subject="p.line.shot.facts.aim"
              />
              <span v-else-if="p.ground" class="quiet">{{ tr('fromTheGround') }}</span>
              <span v-if="p.why" class="why">{{ p.why }}</span>
            </template>
          </div>
          <p class="title">
            <b v-if="p.line">{{ p.line.number }}</b> <span dir="auto">{{ p.title || tr('untitled') }}</span>
          </p>
          <p class="state">
            <span class="word">{{ p.words }}</span>
            <Fig :value="p.timelineS" quantity="seconds" />
          </p>
          <p v-if="p.best?.clip" class="clip" dir="auto">
            {{ p.best.clip }}
            <Fig
              v-if="p.clip && p.clip.lengthS !== null"
              class="quiet"
              :value="p.clip.lengthS"
              quantity="seconds"
            />
          </p>
          <p v-for="f in p.faults" :key="f" class="fault-line">{{ f }}</p>
        </li>
      </InPieces>
    </ol>
  </div>
</template>

<style scoped>
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  margin: 8px 0 12px;
}
.sums .btn {
  margin-inline-start: auto;
}
.board {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 14px 12px;
}
li {
  border-top: 3px solid var(--chalk-3);
  min-width: 0;
}
li.kept,
li.logged {
  border-top-color: var(--verdigris);
}
li.maybe {
  border-top: 3px dashed var(--care);
}
li.no-good,
li.missing {
  border-top: 3px dotted var(--stop);
}
.picture {
  position: relative;
  aspect-ratio: 16 / 9;
  background: var(--bench);
  display: grid;
  place-items: center;
  overflow: hidden;
}
.picture img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
li.missing .picture,
li.no-good .picture {
  opacity: 0.75;
}
.why {
  position: absolute;
  inset-inline: 6px;
  bottom: 4px;
  font-size: 12.5px;
  color: var(--chalk-2);
}
li p {
  margin: 3px 0 0;
  line-height: 1.3;
}
.title {
  overflow-wrap: anywhere;
}
.state,
.clip {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-size: 13.5px;
}
.state {
  color: var(--chalk-2);
}
.missing .word,
.no-good .word {
  color: var(--stop);
  font-weight: 600;
}
.maybe .word {
  color: var(--care);
  font-weight: 600;
}
.clip {
  overflow-wrap: anywhere;
}
.fault-line {
  color: var(--care);
  font-size: 13.5px;
}
</style>
