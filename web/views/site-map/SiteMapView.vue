<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed, defineAsyncComponent, ref, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { usePrinting } from '../../composables/printing';
import InTurn from '../../parts/InTurn.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { useSite } from '../../stores/site';
import CornerSigns from './CornerSigns.vue';
import DrawBar from './DrawBar.vue';
import FindingsPane from './FindingsPane.vue';
import PrintedMap from './PrintedMap.vue';
import LayerPane from './LayerPane.vue';
import SiteMapCanvas from './SiteMapCanvas.vue';
import SidePane from './SidePane.vue';
import ShotPane from './ShotPane.vue';
import SubjectPane from './SubjectPane.vue';
import ThingList from './ThingList.vue';
import ThingPane from './ThingPane.vue';
import { useLaunchIdeas } from './useLaunchIdeas';
import { useLayers } from './useLayers';
import { usePlan } from './usePlan';
import { usePlanKeys } from './usePlanKeys';
import { useReadout } from './useReadout';
import TabRow from '../../parts/TabRow.vue';
import { tr } from './messages';

const ImportShapes = defineAsyncComponent(() => import('./ImportShapes.vue'));
const props = defineProps<{ film: string; location?: string }>();
const router = useRouter();
const store = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const site = useSite();
const siteFindings = useFindings();
const plan = usePlan();
const shot = computed(() =>
  selection.shot?.facts.location.id === plan.placeId.value ? selection.shot : null,
);
const layers = useLayers(plan, shot);
const printing = usePrinting();
const canvas = useTemplateRef<InstanceType<typeof SiteMapCanvas>>('canvas');
const share = ref(0.5);
const { pointer, measured, pointed, measure } = useReadout(plan);
const ideas = useLaunchIdeas(plan, () => site.factsOf(selection.shotId)?.launch, site.launches);
const pane = ref<'picked' | 'layers' | 'findings'>('picked');
const panes = computed(() => [
  { id: 'picked' as const, label: tr('picked') },
  { id: 'findings' as const, label: tr('findingsCount', { count: count.value || '' }).trim() },
  { id: 'layers' as const, label: tr('groundLayers') },
]);
const bringing = ref(false);
const tab = ref<'list' | 'map' | 'pane'>('map');

site.start();
watch(
  () => props.location,
  (id) => {
    if (id && id !== selection.place?.location.id) selection.pickPlace(id);
  },
  { immediate: true },
);
watch(
  () => plan.placeId.value,
  (id) => {
    plan.picked.value = { what: 'nothing', id: '' };
    plan.tool.value = null;
    if (id && props.location !== id)
      void router.replace({ name: 'map', params: { film: props.film, location: id } });
  },
);
watch(
  () => plan.picked.value,
  (p) => {
    if (p.what !== 'nothing') {
      pane.value = 'picked';
      if (tab.value === 'list') tab.value = 'pane';
    }
  },
);

/** The shot in hand as it stands while it is dragged, among those the layers show. */
const shown = computed(() =>
  plan.shots.value
    .filter(
      (s) =>
        (layers.flight === null || s.flightIndex === layers.flight) &&
        (!layers.onlyPicked || s.facts.shot.id === selection.shotId),
    )
    .map((s) => (s.facts.shot.id === selection.shotId && shot.value ? shot.value : s)),
);
const locationWarnings = computed(() => siteFindings.of('site').places.get(plan.placeId.value) ?? []);
const findings = computed(() =>
  plan.shots.value.flatMap((s) => {
    const warnings = siteFindings.of('site').shots.get(s.facts.shot.id) ?? [];
    return warnings.length > 0 ? [{ shot: s, warnings }] : [];
  }),
);
const count = computed(
  () => locationWarnings.value.length + findings.value.reduce((n, f) => n + f.warnings.length, 0),
);
const pickShot = (id: string): void => {
  selection.pick(id);
  plan.picked.value = { what: 'shot', id };
  pane.value = 'picked';
};
usePlanKeys({
  plan,
  canvas,
  share,
  measured,
  bringing,
  seeLayers: () => {
    pane.value = pane.value === 'layers' ? 'picked' : 'layers';
  },
});
</script>

