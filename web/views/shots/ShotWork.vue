<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { bySeverity } from '@core/warnings';
import type { DerivedShot } from '@core/film';
import { rehearsedOf } from '@core/pilot';
import { computed } from 'vue';
import { ElInput } from '../../parts/element';
import { useShotCommands } from '../../composables/useShotCommands';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useDeferred } from '../../composables/deferred';
import { useSelection, type Facet } from '../../stores/selection';
import { CutFacet, ExposureFacet } from './later';
import FigureStrip from './FigureStrip.vue';
import MoveDrawing from './MoveDrawing.vue';
import MoveFacet from './MoveFacet.vue';
import TabRow from '../../parts/TabRow.vue';
import WarningList from '../../parts/WarningList.vue';
import { tr } from './messages';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const selection = useSelection();
const acts = useShotCommands();
const findings = useFindings();
const warnings = useDeferred(() => bySeverity(findings.about(props.shot)));
const FACETS = computed(() =>
  [
    { id: 'move' as Facet, label: tr('move'), key: '1' },
    { id: 'cut' as Facet, label: tr('cutAndTakes'), key: '2' },
    { id: 'exposure' as Facet, label: tr('exposureUpper'), key: '3' },
  ].map((f) => ({ ...f, title: `${f.label} (${f.key})` })),
);
const rehearsedText = computed(() => {
  const { tries, best } = rehearsedOf(film.list('practice'), props.shot.facts.shot.id);
  if (tries === 0) return tr('flyTheShotByHand');
  const often = tr('rehearsedTriesTries2', { tries, tries2: tries === 1 ? tr('time') : tr('times') });
  return best === null ? often : tr('oftenBestBestGR', { often, best: Math.round(best) });
});
const title = (value: string): void => {
  film.edit('shot', props.shot.facts.shot.id, { title: value }, tr('title'));
};
</script>

<template>
  <section class="work" :aria-label="tr('theShotBeingWorkedOn')">
    <header class="head">
      <span class="number">{{ shot.number }}</span>
      <ElInput
        class="title"
        :model-value="shot.facts.shot.title"
        :placeholder="tr('nameThisShot')"
        :aria-label="tr('titleUpper')"
        dir="auto"
        maxlength="10000"
        @update:model-value="title"
      />
      <ElButton class="btn" :title="tr('seeTheMoveP')" @click="selection.previewing = true">
        {{ tr('preview') }}
      </ElButton>
      <RouterLink class="btn" :to="{ name: 'rehearse' }" :title="rehearsedText">{{
        tr('rehearse')
      }}</RouterLink>
      <ElButton class="btn" :title="tr('twoShotsWithHalfOf')" @click="acts.splitShot(shot.facts.shot.id)">
        {{ tr('split') }}
      </ElButton>
      <ElButton class="btn" :title="tr('copyC')" @click="acts.copyShot(shot.facts.shot.id)">
        {{ tr('copy') }}
      </ElButton>
      <ElButton class="btn" :title="tr('deleteDel')" @click="acts.deleteShot(shot.facts.shot.id)">
        {{ tr('delete') }}
      </ElButton>
    </header>
    <MoveDrawing :key="shot.facts.shot.id" :shot="shot" />
    <FigureStrip :shot="shot" />
    <TabRow
      class="facets"
      name="facet"
      :label="tr('facetsOfTheShot')"
      :tabs="FACETS"
      :value="selection.facet"
      @pick="(facet) => (selection.facet = facet)"
    />
    <div id="facet-panel" class="panel" role="tabpanel" :aria-labelledby="`facet-${selection.facet}`">
      <MoveFacet v-if="selection.facet === 'move'" :key="shot.facts.shot.id" :shot="shot" />
      <CutFacet v-else-if="selection.facet === 'cut'" :key="shot.facts.shot.id" :shot="shot" />
      <ExposureFacet v-else :key="shot.facts.shot.id" :shot="shot" />
      <WarningList :warnings="warnings" class="warn" />
    </div>
  </section>
</template>

<style scoped>
.work {
  display: flex;
  flex-direction: column;
  gap: 7px;
  padding: 8px 12px 12px;
}
.head {
  display: flex;
  gap: 8px;
  align-items: center;
}
.number {
  font-size: 27px;
  font-weight: 700;
  font-stretch: 80%;
  line-height: 1;
  min-width: 34px;
}
.title :deep(.el-input__inner) {
  font-size: 18px;
  font-stretch: 108%;
  font-weight: 600;
}
.title :deep(.el-input__wrapper) {
  background: none;
}
.facets {
  margin-top: 2px;
}
.panel {
  padding-top: 4px;
}
@media (max-width: 700px) {
  .head {
    flex-wrap: wrap;
  }
  .title {
    flex: 1 0 70%;
  }
  .head .btn {
    flex: 1;
    justify-content: center;
  }
}
.warn {
  margin-top: 10px;
  border-top: 1px solid var(--line);
  padding-top: 4px;
}
</style>
