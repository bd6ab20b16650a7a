<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { onMounted, ref } from 'vue';
import { counted, whenText } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import Fig from '../../parts/Fig.vue';
import { api, type BackupSummary } from '../../sync/api';
import { tr } from './messages';

const emit = defineEmits<{ restored: [] }>();
const backups = ref<readonly BackupSummary[] | null>(null);
const fault = ref('');
const done = ref('');
const busy = ref('');
/** The backup whose restoring is being confirmed. */
const confirming = ref('');
const COLUMNS = [
  {
    key: 'at',
    get label() {
      return tr('written');
    },
    width: 150,
  },
  {
    key: 'size',
    get label() {
      return tr('size');
    },
    width: 80,
    figure: true,
  },
  {
    key: 'check',
    get label() {
      return tr('check');
    },
    width: 80,
  },
  {
    key: 'films',
    get label() {
      return tr('filmsInIt');
    },
    minWidth: 240,
  },
  {
    key: 'restore',
    get label() {
      return tr('allFilms');
    },
    minWidth: 170,
  },
] as const;

/** Does one thing at a time and says what came of it. */
const act = async (name: string, what: () => Promise<string>): Promise<void> => {
  busy.value = name;
  fault.value = '';
  done.value = '';
  try {
    done.value = await what();
    backups.value = (await api.backups()).backups;
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = '';
};
onMounted(() => act('list', () => Promise.resolve('')));
const make = (): Promise<void> =>
  act('make', async () => {
    await api.makeBackup();
    return tr('aBackupIsWrittenAnd');
  });
const restoreFilm = (b: BackupSummary, film: BackupSummary['films'][number]): Promise<void> =>
  act(b.name, async () => {
    await api.restoreFilm(b.name, film.id);
    emit('restored');
    return tr('nameIsBackBesideTodays', { name: film.name });
  });
const restoreAll = (b: BackupSummary): Promise<void> =>
  act(b.name, async () => {
    const { before } = await api.restoreAll(b.name);
    confirming.value = '';
    return tr('atTheNextStartEverything', { before });
  });
</script>

<template>
  <div class="list">
    <p class="quiet">
      {{ tr('copiesOfEverythingEachOpened') }}
      <ElButton class="btn" :disabled="busy !== ''" @click="make">{{ tr('backUpNow') }}</ElButton>
    </p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p role="status" :class="{ sr: done === '' }">{{ done }}</p>
    <div v-if="backups" class="scrolled" tabindex="0" role="group" :aria-label="tr('backups')">
      <DataTable :rows="backups" :columns="COLUMNS" :key-of="(b) => b.name">
        <template #at="{ row }">{{ whenText(Date.parse(row.at)) }}</template>
        <template #size="{ row }"
          ><Fig :value="row.bytes / 1e6" quantity="count" /><span class="unit">
            {{ tr('mb') }}</span
          ></template
        >
        <template #check="{ row }"
          ><span :class="{ fault: !row.sound }">{{
            row.sound ? tr('passed') : tr('damaged')
          }}</span></template
        >
        <template #films="{ row }">
          <div v-for="f in row.films" :key="f.id" class="film">
            <span dir="auto">{{ f.name }}, {{ counted(f.shots, 'shot') }}</span>
            <ElButton class="btn" :disabled="busy !== ''" @click="restoreFilm(row, f)">
              {{ tr('restoreBeside') }}<span class="sr">{{ ` ${f.name}` }}</span>
            </ElButton>
          </div>
        </template>
        <template #restore="{ row }">
          <ElButton
            v-if="row.sound && confirming !== row.name"
            class="btn"
            :disabled="busy !== ''"
            @click="confirming = row.name"
          >
            {{ tr('restoreAll') }}
          </ElButton>
          <template v-else-if="confirming === row.name">
            <span class="fault">{{ tr('everythingGoesBackToThat') }}</span>
            <ElButton class="btn" :disabled="busy !== ''" @click="restoreAll(row)">
              {{ tr('restoreAtTheNextStart') }}
            </ElButton>
            <ElButton class="btn" @click="confirming = ''">{{ tr('keepTodays') }}</ElButton>
          </template>
        </template>
      </DataTable>
      <p v-if="backups.length === 0" class="quiet">{{ tr('noBackupYet') }}</p>
    </div>
    <p v-else class="quiet">{{ tr('readingTheListOfBackups') }}</p>
  </div>
</template>

<style scoped>
.scrolled {
  overflow: auto;
  max-height: 60dvh;
}
.film {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
</style>