<template>
  <PrintedMap
    v-if="printing && plan.place.value"
    :location="plan.place.value"
    :things="plan.things.value"
    :shots="plan.shots.value"
    :units="store.film?.units ?? 'metric'"
  />
  <div v-if="plan.place.value" class="planview no-print" :data-tab="tab">
    <div class="top no-print" role="region" :aria-label="tr('locationAndTools')">
      <nav class="places" :aria-label="tr('locations')">
        <ElButton
          v-for="l in derivedFilm.locations"
          :key="l.id"
          class="btn bare"
          :class="{ here: l.id === plan.placeId.value }"
          :aria-current="l.id === plan.placeId.value"
          @click="selection.pickPlace(l.id)"
        >
          <span dir="auto">{{ l.name }}</span>
        </ElButton>
      </nav>
      <DrawBar
        :tool="plan.tool.value"
        @tool="
          (t) => {
            plan.tool.value = t;
            measured = null;
          }
        "
        @finish="canvas?.finish()"
      />
    </div>
    <div class="panes">
      <ThingList class="list" :plan="plan" @pick-shot="pickShot" />
      <main class="middle" tabindex="-1">
        <h1 class="sr">{{ tr('siteMapOf', { name: plan.place.value.name }) }}</h1>
        <div class="mapbox">
          <SiteMapCanvas
            ref="canvas"
            :plan="plan"
            :layers="layers"
            :shown="shown"
            :shot="shot"
            :share="share"
            :ideas="ideas.ideas.value"
            @point="pointer = $event"
            @measured="
              (points, closed) => {
                measured = { points, closed };
              }
            "
            @idea="ideas.take"
          />
          <CornerSigns :place="plan.place.value" :shot="shot" />
          <p v-if="measure" class="measure" data-measure>
            <b>{{ measure }}</b>
          </p>
          <p v-else-if="pointed" class="measure">{{ pointed }}</p>
          <p v-if="plan.said.value" class="measure fault" role="alert">{{ plan.said.value }}</p>
          <div class="zoom no-print">
            <ElButton
              class="btn"
              :aria-label="tr('nearer')"
              :title="tr('nearer2')"
              @click="canvas?.zoom(1.5)"
            >
              +</ElButton
            ><ElButton
              class="btn"
              :aria-label="tr('farther')"
              :title="tr('farther2')"
              @click="canvas?.zoom(1 / 1.5)"
            >
              −</ElButton
            ><ElButton class="btn" :title="tr('wholeLocation0')" @click="canvas?.fit()">{{
              tr('all')
            }}</ElButton>
          </div>
        </div>
        <InTurn
          ><SidePane
            v-if="shot"
            class="profile"
            :plan="plan"
            :shot="shot"
            :share="share"
            @share="share = $event"
        /></InTurn>
      </main>
      <aside class="right scroll" :aria-label="tr('whatIsPicked')">
        <TabRow name="picked" :label="tr('whatIsPicked')" :tabs="panes" :value="pane" @pick="pane = $event" />
        <div id="picked-panel" class="panel" role="tabpanel" :aria-labelledby="`picked-${pane}`">
          <InTurn v-if="pane === 'layers'"
            ><LayerPane :plan="plan" :layers="layers" @bring="bringing = true"
          /></InTurn>
          <FindingsPane
            v-else-if="pane === 'findings'"
            :ideas="ideas"
            :warnings="locationWarnings"
            :found="findings"
            @pick-shot="pickShot"
          />
          <ThingPane
            v-else-if="plan.thing.value"
            :key="plan.thing.value.id"
            :plan="plan"
            :thing="plan.thing.value"
          />
          <SubjectPane
            v-else-if="plan.subject.value"
            :key="plan.subject.value.id"
            :plan="plan"
            :subject="plan.subject.value"
          />
          <ShotPane v-else-if="shot" :plan="plan" :shot="shot" :share="share" />
          <p v-else class="quiet">{{ tr('pickAShotOrA') }}</p>
        </div>
      </aside>
    </div>
    <nav class="foot-tabs no-print" :aria-label="tr('partsOfThePlan')">
      <button
        v-for="t in [
          ['list', tr('list')],
          ['map', tr('planTab')],
          ['pane', tr('picked')],
        ] as const"
        :key="t[0]"
        :aria-current="tab === t[0]"
        @click="tab = t[0]"
      >
        {{ t[1] }}
      </button>
    </nav>
    <ImportShapes v-if="bringing" :plan="plan" @close="bringing = false" />
  </div>
  <main v-else class="teach">
    <h1>{{ tr('noLocationYet') }}</h1>
    <p>{{ tr('aSiteMapBelongsTo') }}</p>
    <RouterLink class="btn lead" :to="{ name: 'locations', params: { film: store.filmId } }">{{
      tr('addTheFirstLocation')
    }}</RouterLink>
  </main>
