<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { type Entity, SENSE_SIDES } from '@core/model';
import { takeOffMass, weightClass } from '@core/payload';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import { useFilm } from '../../stores/film';
import { pastDate, TO_COME } from './useKit';
import type { Fault } from '../../sync/validation';
import { tr } from './messages';
import { fixed, SIDE_WORDS } from '../../format';

/** What an aircraft carries in papers, program, eyes and mass. */
type Craft = Entity<'aircraft'>;
const props = defineProps<{ craft: Craft; save: (fields: Partial<Craft>) => readonly Fault[] }>();
const film = useFilm();
const sense = (side: (typeof SENSE_SIDES)[number]): void => {
  props.save({
    senses: props.craft.senses.includes(side)
      ? props.craft.senses.filter((s) => s !== side)
      : [...props.craft.senses, side],
  });
};
/** With each of its packs and the heaviest filter that may be on it. */
const masses = computed(() => {
  const filter =
    film.kit.filters
      .filter((f) => !f.retired && (f.aircraftIds.length === 0 || f.aircraftIds.includes(props.craft.id)))
      .sort((a, b) => b.massG - a.massG)[0] ?? null;
  const packs = film.kit.packs.filter((p) => !p.retired && p.aircraftIds.includes(props.craft.id));
  const kinds = new Map([...packs].reverse().map((p) => [p.massG, p]));
  const lines = film.film?.preferences.weightLinesKg ?? [];
  return [...kinds.values()].map((pack) => {
    const mass = takeOffMass(props.craft, pack, filter, film.kit.gear);
    return { pack: pack.name, filter: filter?.name ?? '', mass, ...weightClass(mass.totalG, lines) };
  });
});
</script>

<template>
  <section class="papers" :aria-label="tr('papersProgramAndMass')">
    <h2>{{ tr('papersProgramMass') }}</h2>
    <div class="grid">
      <TextField
        help="aircraft.registration"
        :label="tr('registration')"
        :value="craft.registration"
        :save="(v) => save({ registration: v })"
      />
      <TextField
        help="aircraft.insurance"
        :label="tr('insurance')"
        :value="craft.insurance"
        :save="(v) => save({ insurance: v })"
      />
      <DateField
        help="aircraft.insuredUntil"
        :label="tr('insuredUntil')"
        :value="craft.insuredUntil ?? ''"
        :save="(v) => save({ insuredUntil: v === '' ? null : v })"
        clearable
      />
      <TextField
        help="aircraft.firmware"
        :label="tr('firmware')"
        :value="craft.firmware"
        :save="(v) => save({ firmware: v })"
      />
      <DateField
        help="aircraft.firmwareOn"
        :label="tr('updateCheckedOn')"
        :value="craft.firmwareOn ?? ''"
        :save="
          (v) => {
            const on = pastDate(v);
            return on ? save({ firmwareOn: on.date }) : TO_COME;
          }
        "
        clearable
      />
      <NumberField
        help="aircraft.usualPackG"
        :label="tr('massOfTheUsualPack')"
        :value="craft.usualPackG"
        quantity="grams"
        :hint="tr('thePackItsMassAbove')"
        :save="(v) => save({ usualPackG: v })"
      />
      <NumberField
        help="aircraft.internalGB"
        :label="tr('internalMemory')"
        :value="craft.internalGB"
        quantity="gigabytes"
        :hint="tr('whereNoCardHasRoom')"
        :save="(v) => save({ internalGB: v })"
      />
      <NumberField
        help="aircraft.tiltUpDeg"
        :label="tr('gimbalTiltUpTo')"
        :value="craft.tiltUpDeg"
        quantity="degrees"
        :step="5"
        :save="(v) => save({ tiltUpDeg: v })"
      />
      <NumberField
        help="aircraft.propsFromDeg"
        :label="tr('propellersInViewFrom')"
        :value="craft.propsFromDeg"
        quantity="degrees"
        :step="5"
        :hint="tr('tiltUpFromWhichThey')"
        :save="(v) => save({ propsFromDeg: v })"
      />
    </div>
    <div class="senses" role="group" :aria-label="tr('sidesItSensesOn')">
      <span class="label">{{ tr('obstacleSensing') }}</span><ElButton
        v-for="s in SENSE_SIDES"
        :key="s"
        class="btn"
        :aria-pressed="craft.senses.includes(s)"
        @click="sense(s)"
      >
        {{ SIDE_WORDS[s] }}
      </ElButton>
    </div>
    <p v-for="m in masses" :key="m.pack" class="quiet">
      {{
        tr('withPackFilterItTakes', {
          pack: m.pack,
          filter: m.filter ? ` ${tr('andFilter', { filter: m.filter })}` : '',
        })
      }}
      <b><Fig :value="m.mass.totalG" quantity="grams" /></b
      ><template v-if="m.underG">{{ tr('underTheUnderGGLine', { underG: fixed(m.underG, 0) }) }}</template
      ><template v-else-if="m.overG">{{ tr('overTheOverGGLine', { overG: fixed(m.overG, 0) }) }}</template
      >{{ tr('checkTheLocalRule')
      }}<template v-if="m.mass.unweighed">{{ ` ${tr('packOrUsualPackIs')}` }}</template>
    </p>
  </section>
</template>

<style scoped>
.papers {
  border-top: 1px solid var(--line);
  padding-top: 9px;
  display: grid;
  gap: 8px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
}
.senses {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}
.btn[aria-pressed='true'] {
  background: var(--pick-dim);
  border-color: var(--pick);
}
@media (max-width: 900px) {
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
