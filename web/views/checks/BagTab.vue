<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { useMessages } from '../../composables/useMessages';
import { BAG_GROUPS, bagOf, type BagItem } from '@core/checks';
import { computed } from 'vue';
import { ElCheckbox } from '../../parts/element-checkbox';
import Fig from '../../parts/Fig.vue';
import { dateText } from '../../format';
import { useFilm } from '../../stores/film';
import type { Ready } from './useChecks';
import { tr } from './messages';

/** The bag of a day, worked out from its flights; ticked as it is packed. */
const props = defineProps<{ ready: Ready }>();
const film = useFilm();
const WORDS = {
  get aircraft() {
    return tr('aircraft');
  },
  get packs() {
    return tr('packs');
  },
  get cards() {
    return tr('cards');
  },
  get filters() {
    return tr('filters');
  },
  get power() {
    return tr('powerAndControl');
  },
  get other() {
    return tr('whatElse');
  },
} as const;
const bag = computed(() => {
  const c = props.ready.context.value;
  return c ? bagOf(c.input, film.kit, c.derived, c.places) : null;
});
const groups = computed(() =>
  BAG_GROUPS.map((group) => ({
    group,
    items: bag.value?.items.filter((i) => i.group === group) ?? [],
  })).filter((g) => g.items.length > 0),
);
const dayId = computed(() => props.ready.context.value?.places[0]?.location.id ?? '');
const idOf = (item: BagItem): string => `bag:${item.id}`.slice(0, 60);
/** Newest answer about each thing of the day. */
const packed = computed(() => {
  const newest = new Map<string, { utcMs: number; verdict: string }>();
  for (const a of film.list('answer'))
    if (
      a.locationId === dayId.value &&
      a.checkId.startsWith('bag:') &&
      a.utcMs >= (newest.get(a.checkId)?.utcMs ?? -1)
    )
      newest.set(a.checkId, a);
  return new Set([...newest].filter(([, a]) => a.verdict === 'passed').map(([id]) => id));
});
const tick = (item: BagItem): void => {
  props.ready.answer(
    { id: idOf(item), scope: 'day' },
    packed.value.has(idOf(item)) ? 'open' : 'passed',
    '',
    'leaving-home',
  );
};
const there = computed(() => bag.value?.items.filter((i) => i.missing === null) ?? []);
const done = computed(() => there.value.filter((i) => packed.value.has(idOf(i))).length);
const { text } = useMessages();
const print = (): void => window.print();
</script>

<template>
  <section v-if="bag" class="bag" :aria-label="tr('bag')">
    <header>
      <h2>
        {{ tr('bag') }} <span class="quiet">{{ dateText(ready.context.value?.date ?? '') }}</span>
      </h2>
      <p class="sums">
        <span
          ><b>{{ done }}</b> {{ tr('ofTherePacked', { there: there.length }) }}</span
        ><span
          ><b><Fig :value="bag.massG / 1000" quantity="kilograms" /></b
          ><template v-if="bag.unweighed > 0">
            {{ tr('andUnweighedThingsNobodyWeighed', { unweighed: bag.unweighed }) }}</template
          ></span
        ><span v-if="bag.missing > 0" class="stop">{{ tr('missingMissing', { missing: bag.missing }) }}</span>
      </p>
      <ElButton class="btn no-print" @click="print">{{ tr('print') }}</ElButton>
    </header>
    <p v-if="bag.items.length === 0" class="quiet">{{ tr('nothingIsPlannedOnThis') }}</p>
    <div class="groups">
      <section v-for="g in groups" :key="g.group" :aria-label="WORDS[g.group]">
        <h3>{{ WORDS[g.group] }}</h3>
        <ul>
          <li
            v-for="i in g.items"
            :key="i.id"
            :class="{ missing: i.missing !== null }"
            :data-bag="text(i.name)"
          >
            <ElCheckbox v-if="i.missing === null" :model-value="packed.has(idOf(i))" @change="tick(i)"
              ><span
                ><b dir="auto">{{ text(i.name) }}</b
                ><span v-if="i.count > 1"> × {{ i.count }}</span>
                <span class="quiet">{{ text(i.why) }}</span></span
              ><span class="mass"><Fig v-if="i.massG > 0" :value="i.massG" quantity="grams" /></span
            ></ElCheckbox>
            <p v-else>
              <b dir="auto">{{ text(i.name) }}</b> <span class="stop">{{ text(i.missing) }}</span>
              <span class="quiet">{{ text(i.why) }}</span>
            </p>
          </li>
        </ul>
      </section>
    </div>
    <p class="faint">
      {{ tr('whatTheFlightsOfThe') }}
      <RouterLink :to="{ name: 'kit' }">{{ tr('kit') }}</RouterLink>{{ tr('onAnAirlinePacksHave') }}
    </p>
  </section>
</template>

<style scoped>
.bag {
  display: grid;
  gap: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: baseline;
}
h2 {
  font-size: 17px;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
  flex: 1;
}
.sums b {
  font-size: 17px;
  font-stretch: 88%;
}
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 14px 26px;
  align-items: start;
}
h3 {
  border-bottom: 2px solid var(--chalk-3);
  padding-bottom: 2px;
}
li {
  border-bottom: 1px solid var(--line);
}
li :deep(.el-checkbox) {
  display: flex;
  height: auto;
  min-height: 32px;
  margin: 0;
  white-space: normal;
}
li :deep(.el-checkbox__label) {
  display: grid;
  grid-template-columns: 1fr auto;
  flex: 1;
  gap: 9px;
  font-size: inherit;
  color: inherit;
}
li p {
  padding: 5px 0 5px 22px;
}
.mass {
  font-size: 12.5px;
  color: var(--chalk-2);
}
.stop {
  color: var(--stop);
}
.faint {
  max-width: 720px;
  font-size: 12.5px;
}
@media (max-width: 1099px) {
  li :deep(.el-checkbox) {
    min-height: var(--touch);
  }
  .groups {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
