<script setup lang="ts">
import { counted } from '@core/units';
import { onMounted, ref } from 'vue';
import { whenText } from '../../format';
import Fig from '../../parts/Fig.vue';
import { api, type BackupSummary } from '../../sync/api';

const emit = defineEmits<{ restored: [] }>();
const backups = ref<readonly BackupSummary[] | null>(null);
const fault = ref('');
const done = ref('');
const busy = ref('');
const asked = ref('');

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
    asked.value = '';
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
      <table>
        <thead>
          <tr>
            <th scope="col">Written</th>
            <th scope="col">Size</th>
            <th scope="col">Check</th>
            <th scope="col">Films in it</th>
            <th scope="col"><span class="sr">Restore</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="b in backups" :key="b.name">
            <th scope="row">{{ whenText(Date.parse(b.at)) }}</th>
            <td class="n"><Fig :value="b.bytes / 1e6" quantity="count" /><span class="unit"> MB</span></td>
            <td :class="{ fault: !b.sound }">{{ b.sound ? 'sound' : 'damaged' }}</td>
            <td>
              <div v-for="f in b.films" :key="f.id" class="film">
                <span dir="auto">{{ f.name }}, {{ counted(f.shots, 'shot') }}</span>
                <button class="btn" :disabled="busy !== ''" @click="restoreFilm(b, f)">
                  Restore beside<span class="sr"> {{ f.name }}</span>
                </button>
              </div>
            </td>
            <td>
              <button
                v-if="b.sound && asked !== b.name"
                class="btn"
                :disabled="busy !== ''"
                @click="asked = b.name"
              >
                Restore all
              </button>
              <template v-else-if="asked === b.name">
                <span class="fault">Everything goes back to then?</span>
                <button class="btn" :disabled="busy !== ''" @click="restoreAll(b)">
                  Yes, at the next start
                </button>
                <button class="btn" @click="asked = ''">Keep today’s</button>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="backups.length === 0" class="quiet">No backup yet.</p>
    </div>
    <p v-else class="quiet">Looking at the backups.</p>
  </div>
</template>

<style scoped>
.scrolled {
  overflow: auto;
  max-height: 60dvh;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: start;
  vertical-align: top;
  font-weight: 400;
  padding: 6px 14px 6px 0;
  border-top: 1px solid var(--line);
}
thead th {
  color: var(--chalk-2);
  font-size: 13px;
}
.n {
  white-space: nowrap;
}
.film {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
</style>
