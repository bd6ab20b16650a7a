<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import { KEY_LINES } from './keys';

defineEmits<{ close: [] }>();
const close = useTemplateRef<HTMLButtonElement>('close');
onMounted(() => close.value?.focus());
</script>

<template>
  <div class="veil" @click.self="$emit('close')">
    <section class="sheet" role="dialog" aria-modal="true" aria-label="Keys">
      <header>
        <h2>Keys</h2>
        <button ref="close" class="btn" @click="$emit('close')" @keydown.esc="$emit('close')">Close</button>
      </header>
      <div v-for="g in KEY_LINES" :key="g.group">
        <h3>{{ g.group }}</h3>
        <dl>
          <template v-for="l in g.lines" :key="l.keys"
            ><dt>
              <span class="key">{{ l.keys }}</span>
            </dt>
            <dd>{{ l.does }}</dd></template
          >
        </dl>
      </div>
    </section>
  </div>
</template>

<style scoped>
.veil {
  position: fixed;
  inset: 0;
  background: rgb(10 8 14 / 60%);
  display: grid;
  place-items: center;
  z-index: 50;
}
.sheet {
  background: var(--slab);
  border: 1px solid var(--line);
  padding: 14px 20px 20px;
  max-width: min(560px, 94vw);
  max-height: 90vh;
  overflow: auto;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
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
