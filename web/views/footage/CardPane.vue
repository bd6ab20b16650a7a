<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import 'element-plus/es/components/progress/style/css';
import { ElProgress } from 'element-plus';
import type { FootageLine } from '@core/handover';
import { computed, toRef } from 'vue';
import { counted } from '../../format';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import { useCardMatch } from './useCardMatch';
import { useSimulatedCard } from './useSimulatedCard';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

/** The clips of a card beside the takes that were noted: which is which, what is missing, what nobody planned. */
const props = defineProps<{ lines: readonly FootageLine[] }>();
const lines = toRef(props, 'lines');
const {
  work,
  fault,
  applied,
  clips,
  match,
  rows,
  takes,
  missing,
  lineOf,
  read,
  readMade,
  pick,
  apply,
  cancel,
} = useCardMatch(lines);
const simulated = useSimulatedCard(lines, takes);
const nameOf = (takeId: string): string => {
  const line = lineOf(takeId);
  return line
    ? tr('shotNumberTakeFindIndexTitle', {
        number: line.number,
        findIndex: line.flown.findIndex((t) => t.id === takeId) + 1,
        title: line.title,
      })
    : '';
};
const options = computed(() => [
  { value: null, label: tr('noTake') },
  ...takes.value.map((t) => ({ value: t.id as string | null, label: nameOf(t.id) })),
]);
const never = computed(() => props.lines.filter((l) => l.flown.length === 0));
const doing = computed(() => {
  const w = work.value;
  if (!w) return '';
  const figures = { done: w.done, all: w.all };
  return {
    write: () => tr('clipsWritten', figures),
    read: () => tr('clipsReadOf', figures),
    picture: () => tr('picturesTaken', figures),
  }[w.what]();
});
</script>

<template>
  <section class="sheet" aria-labelledby="card-title">
    <header>
      <h2 id="card-title">{{ tr('cardToShots') }}</h2>
      <span class="acts">
        <ElButton v-if="simulated.possible.value" class="btn" @click="readMade(simulated.make)">
          {{ tr('simulatedCard') }}
        </ElButton>
        <FileButton folder :label="tr('chooseTheCardsFolder')" @files="read" />
        <FileButton
          multiple
          :label="tr('chooseClips')"
          accept="video/mp4,video/quicktime,.mp4,.mov,.m4v"
          @files="read"
        />
      </span>
    </header>
    <p class="quiet">
      {{ tr('onlyHeadersAreReadHere') }}
    </p>
    <div v-if="work" class="progress">
      <ElProgress
        :percentage="Math.floor((100 * work.done) / Math.max(1, work.all))"
        :show-text="false"
        :aria-label="doing"
      />
      <span>{{ doing }}</span>
      <ElButton class="btn" @click="cancel">{{ tr('cancel') }}</ElButton>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-if="applied" class="named">
      <span role="status">{{ tr('takesAreNamed') }}</span>
      <ElButton class="btn" @click="applied = false">{{ tr('showTheMatch') }}</ElButton>
    </p>
    <template v-else-if="match && rows.length > 0">
      <p role="status">
        {{
          tr('clipsRowsMatchedTakesWithout', {
            clips: counted(rows.length, 'clip'),
            rows: rows.filter((r) => r.takeId).length,
            takes: counted(missing.length, 'take'),
            shots: counted(never.length, 'shot'),
            clockOffsetS:
              Math.abs(match.clockOffsetS) < 1
                ? tr('right')
                : `${Math.abs(match.clockOffsetS).toFixed(0)} s ${match.clockOffsetS > 0 ? tr('slow') : tr('fast')}`,
          })
        }}
      </p>
      <ul class="rows">
        <li v-for="r in rows" :key="r.clip.name" :class="{ none: !r.takeId, faulty: r.faults.length > 0 }">
          <span class="clip"
            ><b dir="auto">{{ r.clip.name }}</b>
            <span class="quiet"
              ><Fig v-if="r.clip.lengthS !== null" :value="r.clip.lengthS" quantity="seconds" /><template
                v-else
                >{{ tr('lengthUnknown') }}</template
              ><template v-if="r.clip.fps !== null">{{
                tr('replaceFps', { replace: r.clip.fps.toFixed(2).replace(/\.?0+$/, '') })
              }}</template></span
            ></span
          >
          <PickField
            :label="tr('takeOfName', { name: r.clip.name })"
            bare
            :value="r.takeId"
            :options="options"
            :save="(v) => pick(r.clip.name, v)"
          />
          <span class="sure quiet">{{
            r.confidence === null
              ? r.takeId
                ? tr('byHand')
                : ''
              : tr('confidenceSure', { confidence: Math.round(r.confidence * 100) })
          }}</span>
          <span v-if="r.faults.length > 0" class="why">{{ r.faults.join(', ') }}</span>
        </li>
      </ul>
      <p v-for="t in missing" :key="t.id" class="why">
        {{ tr('noClipForNameOf', { nameOf: nameOf(t.id) }) }}
      </p>
      <ElButton class="btn lead" :disabled="work !== null || rows.every((r) => !r.takeId)" @click="apply">
        {{ tr('nameTheTakes') }}
      </ElButton>
    </template>
    <p v-else-if="clips && !work" role="status">{{ tr('noClipInThereMP4') }}</p>
  </section>
</template>

<style scoped>
.sheet {
  background: var(--slab);
  padding: 14px 18px 16px;
  margin-bottom: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.progress {
  display: grid;
  grid-template-columns: 1fr auto auto;
  align-items: center;
  gap: 12px;
  margin: 8px 0;
}
.named {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.rows {
  list-style: none;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) minmax(180px, 1.4fr) 84px;
  gap: 2px 10px;
  align-items: center;
  padding: 5px 0 5px 9px;
  border-top: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.rows li.none {
  border-left-color: var(--chalk-3);
}
.rows li.faulty {
  border-left-color: var(--care);
}
.clip .quiet {
  display: block;
  font-size: 13px;
}
.sure {
  font-size: 13px;
}
.why {
  color: var(--care);
  font-size: 13.5px;
}
.rows .why {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .rows li {
    grid-template-columns: 1fr;
  }
}
</style>
