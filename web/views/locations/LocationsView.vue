<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { LOCATION_KINDS } from '@core/model';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { dateText } from '../../format';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import LocationForm from './LocationForm.vue';
import { newPlace } from './newPlace';
import { tr } from './messages';

const props = defineProps<{ film: string; location?: string }>();
const router = useRouter();
const store = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const places = computed(() => derivedFilm.locations);
const picked = computed(
  () =>
    places.value.find((l) => l.id === props.location) ??
    places.value.find((l) => l.id === selection.place?.location.id) ??
    places.value[0] ??
    null,
);
const go = (id: string): void => {
  selection.pickPlace(id);
  void router.replace({ name: 'locations', params: { film: props.film, location: id } });
};

const add = (): void => {
  const made = newPlace(store.filmId, places.value.at(-1));
  if (store.create('location', made, tr('newLocation')).length === 0) go(made.id);
};
const remove = (id: string): void => {
  const belongs = LOCATION_KINDS.flatMap((kind) =>
    store
      .list(kind)
      .filter((t) => t.locationId === id)
      .map((t) => ({ kind, id: t.id })),
  );
  store.remove(tr('deleteLocationLower'), [...belongs, { kind: 'location', id }]);
  const next = places.value.find((l) => l.id !== id);
  if (next) go(next.id);
  selection.say(tr('deletedTheLocationWithIts'));
};
</script>

<template>
  <div class="places">
    <nav class="list scroll no-print" :aria-label="tr('locations')">
      <header>
        <h2>{{ tr('locations') }}</h2>
        <ElButton class="btn lead" @click="add">{{ tr('new') }}</ElButton>
      </header>
      <button
        v-for="l in places"
        :key="l.id"
        class="item"
        :class="{ on: l.id === picked?.id }"
        :aria-current="l.id === picked?.id"
        @click="go(l.id)"
      >
        <b dir="auto">{{ l.name }}</b><span class="quiet"
          >{{ dateText(l.date) }} · {{ l.windowStart }}–{{ l.windowEnd }}</span
        >
      </button>
      <p v-if="places.length === 0" class="quiet none">
        {{ tr('aLocationIsWhereYou') }}
      </p>
    </nav>
    <LocationForm v-if="picked" :key="picked.id" :place="picked" @remove="remove(picked.id)" />
    <main v-else class="teach">
      <h1>{{ tr('whereWillYouFly') }}</h1>
      <ElButton class="btn lead" @click="add">{{ tr('addTheFirstLocation') }}</ElButton>
    </main>
  </div>
</template>

<style scoped>
.places {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr);
  gap: 1px;
  background: var(--line);
}
.list {
  background: var(--bench);
  padding: 8px;
  display: flex;
  flex-direction: column;
  gap: 3px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 4px 6px;
}
.item {
  text-align: left;
  display: grid;
  background: var(--slab);
  border: 0;
  padding: 8px 10px;
  cursor: pointer;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.item b {
  font-weight: 620;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.item span {
  font-size: 12px;
  font-stretch: 88%;
}
.item.on {
  background: var(--pick-dim);
}
.item.on .quiet {
  color: var(--chalk);
}
.none {
  padding: 6px;
}
.teach {
  background: var(--slab);
  padding: 30px;
  display: grid;
  gap: 14px;
  justify-items: start;
  align-content: start;
}
@media (max-width: 760px) {
  .places {
    grid-template-columns: minmax(0, 1fr);
    overflow: auto;
    display: block;
  }
}
</style>
