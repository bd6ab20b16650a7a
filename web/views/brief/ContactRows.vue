<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Film } from '@core/model';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** Who is reached on the day; they stand on the call sheet. */
const props = defineProps<{ film: Film }>();
const store = useFilm();
const MOST = 30;
type Contact = Film['contacts'][number];
const set = (contacts: Film['contacts']) => store.edit('film', props.film.id, { contacts }, tr('contact'));
const change = (at: number, fields: Partial<Contact>) =>
  set(props.film.contacts.map((c, i) => (i === at ? { ...c, ...fields } : c)));
const add = () => set([...props.film.contacts, { name: '', role: '', phone: '' }]);
const remove = (at: number) => set(props.film.contacts.filter((_, i) => i !== at));
</script>

<template>
  <section class="sheet" aria-labelledby="contacts-title">
    <h2 id="contacts-title">{{ tr('contacts') }}</h2>
    <p v-if="film.contacts.length === 0" class="quiet">{{ tr('whoIsReachedOnThe') }}</p>
    <div
      v-for="(c, i) in film.contacts"
      :key="i"
      class="contact"
      role="group"
      :aria-label="c.name || tr('contact')"
    >
      <TextField :label="tr('contactName')" :value="c.name" :save="(x) => change(i, { name: x })" />
      <TextField :label="tr('contactRole')" :value="c.role" :save="(x) => change(i, { role: x })" />
      <TextField :label="tr('phone')" :value="c.phone" :save="(x) => change(i, { phone: x })" />
      <ElButton
        class="btn"
        :aria-label="tr('removeName', { name: c.name || tr('contact') })"
        @click="remove(i)"
      >
        {{ tr('remove') }}
      </ElButton>
    </div>
    <ElButton class="btn" :disabled="film.contacts.length >= MOST" @click="add">{{
      tr('addContact')
    }}</ElButton>
  </section>
</template>

<style scoped>
.sheet > .btn {
  justify-self: start;
}
.contact {
  max-width: 1080px;
  display: grid;
  grid-template-columns: 2fr 3fr 1.4fr auto;
  gap: 8px 12px;
  align-items: end;
  padding: 6px 0;
}
@media (max-width: 700px) {
  .contact {
    grid-template-columns: 1fr;
  }
}
</style>
