<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Message } from '@core/messages';
import type { Entity } from '@core/model';
import { rangeOf } from '@core/terrain';
import { computed, ref, shallowRef } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { doubtfulM } from '../../exchange/heights/doubt';
import type { HeightReading } from '../../exchange/heights/read';
import { keepHeights, readHeightsFile } from '../../exchange/site-files';
import { fixed, writeText } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import { ElInput } from '../../parts/element';
import FieldBox from '../../parts/FieldBox.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useGrounds } from '../../stores/grounds';
import { tr } from './messages';

/** What a file of heights says of the location, before it becomes its ground. */
const props = defineProps<{
  file: File;
  place: Entity<'location'>;
  before: Entity<'ground'> | null;
}>();
const emit = defineEmits<{ close: [] }>();
const film = useFilm();
const grounds = useGrounds();
const { text } = useMessages();
const derivedFilm = useDerivedFilm();
const metres = (value: number): string => writeText(value, 'metres', derivedFilm.units);

const reading = shallowRef<HeightReading | null>(null);
const fault = ref('');
const busy = ref(true);
const code = ref('');
const said = (reason: Message | string): string => (typeof reason === 'string' ? reason : text(reason));

/** Counts readings: one that was overtaken says nothing any more. */
let turn = 0;
const read = async (chosen: number | null): Promise<void> => {
  turn += 1;
  const mine = turn;
  busy.value = true;
  fault.value = '';
  reading.value = null;
  try {
    const answer = await readHeightsFile(props.file, props.place, chosen);
    if (mine !== turn) return;
    if (answer.ok) {
      reading.value = answer.value;
      code.value = String(answer.value.projection.code);
    } else fault.value = said(answer.reason);
  } catch (error) {
    if (mine !== turn) return;
    fault.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
};
const readAs = (value: string): void => {
  code.value = value.replace(/^\s*EPSG:?\s*/i, '').trim();
  if (/^\d{4,6}$/.test(code.value)) void read(Number(code.value));
  else fault.value = tr('projectionNumber');
};
const range = computed(() => (reading.value ? rangeOf(reading.value.grid) : null));
const apart = computed(() => {
  const apartM = reading.value && doubtfulM(reading.value, props.place.elevationM);
  return apartM === null ? '' : metres(apartM);
});
const named = computed(() => {
  if (!reading.value) return '';
  const { namedBy, projection } = reading.value;
  return tr('projectionNamedBy', { name: projection.name, code: String(projection.code), namedBy });
});
const keep = async (): Promise<void> => {
  if (!reading.value) return;
  busy.value = true;
  try {
    const { grid } = reading.value;
    const kept = await keepHeights(
      grid,
      props.file.name,
      props.place,
      props.before,
      grounds.keep,
      film.commit,
    );
    if (kept.ok) emit('close');
    else fault.value = kept.reason;
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
};
void read(null);
</script>

<template>
  <DialogBox :title="tr('heightsOfFile', { name: file.name })" @close="emit('close')">
    <div class="body" :aria-busy="busy">
      <p v-if="busy" class="quiet" role="status">{{ tr('readingName', { name: file.name }) }}</p>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <dl v-if="reading && range" class="facts">
        <dt>{{ tr('projection') }}</dt>
        <dd dir="auto">{{ named }}</dd>
        <dt>{{ tr('grid') }}</dt>
        <dd>
          {{
            tr('gridCells', {
              columns: reading.grid.columns,
              rows: reading.grid.rows,
              cell: metres(reading.grid.cellM),
            })
          }}
          <template v-if="range.holes > 0.0005">{{
            tr('gridHoles', { share: fixed(range.holes * 100, 1) })
          }}</template>
        </dd>
        <dt>{{ tr('groundFromTo') }}</dt>
        <dd>{{ tr('lowToHigh', { low: metres(range.lowM), high: metres(range.highM) }) }}</dd>
        <dt>{{ tr('groundAtTheCoordinates') }}</dt>
        <dd data-here>
          {{ Number.isNaN(reading.hereM) ? tr('holeHere') : metres(reading.hereM) }}
          <span class="quiet">{{ tr('elevationEntered', { elevation: metres(place.elevationM) }) }}</span>
        </dd>
      </dl>
      <p v-for="remark in reading?.remarks ?? []" :key="remark.code" class="care">{{ text(remark) }}</p>
      <p v-if="apart" class="care" role="alert" data-apart>{{ tr('groundApart', { apart }) }}</p>
      <FieldBox id="epsg" :label="tr('projectionEPSG')">
        <ElInput id="epsg" v-model="code" inputmode="numeric" @change="readAs" />
        <p class="quiet">{{ tr('projectionHint') }}</p>
      </FieldBox>
      <div class="acts">
        <ElButton class="btn" @click="emit('close')">{{ tr('cancel') }}</ElButton>
        <ElButton class="btn lead" :disabled="busy || !reading" @click="keep">
          {{ apart ? tr('useHeightsAnyway') : tr('useHeights') }}
        </ElButton>
      </div>
    </div>
  </DialogBox>
</template>

<style scoped>
.body {
  display: grid;
  gap: 10px;
}
.facts {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 14px;
}
.facts dt {
  color: var(--chalk-2);
}
.facts dd {
  margin: 0;
}
.acts {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
}
</style>
