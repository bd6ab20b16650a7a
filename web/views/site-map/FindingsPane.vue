<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import type { Warning } from '@core/warnings';
import { computed } from 'vue';
import { fixed, writeText } from '../../format';
import { ElButton } from '../../parts/element-button';
import WarningList from '../../parts/WarningList.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';
import type { LaunchIdeas } from './useLaunchIdeas';

/** What is wrong at a location, shot by shot, and where one could launch from or stand instead. */
const props = defineProps<{
  ideas: LaunchIdeas;
  warnings: readonly Warning[];
  found: readonly { readonly shot: DerivedShot; readonly warnings: readonly Warning[] }[];
}>();
defineEmits<{ pickShot: [id: string] }>();
const derivedFilm = useDerivedFilm();
const m = (v: number): string => writeText(v, 'metres', derivedFilm.units);
const list = computed(() => props.ideas.ideas.value);
</script>

<template>
  <section class="findings">
    <WarningList :warnings="warnings" />
    <div v-for="f in found" :key="f.shot.facts.shot.id">
      <ElButton class="btn bare who" @click="$emit('pickShot', f.shot.facts.shot.id)">
        <b>{{ f.shot.number }}</b> {{ f.shot.facts.shot.title || tr('untitled') }}</ElButton
      ><WarningList :warnings="f.warnings" />
    </div>
    <p v-if="warnings.length + found.length === 0" class="quiet">
      {{ tr('nothingMarkedOnThisPlanIs') }}
    </p>
    <p class="suggest">
      <ElButton class="btn" :disabled="ideas.thinking.value" @click="ideas.suggest(false)">
        {{ tr('whereToLaunchFrom') }}</ElButton><ElButton
        class="btn"
        :disabled="ideas.thinking.value"
        @click="ideas.suggest(true)"
      >
        {{ tr('whereToStandNearThe') }}
      </ElButton>
    </p>
    <ol v-if="list.length > 0" class="ideas">
      <li v-for="(i, n) in list" :key="n">
        <ElButton class="btn" @click="ideas.take(n)">
          {{ ideas.kind.value === 'stand' ? tr('standAt') : tr('take') }} {{ n + 1 }}
        </ElButton>
        {{
          tr('seenMustsOfTheMustHaves', {
            seenMusts: fixed(i.seenMusts * 100, 0),
            seenAll: fixed(i.seenAll * 100, 0),
            value: m(i.flownM),
            slopeDeg: fixed(i.slopeDeg, 0),
          })
        }}
      </li>
    </ol>
    <p class="quiet small">
      {{ tr('fromWhatIsMarkedAnd') }}
    </p>
  </section>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 8px;
}
.who {
  padding: 0;
  min-height: 26px;
}
.suggest {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.ideas {
  display: grid;
  gap: 5px;
  font-size: 13px;
}
.small {
  font-size: 12px;
  padding: 2px 6px;
}
</style>
