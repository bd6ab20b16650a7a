<script setup lang="ts" generic="T, K extends string">
import { ElTable, ElTableColumn } from 'element-plus';
import 'element-plus/es/components/table/style/css';
import 'element-plus/es/components/table-column/style/css';
import '../design/table.css';
import { computed } from 'vue';
import { useElementSize } from './useElementSize';
import type { TableColumn } from './table-column';

/** The library's table in the look of this application: one slot a column, with its row. */
const props = defineProps<{
  rows: readonly T[];
  columns: readonly TableColumn<K>[];
  keyOf: (row: T) => string;
  classOf?: (row: T) => string;
}>();
defineSlots<Record<K, (props: { row: T }) => unknown>>();
/**
 * The library looks into its records deeply, for changes: each thing a cell reads would be wrapped, path and poses of every shot
 * among them. A record that is frozen it takes as it is, and the row in it.
 */
interface TableRecord {
  readonly row: T;
}
const data = computed(() => props.rows.map((row): TableRecord => Object.freeze({ row })));

const { width } = useElementSize(0, 0);
/** Narrower than this the columns that can be missed are left out, px. */
const NARROW_PX = 480;
const narrow = computed(() => width.value > 0 && width.value < NARROW_PX);
const shown = computed(() => props.columns.filter((c) => !(narrow.value && c.wideOnly)));
/** A column is drawn once without a row, at index −1, where the library looks for columns inside it. */
const rowOf = (scope: { row: unknown }): T => (scope.row as TableRecord).row;
</script>

<template>
  <div ref="target" class="data-table">
    <ElTable
      :data="data"
      :row-key="(row: unknown) => props.keyOf(rowOf({ row }))"
      :row-class-name="(scope: { row: unknown }) => props.classOf?.(rowOf(scope)) ?? ''"
    >
      <ElTableColumn
        v-for="c in shown"
        :key="c.key"
        :label="c.label"
        :width="c.width"
        :min-width="c.minWidth"
        :align="c.figure ? 'right' : 'left'"
      >
        <template #default="scope"
          ><slot v-if="scope.$index >= 0" :name="c.key" :row="rowOf(scope)"
        /></template>
      </ElTableColumn>
    </ElTable>
  </div>
</template>

<style scoped>
/* As wide as its box, whatever it held before: the library measures what is there. */
.data-table {
  width: 100%;
  min-width: 0;
}
</style>
