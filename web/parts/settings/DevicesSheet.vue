<script setup lang="ts">
import { ElButton } from '../element-button';
import { create } from 'qrcode';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { counted, whenText } from '../../format';
import { api, ApiProblem, type Invitation, type LanState } from '../../sync/api';
import Disclosure from '../Disclosure.vue';
import DialogBox from '../DialogBox.vue';
import { tr } from './messages';

/** Phones and tablets that are paired with this computer, and a code for the next one. */
defineEmits<{ close: [] }>();
const POLL_MS = 2000;
/** What is typed to serve the local network. */
const COMMAND = 'npm start -- --lan';

const state = shallowRef<LanState | null>(null);
const invitation = shallowRef<Invitation | null>(null);
const link = ref('');
const fault = ref('');
/** Only the computer itself pairs devices. */
const elsewhere = ref(false);
const now = ref(Date.now());
/** Devices there were when the code was made: one more means that it was used. */
const before = ref(0);

const read = async (): Promise<void> => {
  now.value = Date.now();
  try {
    state.value = await api.lan();
    fault.value = '';
  } catch (error) {
    elsewhere.value = error instanceof ApiProblem && error.problem.status === 403;
    fault.value = elsewhere.value ? '' : error instanceof Error ? error.message : String(error);
  }
};
const act = async (what: () => Promise<unknown>): Promise<void> => {
  try {
    await what();
    await read();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
};
const devices = computed(() => (state.value?.on ? state.value.devices : []));
const invite = (): Promise<void> =>
  act(async () => {
    before.value = devices.value.length;
    invitation.value = await api.invite();
    link.value = invitation.value.links[0] ?? '';
  });
const used = computed(() => invitation.value !== null && devices.value.length > before.value);
const leftS = computed(() => Math.max(0, Math.ceil(((invitation.value?.untilMs ?? 0) - now.value) / 1000)));
const left = computed(() => `${Math.floor(leftS.value / 60)}:${String(leftS.value % 60).padStart(2, '0')}`);
/** The code as one path: a square for each dark module, with the quiet zone the standard wants around it. */
const drawn = computed(() => {
  if (!link.value) return null;
  const { size, data } = create(link.value, { errorCorrectionLevel: 'M' }).modules;
  const squares = Array.from(data).map((dark, i) =>
    dark ? `M${(i % size) + 4} ${Math.floor(i / size) + 4}h1v1h-1z` : '',
  );
  return { side: size + 8, path: squares.join('') };
});
void read();
const polling = setInterval(() => void read(), POLL_MS);
onBeforeUnmount(() => clearInterval(polling));
</script>

<template>
  <DialogBox :title="tr('devices')" @close="$emit('close')">
    <div class="body">
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <p v-if="elsewhere">{{ tr('pairedOnTheComputer') }}</p>
      <template v-else-if="state && !state.on">
        <p>{{ tr('notOnTheNetwork') }}</p>
        <p>
          <code>{{ COMMAND }}</code>
        </p>
        <p class="quiet">{{ tr('whatLanDoes') }}</p>
      </template>
      <template v-else-if="state?.on">
        <p class="quiet">{{ tr('whatLanDoes') }}</p>
        <p v-if="used" role="status" class="done" data-paired>
          {{ tr('deviceIsPaired', { name: devices.at(-1)?.name ?? '' }) }}
        </p>
        <div v-else-if="invitation && leftS > 0 && drawn" class="code">
          <svg
            :viewBox="`0 0 ${drawn.side} ${drawn.side}`"
            role="img"
            :aria-label="tr('codeToPhotograph')"
            shape-rendering="crispEdges"
          >
            <rect :width="drawn.side" :height="drawn.side" fill="#fff" />
            <path :d="drawn.path" fill="#000" />
          </svg>
          <div>
            <p>{{ tr('photographIt') }}</p>
            <p class="big" data-code>{{ invitation.code.slice(0, 4) }} {{ invitation.code.slice(4) }}</p>
            <p class="quiet">{{ tr('codeLeft', { left }) }}</p>
            <p v-for="l in invitation.links" :key="l">
              <ElButton
                v-if="invitation.links.length > 1"
                class="btn"
                :aria-pressed="l === link"
                @click="link = l"
              >
                {{ l.replace(/\/pair.*/, '') }}
              </ElButton>
              <span v-else class="quiet">{{ l.replace(/\?.*/, '') }}</span>
            </p>
          </div>
        </div>
        <ElButton class="btn lead" @click="invite">{{ tr(invitation ? 'newCode' : 'pairADevice') }}</ElButton>
        <Disclosure :label="tr('trustOnThePhone')">
          <p>{{ tr('howToTrust') }}</p>
          <p class="quiet">{{ tr('fingerprint') }}</p>
          <p>
            <code class="print">{{ state.fingerprint }}</code>
          </p>
        </Disclosure>
        <h3 v-if="devices.length > 0">{{ counted(devices.length, 'device') }}</h3>
        <p v-if="devices.length === 0" class="quiet">{{ tr('noDevicesYet') }}</p>
        <ul v-else>
          <li v-for="device in devices" :key="device.id">
            <b dir="auto">{{ device.name }}</b>
            <span class="quiet">{{
              tr('pairedAndSeen', {
                paired: whenText(Date.parse(device.pairedAt)),
                seen: whenText(Date.parse(device.seenAt)),
              })
            }}</span>
            <ElButton class="btn" @click="act(() => api.removeDevice(device.id))">
              {{ tr('removeDevice') }}
            </ElButton>
          </li>
        </ul>
      </template>
    </div>
  </DialogBox>
</template>

<style scoped>
.body {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.code {
  display: grid;
  grid-template-columns: minmax(160px, 220px) 1fr;
  gap: 16px;
  align-items: center;
  width: 100%;
}
@media (max-width: 520px) {
  .code {
    grid-template-columns: 1fr;
  }
}
.big {
  font-size: 30px;
  font-stretch: 112%;
  font-weight: 620;
  letter-spacing: 0.06em;
}
.print {
  overflow-wrap: anywhere;
  font-size: 13px;
}
.done {
  color: var(--verdigris);
  font-weight: 600;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  width: 100%;
}
li {
  display: grid;
  grid-template-columns: minmax(90px, max-content) 1fr max-content;
  gap: 12px;
  align-items: center;
}
</style>
