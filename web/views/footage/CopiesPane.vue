<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import 'element-plus/es/components/progress/style/css';
import { lifeOf } from '@core/cards';
import { proxy, wrap } from 'comlink';
import { ElProgress } from 'element-plus';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { logCard } from '../../composables/card-log';
import type { Comparison } from '../../exchange/copies';
import { counted, fixed } from '../../format';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import type { CopiesWorker } from '../../workers/copies.worker';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

/** A copy held against its card, byte by byte; proved, it is entered as a copy of the card. */
const store = useFilm();
const selection = useSelection();
const holding = computed(() =>
  store
    .list('card')
    .filter((c) => !c.retired)
    .map((card) => ({ card, life: lifeOf(card, store.list('cardMove')) }))
    .filter(({ life }) => life.usedGB > 0),
);
const wanted = computed(() => store.film?.preferences.copiesWanted ?? 2);
const options = computed(() =>
  holding.value.map(({ card, life }) => ({
    value: card.id,
    label: tr('cardHoldsWithCopies', { name: card.name, gb: fixed(life.usedGB, 1), copies: life.copies }),
  })),
);
const picked = ref('');
const cardId = computed(() =>
  holding.value.some(({ card }) => card.id === picked.value)
    ? picked.value
    : (holding.value[0]?.card.id ?? ''),
);

const original = shallowRef<readonly File[]>([]);
const copy = shallowRef<readonly File[]>([]);
const result = shallowRef<Comparison | null>(null);
const share = ref<number | null>(null);
const fault = ref('');
/** Folders whose copy was entered: the same one is not a second copy. */
const entered = new Set<string>();
let known = new Set<string>();
let worker: Worker | null = null;
const stop = (): void => {
  worker?.terminate();
  worker = null;
  share.value = null;
};
onBeforeUnmount(stop);

const folderOf = (files: readonly File[]): string => files[0]?.webkitRelativePath.split('/')[0] ?? '';
const choose = (files: readonly File[]): readonly File[] => {
  stop();
  result.value = null;
  fault.value = '';
  known = new Set();
  return files;
};
const compare = async (): Promise<void> => {
  stop();
  fault.value = '';
  const mine = (worker = new Worker(new URL('../../workers/copies.worker.ts', import.meta.url), {
    type: 'module',
    name: 'copies',
  }));
  share.value = 0;
  try {
    const found = await wrap<CopiesWorker>(mine).compare(
      original.value,
      copy.value,
      known,
      proxy((done: number, all: number, same: string | null) => {
        if (mine !== worker) return;
        share.value = all > 0 ? done / all : 1;
        // After a stop it goes on behind what was found the same.
        if (same !== null) known.add(same);
      }),
    );
    if (mine !== worker) return;
    result.value = found;
  } catch (error) {
    if (mine === worker) fault.value = tr('copyCannotBeRead', { why: String(error) });
  }
  if (mine === worker) stop();
};
const wrong = computed(() => result.value?.files.filter((f) => f.verdict !== 'same') ?? []);
/** A folder as a copy of the card in hand. */
const copyKey = (): string => `${cardId.value} ${folderOf(copy.value)}`;
const again = computed(() => entered.has(copyKey()));
const enter = (): void => {
  const card = store.get('card', cardId.value);
  const key = copyKey();
  fault.value = logCard(store, cardId.value, 'copy');
  if (fault.value) return;
  entered.add(key);
  selection.say(tr('copyEntered', { name: card?.name ?? '' }));
  copy.value = [];
  result.value = null;
};
</script>

<template>
  <section class="pane" :aria-label="tr('copiesProved')">
    <header>
      <h2>{{ tr('copiesProved') }}</h2>
      <FileButton folder :label="tr('folderOfTheCard')" @files="(files) => (original = choose(files))" />
      <FileButton folder :label="tr('folderOfTheCopy')" @files="(files) => (copy = choose(files))" />
    </header>
    <p class="quiet">{{ tr('comparedByteByByte') }}</p>
    <p v-if="holding.length === 0" class="quiet">{{ tr('noCardHoldsFootage') }}</p>
    <template v-else>
      <PickField :label="tr('card')" :value="cardId" :options="options" :save="(v) => void (picked = v)" />
      <p v-if="original.length > 0 || copy.length > 0">
        {{ tr('foldersChosen', { card: folderOf(original) || '–', copy: folderOf(copy) || '–' }) }}
      </p>
      <ElButton
        v-if="share === null"
        class="btn lead"
        :disabled="original.length === 0 || copy.length === 0"
        @click="compare"
      >
        {{ tr('compareCopy') }}
      </ElButton>
      <div v-else class="progress" role="status">
        <ElProgress :percentage="Math.round(share * 100)" :aria-label="tr('compareCopy')" />
        <ElButton class="btn" @click="stop">{{ tr('cancel') }}</ElButton>
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <template v-if="result">
        <p role="status" data-copies>
          {{
            tr('filesTheSame', {
              same: result.files.length - wrong.length,
              files: counted(result.files.length, 'file'),
              gb: fixed(result.bytes / 1e9, 2),
            })
          }}
        </p>
        <ul v-if="wrong.length > 0" class="wrong">
          <li v-for="f in wrong.slice(0, 30)" :key="f.path">
            <b dir="auto">{{ f.path }}</b>
            {{ tr(`copyVerdict.${f.verdict as 'differs' | 'other-size' | 'missing'}`) }}
          </li>
          <li v-if="wrong.length > 30">{{ tr('andRestMore', { rest: wrong.length - 30 }) }}</li>
        </ul>
        <p v-if="again" class="care">{{ tr('folderWasEntered') }}</p>
        <ElButton v-else-if="result.proved" class="btn lead" @click="enter">
          {{ tr('enterCopy', { wanted }) }}
        </ElButton>
      </template>
    </template>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 14px 18px 16px;
  margin-bottom: 16px;
  background: var(--slab);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  width: 100%;
}
header h2 {
  flex: 1;
}
.pane :deep(.el-select) {
  width: min(320px, 70vw);
}
.progress {
  display: grid;
  grid-template-columns: 1fr max-content;
  gap: 10px;
  width: 100%;
  align-items: center;
}
.wrong {
  margin: 0;
  padding: 0;
  list-style: none;
}
.wrong li {
  border-left: 4px solid var(--stop);
  padding-left: 8px;
  margin-bottom: 4px;
}
.btn:focus-within {
  outline: 2px solid var(--pick);
  outline-offset: 2px;
}
</style>
