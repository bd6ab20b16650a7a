<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { onMounted, ref, shallowRef, type Component } from 'vue';
import { useShotCommands } from '../../composables/useShotCommands';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { whenIdle } from '../../composables/idle';
import { usePrinting } from '../../composables/printing';
import { useDeferred } from '../../composables/deferred';
import { useDerivedFilm } from '../../stores/derived-film';
import BudgetPane from './BudgetPane.vue';
import { fetchAhead, PreviewStage, printedShots } from './later';
import LightRibbon from './LightRibbon.vue';
import ShotList from './ShotList.vue';
import ShotWork from './ShotWork.vue';
import { tr } from './messages';

const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const acts = useShotCommands();
/** Taken in turn: a slider in hand changes the shot at once, the sums a picture or two later. */
const whole = () =>
  derivedFilm.derived && selection.place ? { derived: derivedFilm.derived, place: selection.place } : null;
const budget = useDeferred(whole);
const ribbon = useDeferred(whole);
onMounted(() => {
  performance.mark('usable');
  whenIdle(fetchAhead);
  printedShots()
    .then((sheet) => (paper.value = sheet))
    .catch(() => undefined);
});
const printing = usePrinting();
const paper = shallowRef<Component | null>(null);
type Pane = 'shots' | 'work' | 'budget';
const pane = ref<Pane>('shots');
const PANES: { id: Pane; label: string }[] = [
  {
    id: 'shots',
    get label() {
      return tr('shotsUpper');
    },
  },
  {
    id: 'work',
    get label() {
      return tr('shotUpper');
    },
  },
  {
    id: 'budget',
    get label() {
      return tr('packsUpper');
    },
  },
];
</script>

<template>
  <component :is="paper" v-if="printing && paper" />
  <div v-if="derivedFilm.derived" class="bench" :class="{ 'no-print': paper }">
    <LightRibbon
      v-if="ribbon"
      :key="ribbon.place.location.id"
      class="light"
      :place="ribbon.place"
      :derived="ribbon.derived"
    />
    <div class="panes" :data-pane="pane">
      <ShotList class="pane shots" @picked="pane = 'work'" />
      <main v-if="selection.previewing && selection.shot" class="pane work preview" tabindex="-1">
        <PreviewStage :shot="selection.shot" />
      </main>
      <main v-else class="pane work scroll" tabindex="-1">
        <ShotWork v-if="selection.shot" :shot="selection.shot" />
        <div v-else-if="selection.place" class="teach">
          <h2>{{ selection.place.location.name }}</h2>
          <p>{{ tr('aShotIsOneCamera') }}</p>
          <ElButton class="btn lead" @click="acts.addShot(selection.place.location.id)">
            {{ tr('addTheFirstShot') }}
          </ElButton>
        </div>
        <div v-else class="teach">
          <h1>{{ film.film?.name }}</h1>
          <p>
            {{ tr('startWithALocationWhere') }}
          </p>
          <RouterLink class="btn lead" :to="{ name: 'locations' }">{{
            tr('addTheFirstLocation')
          }}</RouterLink>
        </div>
      </main>
      <BudgetPane
        v-if="budget && !(selection.previewing && selection.shot)"
        class="pane budgetpane"
        :derived="budget.derived"
        :place="budget.place"
      />
      <div v-else-if="!budget" class="pane budgetpane teach">
        <p class="quiet">{{ tr('packsAndCardsShowHere') }}</p>
      </div>
    </div>
    <nav class="tabs no-print" :aria-label="tr('partsOfTheView')">
      <button v-for="p in PANES" :key="p.id" :aria-current="pane === p.id" @click="pane = p.id">
        {{ p.label }}
      </button>
    </nav>
  </div>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 0;
}
.light {
  flex: none;
  border-bottom: 1px solid var(--line);
}
.panes {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 318px;
  gap: 1px;
  background: var(--line);
}
.pane {
  background: var(--bench);
  min-height: 0;
  min-width: 0;
}
.work {
  background: var(--slab);
}
.preview {
  grid-column: 2 / -1;
  display: grid;
}
.teach {
  padding: 28px 24px;
  display: grid;
  gap: 12px;
  justify-items: start;
  align-content: start;
  max-width: 60ch;
}
.teach .btn {
  text-decoration: none;
}
.tabs {
  display: none;
}
@media (max-width: 1099px) {
  .panes {
    grid-template-columns: minmax(0, 1fr);
  }
  .panes > .pane {
    display: none;
  }
  [data-pane='shots'] > .shots,
  [data-pane='work'] > .work,
  [data-pane='budget'] > .budgetpane {
    display: flex;
  }
  [data-pane='work'] > .work {
    display: block;
  }
  .tabs {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    border-top: 1px solid var(--line);
  }
  .tabs button {
    min-height: 48px;
    border: 0;
    background: var(--bench);
    border-top: 3px solid transparent;
    font-weight: 600;
  }
  .tabs button[aria-current='true'] {
    border-top-color: var(--pick);
    background: var(--slab);
  }
}
</style>
