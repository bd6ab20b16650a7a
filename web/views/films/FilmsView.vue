<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import 'element-plus/es/components/progress/style/css';
import { ElProgress } from 'element-plus';
import { defineAsyncComponent, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, type FilmSummary } from '../../sync/api';
import { forgetClips } from '../../stores/read-clips';
import { forgetSnapshot } from '../../sync/snapshots';
import { filmsOnDevice } from '../../sync/films-on-device';
import { fixed, whenText } from '../../format';
import { useSelection } from '../../stores/selection';
import SettingsButton from '../../parts/settings/SettingsButton.vue';
import { chanceFilm } from './chance-film';
import { useFilmFiles, why } from './useFilmFiles';
import Disclosure from '../../parts/Disclosure.vue';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

const router = useRouter();
// The theme is set before anything is drawn.
useSelection();
const films = ref<FilmSummary[] | null>(null);
const { fault, opening, cancel, begin, choose } = useFilmFiles();
const going = ref<FilmSummary | null>(null);

/** The server does not answer: these are the films this device has. */
const offline = ref(false);
const refresh = async (): Promise<void> => {
  try {
    films.value = (await api.films()).films;
    offline.value = false;
  } catch (error) {
    films.value = await filmsOnDevice();
    offline.value = films.value.length > 0;
    if (!offline.value) fault.value = why(error);
  }
};
onMounted(refresh);

const BackupList = defineAsyncComponent(() => import('./BackupList.vue'));
const backupsShown = ref(false);
const NewFilm = defineAsyncComponent(() => import('./NewFilm.vue'));
const openDemo = async (): Promise<void> => {
  try {
    await router.push({ name: 'shots', params: { film: (await api.openDemo()).id } });
  } catch (error) {
    fault.value = why(error);
  }
};
const ready = async (): Promise<void> => {
  try {
    await router.push({ name: 'ready', params: { film: await chanceFilm(films.value ?? []) } });
  } catch (error) {
    fault.value = why(error);
  }
};
const remove = async (film: FilmSummary): Promise<void> => {
  try {
    await api.removeFilm(film.id);
    await Promise.all([forgetSnapshot(film.id), forgetClips(film.id)]);
    going.value = null;
    await refresh();
  } catch (error) {
    fault.value = why(error);
  }
};
const when = (iso: string): string => whenText(Date.parse(iso));
</script>

<template>
  <main class="films">
    <header>
      <img src="/mark.svg" alt="" width="44" height="44" />
      <h1>{{ tr('duskSlate') }}</h1>
      <SettingsButton />
    </header>
    <p class="lead-in">
      {{ tr('planTheShotsTheLight') }}
    </p>
    <div class="make">
      <FileButton
        :label="tr('openAFilmFile')"
        accept="application/json,application/zip,.json,.zip"
        @files="([file]) => choose(file)"
      />
      <ElButton class="btn" :title="tr('leaveHomeWithoutAPlan')" @click="ready">
        {{ tr('readyForChance') }}
      </ElButton>
      <ElButton class="btn" :title="tr('aFreshCopyOfThe')" @click="openDemo">
        {{ tr('openTheDemoFilm') }}
      </ElButton>
    </div>
    <div v-if="opening" class="opening" role="status">
      <span>{{
        tr('openingNameOfMegabytes', { name: opening.name, megabytes: fixed(opening.megabytes, 1) })
      }}</span>
      <ElProgress
        :percentage="100"
        indeterminate
        :duration="2"
        :show-text="false"
        :aria-label="tr('openAFilmFile')"
      />
      <ElButton class="btn" @click="cancel">{{ tr('cancel') }}</ElButton>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-if="offline" class="away" role="status">
      {{ tr('offlineTheseFilmsAreOn') }}
    </p>
    <ul v-if="films && films.length > 0" class="list">
      <li v-for="f in films" :key="f.id">
        <RouterLink :to="{ name: 'overview', params: { film: f.id } }" class="film"
          ><b dir="auto">{{ f.name }}</b
          ><span class="quiet">{{
            tr('shotsShotsAtLocationsLocations', {
              shots: f.shots,
              locations: f.locations,
              when: when(f.updatedAt),
            })
          }}</span></RouterLink
        >
        <a v-if="!offline" class="btn" :href="`/api/films/${f.id}/file.zip`" download>{{
          tr('saveAsFile')
        }}</a>
        <ElButton v-if="!offline && going?.id !== f.id" class="btn" @click="going = f">
          {{ tr('delete') }}
        </ElButton>
        <template v-else-if="!offline"
          ><span class="fault">{{ tr('goneForGoodWithAll') }}</span
          ><ElButton class="btn" @click="remove(f)">{{ tr('yesDelete') }}</ElButton
          ><ElButton class="btn" @click="going = null">{{ tr('keep') }}</ElButton></template
        >
      </li>
    </ul>
    <p v-else-if="films" class="quiet">
      {{ tr('noFilmYetChooseA') }}
    </p>
    <ul v-else class="list" :aria-label="tr('loading')">
      <li v-for="n in 3" :key="n" class="ghost" />
    </ul>
    <NewFilm v-if="!offline" @made="begin" />
    <Disclosure v-if="!offline" v-model="backupsShown" class="backups" :label="tr('backups')">
      <BackupList v-if="backupsShown" @restored="refresh" />
    </Disclosure>
  </main>
</template>

<style scoped>
.opening {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) auto;
  gap: 12px;
  align-items: center;
}
.backups :deep(.el-collapse-item__header) {
  font-weight: 620;
}
.away {
  border-left: 4px solid var(--care);
  padding-left: 10px;
}
.films {
  max-width: 1120px;
  margin: 0 auto;
  padding: 40px 20px;
  display: grid;
  gap: 18px;
}
header {
  display: flex;
  gap: 14px;
  align-items: center;
}
header h1 {
  font-size: 30px;
  flex: 1;
}
.lead-in {
  font-size: 17px;
  max-width: 56ch;
  color: var(--chalk-2);
}
.make {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.list {
  display: grid;
  gap: 5px;
}
.list li {
  display: flex;
  gap: 8px;
  align-items: center;
  background: var(--slab);
  padding: 8px 12px;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
  min-height: 58px;
  flex-wrap: wrap;
}
.film {
  flex: 1;
  min-width: 200px;
  color: inherit;
  text-decoration: none;
  display: grid;
}
.film b {
  font-size: 16px;
  font-stretch: 108%;
}
.list .btn {
  text-decoration: none;
}
</style>
