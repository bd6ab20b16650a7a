<script setup lang="ts">
import { counted } from '@core/units';
import { onMounted, ref } from 'vue';
import { whenText } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import Fig from '../../parts/Fig.vue';
import { api, type BackupSummary } from '../../sync/api';

const emit = defineEmits<{ restored: [] }>();
const backups = ref<readonly BackupSummary[] | null>(null);
const fault = ref('');
const done = ref('');
const busy = ref('');
/** The backup whose restoring is being confirmed. */
const confirming = ref('');
const COLUMNS = [
  { key: 'at', label: 'Written', width: 150 },
  { key: 'size', label: 'Size', width: 80, figure: true },
  { key: 'check', label: 'Check', width: 80 },
  { key: 'films', label: 'Films in it', minWidth: 240 },
  { key: 'restore', label: 'All films', minWidth: 170 },
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
    return 'A backup is written and checked.';
  });
const restoreFilm = (b: BackupSummary, film: BackupSummary['films'][number]): Promise<void> =>
  act(b.name, async () => {
    await api.restoreFilm(b.name, film.id);
    emit('restored');
    return `“${film.name}” is back beside today’s film, named as a backup.`;
  });
const restoreAll = (b: BackupSummary): Promise<void> =>
  act(b.name, async () => {
    const { before } = await api.restoreAll(b.name);
    confirming.value = '';
    return `At the next start everything is as it was then. The state now is kept as ${before}. Stop and start the application.`;
  });
</script>

<template>
  <div class="list">
    <p class="quiet">
      Copies of everything, each opened and checked: the newest three, one a day for 14 days, one a week for 8
      weeks.
      <button class="btn" :disabled="busy !== ''" @click="make">Back up now</button>
    </p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p role="status" :class="{ sr: done === '' }">{{ done }}</p>
    <div v-if="backups" class="scrolled" tabindex="0" role="group" aria-label="Backups">
      <DataTable :rows="backups" :columns="COLUMNS" :key-of="(b) => b.name">
        <template #at="{ row }">{{ whenText(Date.parse(row.at)) }}</template>
        <template #size="{ row }"
          ><Fig :value="row.bytes / 1e6" quantity="count" /><span class="unit"> MB</span></template
        >
        <template #check="{ row }"
          ><span :class="{ fault: !row.sound }">{{ row.sound ? 'passed' : 'damaged' }}</span></template
        >
        <template #films="{ row }">
          <div v-for="f in row.films" :key="f.id" class="film">
            <span dir="auto">{{ f.name }}, {{ counted(f.shots, 'shot') }}</span>
            <button class="btn" :disabled="busy !== ''" @click="restoreFilm(row, f)">
              Restore beside<span class="sr"> {{ f.name }}</span>
            </button>
          </div>
        </template>
        <template #restore="{ row }">
          <button
            v-if="row.sound && confirming !== row.name"
            class="btn"
            :disabled="busy !== ''"
            @click="confirming = row.name"
          >
            Restore all
          </button>
          <template v-else-if="confirming === row.name">
            <span class="fault">Everything goes back to that time.</span>
            <button class="btn" :disabled="busy !== ''" @click="restoreAll(row)">
              Restore at the next start
            </button>
            <button class="btn" @click="confirming = ''">Keep today’s</button>
          </template>
        </template>
      </DataTable>
      <p v-if="backups.length === 0" class="quiet">No backup yet.</p>
    </div>
    <p v-else class="quiet">Reading the list of backups.</p>
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
