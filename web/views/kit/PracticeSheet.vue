<script setup lang="ts">
import { practiceSheet } from '@core/proposals';
import { computed } from 'vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';

const film = useFilm();
const derivedFilm = useDerivedFilm();
const rows = computed(() =>
  derivedFilm.derived && film.film ? practiceSheet(derivedFilm.derived, film.film, film.kit) : [],
);
const wanted = computed(() => rows.value.filter((r) => r.wanted));
const HOW = {
  simulator: 'simulator first',
  slow: 'slow sticks',
  normal: 'normal sticks',
  fast: 'fast sticks',
} as const;
const print = (): void => window.print();
</script>

<template>
  <section class="sheet" aria-labelledby="practice-title">
    <header>
      <h2 id="practice-title">To rehearse for this film</h2>
      <button class="btn no-print" @click="print">Print</button>
    </header>
    <p v-if="wanted.length === 0" class="quiet">
      {{
        derivedFilm.derived?.order.length
          ? 'Every move on the list is practised well enough.'
          : 'No shot is on the list yet: what it needs practised shows here.'
      }}
    </p>
    <table v-else>
      <thead>
        <tr>
          <th>Move</th>
          <th>For shots</th>
          <th>Inputs</th>
          <th>Now</th>
          <th>With</th>
          <th>Where</th>
          <th class="box">Done</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in wanted" :key="r.kind">
          <td>
            <b>{{ r.name }}</b>
          </td>
          <td>{{ r.shots.join(', ') }}</td>
          <td>{{ r.inputs }}</td>
          <td>{{ r.word }}</td>
          <td>{{ HOW[r.how] }}</td>
          <td>{{ r.where }}</td>
          <td class="box" />
        </tr>
      </tbody>
    </table>
    <p class="quiet">Practise where the local rule lets you, in sight, with nobody under the path.</p>
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
