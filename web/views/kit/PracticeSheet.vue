<script setup lang="ts">
import { phrase } from '../../format';
import { practiceSheet } from '@core/proposals';
import { computed } from 'vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

const film = useFilm();
const derivedFilm = useDerivedFilm();
const rows = computed(() =>
  derivedFilm.derived && film.film ? practiceSheet(derivedFilm.derived, film.film, film.kit) : [],
);
const wanted = computed(() => rows.value.filter((r) => r.wanted));
const HOW = {
  get simulator() {
    return tr('simulatorFirst');
  },
  get slow() {
    return tr('slowSticksLower');
  },
  get normal() {
    return tr('normalSticks');
  },
  get fast() {
    return tr('fastSticks');
  },
} as const;
const print = (): void => window.print();
</script>

<template>
  <section class="sheet" aria-labelledby="practice-title">
    <header>
      <h2 id="practice-title">{{ tr('toRehearseForThisFilm') }}</h2>
      <button class="btn no-print" @click="print">{{ tr('print') }}</button>
    </header>
    <p v-if="wanted.length === 0" class="quiet">
      {{ derivedFilm.derived?.order.length ? tr('everyMoveOnTheList') : tr('noShotIsOnThe') }}
    </p>
    <table v-else>
      <thead>
        <tr>
          <th>{{ tr('move') }}</th>
          <th>{{ tr('forShots') }}</th>
          <th>{{ tr('inputs') }}</th>
          <th>{{ tr('now') }}</th>
          <th>{{ tr('with') }}</th>
          <th>{{ tr('where') }}</th>
          <th class="box">{{ tr('done') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in wanted" :key="r.kind">
          <td>
            <b>{{ phrase(r.name) }}</b>
          </td>
          <td>{{ r.shots.join(', ') }}</td>
          <td>{{ r.inputs }}</td>
          <td>{{ phrase(r.word) }}</td>
          <td>{{ HOW[r.how] }}</td>
          <td>{{ phrase(r.where) }}</td>
          <td class="box" />
        </tr>
      </tbody>
    </table>
    <p class="quiet">{{ tr('practiseWhereTheLocalRule') }}</p>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 8px;
}
header {
  display: flex;
  gap: 14px;
  align-items: center;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 12px;
  font-stretch: 84%;
  color: var(--chalk-2);
  padding: 0 10px 3px 0;
}
td {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
.box {
  width: 44px;
}
tbody .box::after {
  content: '';
  display: block;
  width: 15px;
  height: 15px;
  border: 1.5px solid var(--chalk-3);
}
</style>