</template>

<style scoped>
.planview {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 0;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  padding: 5px 10px;
  border-bottom: 1px solid var(--line);
  background: var(--bench);
}
.places {
  display: flex;
  gap: 2px;
  overflow-x: auto;
  scrollbar-width: none;
}
.here {
  border-bottom: 3px solid var(--pick);
  font-weight: 620;
}
.panes {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 216px minmax(0, 1fr) 322px;
  gap: 1px;
  background: var(--line);
}
.list,
.right {
  background: var(--slab);
  padding: 8px 10px 14px;
  min-height: 0;
}
.list {
  padding: 6px;
}
.middle {
  display: grid;
  grid-template-rows: minmax(0, 1fr) 160px;
  gap: 1px;
  min-width: 0;
  min-height: 0;
  background: var(--line);
}
.mapbox {
  position: relative;
  overflow: hidden;
  background: var(--bench);
}
.measure {
  position: absolute;
  left: 10px;
  top: 8px;
  background: color-mix(in srgb, var(--bench) 82%, transparent);
  padding: 2px 7px;
  font-size: 12.5px;
  pointer-events: none;
  white-space: pre;
}
.measure.fault {
  top: 34px;
}
.zoom {
  position: absolute;
  right: 10px;
  bottom: 10px;
  display: grid;
  gap: 4px;
}
.zoom .btn {
  justify-content: center;
  background: color-mix(in srgb, var(--bench) 85%, transparent);
}
.right {
  display: grid;
  gap: 10px;
  align-content: start;
}
.panel {
  display: contents;
}
.teach {
  background: var(--slab);
  padding: 30px;
  display: grid;
  gap: 14px;
  justify-items: start;
  align-content: start;
}
.foot-tabs {
  display: none;
}
@media (max-width: 1099px) {
  .panes {
    grid-template-columns: minmax(0, 1fr);
  }
  .planview[data-tab='map'] .list,
  .planview[data-tab='map'] .right,
  .planview[data-tab='list'] .middle,
  .planview[data-tab='list'] .right,
  .planview[data-tab='pane'] .middle,
  .planview[data-tab='pane'] .list {
    display: none;
  }
  .foot-tabs {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    border-top: 1px solid var(--line);
    flex: none;
  }
  .foot-tabs button {
    min-height: 52px;
    background: var(--bench);
    border: 0;
    border-top: 3px solid transparent;
  }
  .foot-tabs button[aria-current='true'] {
    border-top-color: var(--pick);
    font-weight: 620;
  }
  .top {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }
  .top :deep(.tools) {
    flex-wrap: nowrap;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .top :deep(.tools) > * {
    flex: none;
  }
}
/* A phone on its side, or a page at twice its size: the map keeps half of the height. The profile goes with what is picked. */
@media (max-width: 1099px) and (max-height: 620px) {
  .top {
    display: flex;
    flex-wrap: nowrap;
    padding-block: 0;
  }
  .top > * {
    flex: 0 1 auto;
    min-width: 0;
  }
  .middle {
    grid-template-rows: minmax(0, 1fr);
  }
  .planview[data-tab='map'] .profile,
  .planview[data-tab='pane'] .mapbox {
    display: none;
  }
  .planview[data-tab='pane'] .panes {
    grid-template-rows: 150px minmax(0, 1fr);
  }
  .planview[data-tab='pane'] .middle {
    display: grid;
  }
  .foot-tabs button {
    min-height: 44px;
  }
}
</style>
