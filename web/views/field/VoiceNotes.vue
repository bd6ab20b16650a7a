<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { VOICE_LIMIT_S, type VoiceNote } from '@core/model';
import { ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import { useRecorder, type Recorded } from './useRecorder';
import { tr } from './messages';

/** What was said about a take, kept as it was said. */
defineProps<{ notes: readonly VoiceNote[] }>();
const emit = defineEmits<{ keep: [recorded: Recorded]; remove: [id: string] }>();
const { state, seconds, able, start, stop, again } = useRecorder((recorded) => {
  emit('keep', recorded);
});
const playing = ref('');
const unheard = ref('');
let sound: HTMLAudioElement | null = null;
let address = '';

const hush = (): void => {
  sound?.pause();
  sound = null;
  playing.value = '';
  URL.revokeObjectURL(address);
};
const play = async (note: VoiceNote): Promise<void> => {
  const same = playing.value === note.id;
  hush();
  if (same) return;
  const bytes = Uint8Array.from(atob(note.data), (c) => c.charCodeAt(0));
  address = URL.createObjectURL(new Blob([bytes], { type: note.mime }));
  sound = new Audio(address);
  sound.onended = hush;
  playing.value = note.id;
  unheard.value = '';
  try {
    await sound.play();
  } catch {
    hush();
    unheard.value = note.id;
  }
};
const press = (): void => {
  if (state.value === 'recording') {
    stop();
    return;
  }
  again();
  void start();
};
</script>

<template>
  <div class="voice">
    <ElButton
      v-if="able"
      class="btn"
      :class="{ on: state === 'recording' }"
      :aria-pressed="state === 'recording'"
      :disabled="state === 'asking'"
      @click="press"
    >
      {{
        state === 'recording'
          ? tr('stopSeconds', { seconds, most: VOICE_LIMIT_S })
          : state === 'asking'
            ? tr('allowMicrophone')
            : tr('recordVoiceNote')
      }}
    </ElButton>
    <span v-if="state === 'refused'" role="status">{{ tr('microphoneRefused') }}</span>
    <ul v-if="notes.length > 0" :aria-label="tr('voiceNotes')">
      <li v-for="n in notes" :key="n.id">
        <ElButton class="btn" :aria-pressed="playing === n.id" @click="play(n)">
          {{ playing === n.id ? tr('stop') : tr('play') }} <Fig :value="n.seconds" quantity="seconds" />
        </ElButton>
        <ElButton class="btn bare" @click="emit('remove', n.id)">{{ tr('deleteVoiceNote') }}</ElButton>
        <span v-if="unheard === n.id" role="status">{{ tr('thisBrowserCannotPlay') }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.voice,
ul,
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.btn {
  min-height: 44px;
}
.on {
  background: var(--stop);
  border-color: var(--stop);
  color: var(--bench);
}
</style>
