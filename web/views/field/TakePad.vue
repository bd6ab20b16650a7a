<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import {
  TAKE_RATINGS,
  TAKE_REASONS,
  type Take,
  type TakeRating,
  type TakeReason,
  type VoiceNote,
} from '@core/model';
import { clockText } from '@core/time';
import { reactive, ref } from 'vue';
import { inSentence, REASON_WORDS } from '../../format';
import type { Recorded } from './useRecorder';
import VoiceNotes from './VoiceNotes.vue';
import { tr } from './messages';

/** Judges takes with a thumb. Nothing is judged before somebody has said that it was recording. */
defineProps<{
  zone: string;
  takes: readonly Take[];
  wanted: number;
  good: number;
  voiceNotes: ReadonlyMap<string, readonly VoiceNote[]>;
}>();
/** Somebody has said that the camera is recording. */
const recording = defineModel<boolean>('recording', { required: true });
const emit = defineEmits<{
  add: [rating: TakeRating];
  because: [id: string, reason: TakeReason | null];
  describe: [id: string, fields: Partial<Pick<Take, 'clip' | 'notes'>>];
  remove: [id: string];
  speak: [takeId: string, recorded: Recorded];
  unspeak: [id: string];
}>();
/** The take whose clip and note are being entered. */
const opened = ref('');
const entered = reactive({ clip: '', notes: '' });
const RATING_WORDS: Readonly<Record<TakeRating, string>> = {
  get good() {
    return tr('good');
  },
  get maybe() {
    return tr('maybe');
  },
  get 'no-good'() {
    return tr('noGood');
  },
};
const describe = (take: Take): void => {
  Object.assign(entered, { clip: take.clip, notes: take.notes });
  opened.value = opened.value === take.id ? '' : take.id;
};
const judge = (rating: TakeRating): void => {
  emit('add', rating);
};
</script>

<template>
  <section class="takes" :aria-label="tr('takes')">
    <p class="count">
      {{ tr('take') }} <b>{{ takes.length + 1 }}</b>{{
        takes.length < wanted ? ` ${tr('ofWanted', { wanted })}` : ''
      }}<span class="quiet">, {{ good === 0 ? tr('noneGoodYet') : tr('goodGood', { good }) }}</span>
    </p>
    <ElButton
      class="btn big rec"
      :class="{ on: recording }"
      :aria-pressed="recording"
      @click="recording = !recording"
    >
      {{ recording ? tr('recording') : tr('recording2') }}
    </ElButton>
    <div class="rate">
      <ElButton
        v-for="r in TAKE_RATINGS"
        :key="r"
        class="btn big"
        :class="r"
        :disabled="!recording && r !== 'no-good'"
        @click="judge(r)"
      >
        {{ RATING_WORDS[r] }}
      </ElButton>
    </div>
    <ul v-if="takes.length > 0" class="list" :aria-label="tr('takesSoFar')">
      <li v-for="(t, i) in takes" :key="t.id">
        <b>{{ i + 1 }}</b>
        <span class="rated" :class="t.rating">{{ inSentence(RATING_WORDS[t.rating]) }}</span>
        <span class="quiet">{{ clockText(t.utcMs, zone) }}{{ t.reversed ? tr('reversed') : '' }}</span>
        <span v-if="t.rating !== 'good'" class="why"
          ><ElButton
            v-for="r in TAKE_REASONS"
            :key="r"
            class="btn"
            :class="{ on: t.reason === r }"
            :aria-pressed="t.reason === r"
            @click="emit('because', t.id, t.reason === r ? null : r)"
          >
            {{ REASON_WORDS[r] }}
          </ElButton></span
        >
        <span v-if="t.clip && opened !== t.id" class="quiet">{{ t.clip }}</span>
        <span v-if="t.notes && opened !== t.id" class="note" dir="auto">{{ t.notes }}</span>
        <span v-if="opened === t.id" class="more">
          <label
            >{{ tr('clip') }}
            <ElInput
              v-model="entered.clip"
              maxlength="200"
              @change="emit('describe', t.id, { clip: entered.clip.trim() })"
          /></label>
          <label
            >{{ tr('note') }}
            <ElInput
              v-model="entered.notes"
              maxlength="1000"
              @change="emit('describe', t.id, { notes: entered.notes.trim() })"
          /></label>
        </span>
        <VoiceNotes
          v-if="opened === t.id || voiceNotes.has(t.id)"
          class="said"
          :notes="voiceNotes.get(t.id) ?? []"
          @keep="(recorded) => emit('speak', t.id, recorded)"
          @remove="(id) => emit('unspeak', id)"
        />
        <ElButton
          class="btn bare"
          :aria-expanded="opened === t.id"
          :aria-label="tr('clipAndNoteOfTake', { value: i + 1 })"
          @click="describe(t)"
        >
          {{ tr('note') }}
        </ElButton>
        <ElButton
          class="btn bare"
          :aria-label="tr('deleteTakeValue', { value: i + 1 })"
          @click="emit('remove', t.id)"
        >
          {{ tr('delete') }}
        </ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.takes {
  display: grid;
  gap: 8px;
}
.count {
  font-size: 18px;
  margin: 0;
}
.count b {
  font-size: 26px;
}
.big {
  min-height: 60px;
  font-size: 20px;
  font-weight: 620;
}
.rec.on {
  background: var(--stop);
  border-color: var(--stop);
  color: var(--bench);
}
.rate {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.rate .good:not(:disabled) {
  background: var(--verdigris);
  color: var(--bench);
  border-color: var(--verdigris);
}
.list {
  display: grid;
  gap: 4px;
}
.list li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 4px 0;
}
.rated.good {
  color: var(--verdigris);
}
.rated.no-good {
  text-decoration: line-through;
}
.why {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  flex: 1 1 100%;
}
.why .btn {
  min-height: 44px;
}
.why .on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.list > li > .btn:nth-last-of-type(2) {
  margin-inline-start: auto;
}
.list .btn {
  min-height: 44px;
}
.more {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 8px;
  flex: 1 1 100%;
}
.more label {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--chalk-2);
}
.more .el-input {
  --el-input-height: 44px;
  flex: 1;
  min-width: 0;
  font-size: inherit;
}
.said,
.note {
  flex: 1 1 100%;
  color: var(--chalk-2);
}
</style>
