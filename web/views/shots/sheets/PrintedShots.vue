<script setup lang="ts">
import { aboveDrawing, frameDrawing } from '@core/drawing';
import { inFlyingOrder, shotLines, type ShotLine } from '@core/handover';
import { clockText } from '@core/time';
import { computed } from 'vue';
import { drawingWords } from '../../../composables/drawing-words';
import {
  apertureText,
  dateText,
  fixed,
  phrase,
  PRIORITY_WORDS,
  ROLE_WORDS,
  shutterText,
  writeText,
} from '../../../format';
import LineDrawing from '../../../parts/LineDrawing.vue';
import { useDerivedFilm } from '../../../stores/derived-film';
import { useFilm } from '../../../stores/film';
import { tr } from './messages';

/** The shot list as it is printed from the page: by location in flying order, with boxes to tick. */
const film = useFilm();
const derivedFilm = useDerivedFilm();
const lines = computed(() =>
  film.input && derivedFilm.derived
    ? inFlyingOrder(shotLines({ input: film.input, derived: derivedFilm.derived }))
    : [],
);
const places = computed(() =>
  [...new Set(lines.value.map((l) => l.shot.facts.location.id))].map((id) => {
    const here = lines.value.filter((l) => l.shot.facts.location.id === id);
    return { id, name: here[0]?.location ?? '', date: dateText(here[0]?.date ?? ''), lines: here };
  }),
);
const units = computed(() => film.film?.units ?? 'metric');
const when = (l: ShotLine): string =>
  l.flight === null
    ? tr('inNoFlight')
    : tr('flownIn', {
        flight: l.flight,
        time: l.startMs === null ? '' : clockText(l.startMs, l.zone),
        pack: l.pack || '–',
        card: l.card || '–',
      });
const figures = (l: ShotLine): string =>
  [
    phrase(l.move),
    tr('secondsInTheCut', { seconds: writeText(l.timelineS, 'seconds') }),
    tr('secondsATake', { seconds: writeText(l.takeS, 'seconds') }),
    writeText(l.energyWh, 'wattHours'),
    writeText(l.bytes / 1e9, 'gigabytes'),
    l.lensMm ? writeText(l.lensMm, 'millimetres') : '',
    l.captureFps ? `${fixed(l.captureFps, Number.isInteger(l.captureFps) ? 0 : 2)} fps` : '',
  ]
    .filter((text) => text !== '')
    .join(' · ');
const settings = ({ exposure, filter }: ShotLine): string =>
  exposure
    ? `${apertureText(exposure.aperture)}, ${shutterText(exposure.shutterS)}, ISO ${exposure.iso}, ${phrase(filter)}`
    : '';
const pictures = ({ launch, shot: { facts } }: ShotLine) => {
  return [
    { label: tr('firstFrame'), drawing: frameDrawing(facts, 0, 150) },
    { label: tr('lastFrame'), drawing: frameDrawing(facts, 1, 150) },
    { label: tr('fromAbove'), drawing: aboveDrawing(facts, launch, 190, 96, drawingWords(units.value)) },
  ];
};
</script>

<template>
  <div class="paper">
    <h1>{{ film.film?.name }}</h1>
    <section v-for="p in places" :key="p.id">
      <h2 dir="auto">{{ p.name }}, {{ p.date }}</h2>
      <article v-for="l in p.lines" :key="l.id">
        <b class="number">{{ l.number }}</b>
        <div>
          <h3 dir="auto">{{ l.title || tr('untitled') }}</h3>
          <p class="quiet">
            {{ PRIORITY_WORDS[l.shot.facts.shot.priority] }} · {{ ROLE_WORDS[l.shot.facts.shot.role] }} ·
            {{ when(l) }}
          </p>
          <p>{{ figures(l) }}</p>
          <p>{{ settings(l) }}</p>
          <p v-if="l.shot.facts.shot.notes" class="quiet" dir="auto">{{ l.shot.facts.shot.notes }}</p>
          <div class="pictures">
            <template v-for="picture in pictures(l)" :key="picture.label">
              <LineDrawing v-if="picture.drawing" :drawing="picture.drawing" :label="picture.label" />
            </template>
          </div>
          <p class="takes">
            {{ tr('takesWantedN', { n: l.takes }) }}
            <i v-for="n in Math.min(l.takes, 12)" :key="n" class="box" />
          </p>
        </div>
      </article>
    </section>
  </div>
</template>

<style scoped>
article {
  display: grid;
  grid-template-columns: 34px 1fr;
  gap: 6px;
  padding: 8px 0;
  break-inside: avoid;
}
h2 {
  break-after: avoid;
}
h3 {
  font-size: 14px;
}
.number {
  font-size: 19px;
}
.pictures {
  display: flex;
  gap: 14px;
  padding: 6px 0 2px;
}
.takes {
  display: flex;
  gap: 6px;
  align-items: center;
}
.box {
  width: 12px;
  height: 12px;
  border: 1px solid #000;
}
</style>
