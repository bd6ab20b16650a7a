<script setup lang="ts">
import { compareOrders, orderJobs, positionsFor, tryOrder, weighOrder, type DerivedFilm, type FilmInput, type OrderWeighed, type PlaceFacts } from '@core/film';
import { wrap, type Remote } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useLooking } from '../../stores/looking';
import type { PlanWorker } from '../../workers/plan.worker';

/** Looks for an order of a place's slates that flies more of them, or the same in less; offers only what it has tried. */
const props = defineProps<{ derived: DerivedFilm; place: PlaceFacts }>();
const emit = defineEmits<{ close: [] }>();
const film = useFilm();
const looking = useLooking();
const SEARCH_MS = 2000;
const busy = ref(false);
const found = shallowRef<{ order: readonly string[]; proven: boolean; would: OrderWeighed; better: boolean; from: FilmInput } | null>(null);
const failed = ref('');
let worker: Worker | null = null;
const now = computed(() => weighOrder(props.derived, props.place.location.id));

const stop = (): void => { worker?.terminate(); worker = null; busy.value = false; };
const look = async (): Promise<void> => {
  const { input } = film;
  if (!input || busy.value) return;
  const { id } = props.place.location;
  found.value = null;
  failed.value = '';
  busy.value = true;
  worker = new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module', name: 'plan' });
  try {
    const remote: Remote<PlanWorker> = wrap<PlanWorker>(worker);
    const { order, proven } = await remote.order(JSON.parse(JSON.stringify(orderJobs(input, props.derived, id))), SEARCH_MS);
    const would = tryOrder(input, id, order);
    found.value = { order, proven, would, better: compareOrders(would, now.value) < 0, from: input };
  } catch (error) { failed.value = `No order was found: ${error instanceof Error ? error.message : 'the planner stopped'}.`; } finally { stop(); }
};
void look();
/** What was worked out for another state of the film is not offered. */
watch(() => film.input, () => { if (found.value && film.input !== found.value.from) found.value = null; });
watch(() => props.place.location.id, () => { stop(); void look(); });
onBeforeUnmount(stop);

const take = (): void => {
  const { input } = film;
  if (!input || !found.value) return;
  const positions = positionsFor(input, props.place.location.id, found.value.order);
  film.act('better order', film.list('shot').flatMap((s) => { const position = positions.get(s.id); return position !== undefined && position !== s.position ? [{ kind: 'shot' as const, id: s.id, after: { ...s, position } }] : []; }));
  looking.say('The list is in the new order. Ctrl+Z puts it back.');
  emit('close');
};
const numbers = computed(() => found.value?.order.map((id) => props.derived.shots.get(id)?.number ?? 0) ?? []);
const flown = (w: OrderWeighed): number => w.flown.must + w.flown.should + w.flown.could;
</script>

<template>
  <section class="order" aria-label="A better order">
    <header><h3>A better order for {{ place.location.name }}</h3><button class="btn bare" aria-label="Close" @click="$emit('close')">close</button></header>
    <p v-if="busy" role="status">Looking … <button class="btn" @click="stop">Stop</button></p>
    <p v-else-if="failed" class="fault" role="alert">{{ failed }} <button class="btn" @click="look">Again</button></p>
    <template v-else-if="found">
      <table>
        <thead><tr><th /><th scope="col">flown</th><th scope="col">flights</th><th scope="col">in the air</th><th scope="col">energy</th><th scope="col">late</th></tr></thead>
        <tbody>
          <tr v-for="[name, w] in [['as listed', now], ['so', found.would]] as const" :key="name"><th scope="row">{{ name }}</th><td>{{ flown(w) }}<span class="unit">of {{ flown(w) + w.unflown }}</span></td><td>{{ w.flights }}</td><td><Fig :value="w.airborneS / 60" quantity="minutes" /></td><td><Fig :value="w.usedWh" quantity="wattHours" /></td><td>{{ w.late }}</td></tr>
        </tbody>
      </table>
      <p v-if="found.better">In this order: <b>{{ numbers.join(' ') }}</b></p>
      <p v-if="found.better"><button class="btn lead" @click="take">Take it</button> <button class="btn" @click="$emit('close')">Leave it</button></p>
      <p v-else>The list is as good as any order found.</p>
      <p class="faint">{{ found.proven ? 'Proven for each aircraft by itself.' : `The best of ${SEARCH_MS / 1000} s of looking; there may be better.` }} Each slate flown as it is, musts first, then the light they want, then fewest flights and least time. Filters are not weighed yet.</p>
    </template>
    <p v-else>Something changed meanwhile. <button class="btn" @click="look">Look again</button></p>
  </section>
</template>

<style scoped>
.order { background: var(--slab-2); padding: 7px 9px 9px; display: grid; gap: 6px; flex: none; font-size: 13px; }
header { display: flex; justify-content: space-between; align-items: center; }
table { border-collapse: collapse; font-stretch: 88%; }
th, td { text-align: left; font-weight: 400; padding: 1px 8px 1px 0; white-space: nowrap; }
thead th { color: var(--chalk-2); font-size: 12px; }
tbody tr:last-child { font-weight: 620; }
</style>
