<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed, ref } from 'vue';
import { saveFile } from '../../composables/save-file';
import { language, LANGUAGES, type Language } from '../../language';
import PickField from '../../parts/PickField.vue';
import { Unreachable, ApiProblem } from '../../sync/api';
import { documentGroups, fetchDocument } from './documents';
import { tr } from './messages';

const props = defineProps<{ film: string }>();
const paper = ref<'A4' | 'LETTER'>('A4');
/** Of the papers; those of the interface until another is chosen. */
const chosen = ref<Language | null>(null);
const spoken = computed(() => chosen.value ?? language.value);
const TONGUES = LANGUAGES.map(({ code, name }) => ({ value: code, label: name }));
const PAPERS = [
  { value: 'A4' as const, label: 'A4' },
  {
    value: 'LETTER' as const,
    get label() {
      return tr('usLetter');
    },
  },
];
/** The document that is being made, and how to give it up. */
const making = ref<{ readonly file: string; readonly stop: AbortController } | null>(null);
const fault = ref('');
const done = ref('');

const save = async (file: string): Promise<void> => {
  making.value?.stop.abort();
  const stop = new AbortController();
  making.value = { file, stop };
  fault.value = '';
  done.value = '';
  try {
    const { name, blob } = await fetchDocument(
      props.film,
      file,
      { paper: paper.value, language: spoken.value },
      stop.signal,
    );
    saveFile(name, blob);
    done.value = tr('nameIsSaved', { name });
  } catch (error) {
    if (stop.signal.aborted) return;
    fault.value =
      error instanceof ApiProblem || error instanceof Unreachable
        ? tr('messageDocumentsAreMadeBy', { message: error.message })
        : String(error);
  } finally {
    if (making.value?.stop === stop) making.value = null;
  }
};
</script>

<template>
  <section class="sheet" aria-labelledby="documents-title">
    <header>
      <h2 id="documents-title">{{ tr('handOver') }}</h2>
      <PickField
        :label="tr('languageOfDocuments')"
        bare
        :value="spoken"
        :options="TONGUES"
        :save="(v) => void (chosen = v)"
      />
      <PickField :label="tr('paper')" bare :value="paper" :options="PAPERS" :save="(v) => void (paper = v)" />
    </header>
    <div v-for="g in documentGroups()" :key="g.name" role="group" :aria-label="g.name">
      <h3>{{ g.name }}</h3>
      <div v-for="d in g.documents" :key="d.file" class="document">
        <span
          ><b>{{ d.name }}</b
          ><span class="quiet">{{ d.tells }}</span></span
        >
        <ElButton v-if="making?.file === d.file" class="btn" @click="making.stop.abort()">
          {{ tr('cancel') }}<span class="sr">{{ ` ${d.name}` }}</span>
        </ElButton>
        <ElButton v-else class="btn" :aria-label="tr('saveName', { name: d.name })" @click="save(d.file)">
          {{ tr('save') }}
        </ElButton>
        <i v-if="making?.file === d.file" class="busy" />
      </div>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p class="sr" role="status">{{ making ? tr('beingMade') : done }}</p>
  </section>
</template>

<style scoped>
.sheet {
  background: var(--slab);
  padding: 14px 18px 16px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
header > h2 {
  flex: 1;
}
header > :not(h2) {
  width: 116px;
}
h3 {
  margin: 12px 0 2px;
}
.document {
  position: relative;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.document .quiet {
  display: block;
  font-size: 13px;
}
.busy {
  position: absolute;
  left: 0;
  bottom: -1px;
  height: 2px;
  width: 30%;
  background: var(--pick);
  animation: go 1.2s linear infinite alternate;
}
@keyframes go {
  to {
    left: 70%;
  }
}
@media (prefers-reduced-motion: reduce) {
  .busy {
    animation: none;
    width: 100%;
  }
}
</style>
