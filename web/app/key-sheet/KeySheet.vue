<script setup lang="ts">
import DialogBox from '../../parts/DialogBox.vue';
import { keyGroups } from './key-groups';
import { tr } from './messages';

defineEmits<{ close: [] }>();
</script>

<template>
  <DialogBox :title="tr('keys')" @close="$emit('close')">
    <div class="scrolled" tabindex="0" role="group" :aria-label="tr('listOfKeys')">
      <div v-for="g in keyGroups()" :key="g.group">
        <h3>{{ g.group }}</h3>
        <dl>
          <template v-for="[keys, does] in g.lines" :key="does"
            ><dt>
              <span class="key">{{ keys }}</span>
            </dt>
            <dd>{{ does }}</dd></template
          >
        </dl>
      </div>
    </div>
  </DialogBox>
</template>

<style scoped>
.scrolled {
  max-height: 70dvh;
  overflow: auto;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 5px 18px;
  margin: 5px 0 14px;
}
dd {
  margin: 0;
}
</style>
