<script setup lang="ts">
import type { HourWeather } from '@core/model';
import NumberField from '../../parts/NumberField.vue';
import { unitOf } from '../../format';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Fault } from '../../sync/validation';
import { HOUR_COLUMNS, type HourFigure } from './hour-columns';
import { tr } from './messages';

/** One figure of one hour. A component of its own: a table draws all its cells anew with each row that comes. */
const props = defineProps<{
  hour: HourWeather;
  figure: HourFigure;
  change: (hour: HourWeather, fields: Partial<HourWeather>) => readonly Fault[];
}>();
const derivedFilm = useDerivedFilm();
const column = HOUR_COLUMNS[props.figure];
const save = (value: number): readonly Fault[] => props.change(props.hour, { [props.figure]: value });
</script>

<template>
  <NumberField
    bare
    :label="
      tr('labelAtAtUnit', {
        label: column.label(),
        at: hour.at,
        unit: unitOf(column.quantity, derivedFilm.units),
      })
    "
    :value="hour[figure]"
    :quantity="column.quantity"
    :step="column.step"
    :scale="column.scale"
    :unit="null"
    :save="save"
  />
</template>
