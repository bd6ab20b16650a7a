<script setup lang="ts">
import 'element-plus/es/components/progress/style/css';
import { ElProgress } from 'element-plus';
import { ElButton } from '../../parts/element-button';
import { computed, ref, shallowRef } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useFilm } from '../../stores/film';
import { useGrounds } from '../../stores/grounds';
import { useDerivedFilm } from '../../stores/derived-film';
import { takePicture } from '../../exchange/site-files';
import type { Layers } from './useLayers';
import type { Plan } from './usePlan';
import HeightsSheet from './HeightsSheet.vue';
import PictureRow from './PictureRow.vue';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';
import { fixed, writeText } from '../../format';

const props = defineProps<{ plan: Plan; layers: Layers }>();
const emit = defineEmits<{ bring: [] }>();
const film = useFilm();
const grounds = useGrounds();
const derivedFilm = useDerivedFilm();
const metres = (m: number): string => writeText(m, 'metres', derivedFilm.units);
const fault = ref('');
const busy = ref('');
const ground = computed(
  () => film.list('ground').find((g) => g.locationId === props.plan.placeId.value) ?? null,
);
const pictures = computed(() =>
  film.list('picture').filter((p) => p.locationId === props.plan.placeId.value),
);
const flights = computed(() => {
  const count = derivedFilm.derived?.places.get(props.plan.placeId.value)?.flights.length ?? 0;
  return [
    { value: null as number | null, label: tr('allShots') },
    ...Array.from({ length: count }, (_, i) => ({
      value: i as number | null,
      label: tr('flightValue', { value: i + 1 }),
    })),
  ];
});
const heightsFile = shallowRef<File | null>(null);
const takeUnder = async (file: File): Promise<void> => {
  fault.value = '';
  const { value: place } = props.plan.place;
  if (!place) return;
  busy.value = tr('readingName', { name: file.name });
  try {
    const done = await takePicture(file, place, film.commit);
    if (!done.ok) fault.value = done.reason;
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = '';
};
const dropGround = (): void => {
  if (ground.value) film.remove(tr('takeTheGroundAway'), [{ kind: 'ground', id: ground.value.id }]);
};
</script>

<template>
  <section class="pane" :aria-label="tr('layers')">
    <h2>{{ tr('ground') }}</h2>
    <template v-if="ground">
      <p>
        <b dir="auto">{{ ground.name }}</b>
        <span class="quiet">{{
          tr('gridSize', {
            columns: ground.columns,
            rows: ground.rows,
            cellM: metres(ground.cellM),
            lowM: metres(ground.lowM),
            highM: metres(ground.highM),
          })
        }}</span>
      </p>
      <SwitchField
        :label="tr('shade')"
        :value="layers.ground"
        :save="
          (v: boolean) => {
            layers.set('ground', v);
          }
        "
      />
      <SwitchField
        :label="tr('linesOfEqualHeight')"
        :value="layers.contours"
        :save="
          (v: boolean) => {
            layers.set('contours', v);
          }
        "
      />
      <SwitchField
        :label="tr('whatIsSeenFromThe')"
        :value="layers.seen"
        :save="
          (v: boolean) => {
            layers.set('seen', v);
          }
        "
      />
      <div v-if="layers.seen" class="row">
        <NumberField
          :label="tr('flyingAtAboveLaunch')"
          :value="layers.seenHeightM"
          quantity="metres"
          :step="5"
          :save="
            (v) => {
              layers.set('seenHeightM', Math.max(1, v));
            }
          "
        />
        <div v-if="layers.seenDone !== null" class="working" role="status">
          <ElProgress :percentage="Math.round(layers.seenDone * 100)" :aria-label="tr('whatIsSeenFromThe')" />
          <ElButton class="btn" @click="layers.set('seen', false)">{{ tr('cancel') }}</ElButton>
        </div>
        <p v-else-if="layers.seenShare !== null" class="quiet" data-seen>
          {{ tr('seenShareOfWhatIsIn', { seenShare: fixed(layers.seenShare * 100, 0) }) }}
        </p>
      </div>
      <ElButton class="btn" @click="dropGround">{{ tr('takeTheGroundAwayUpper') }}</ElButton>
    </template>
    <p v-else class="quiet">
      {{ tr('theGroundCountsAsLevel') }}
    </p>
    <FileButton
      :label="tr('bringHeights')"
      accept=".asc,.txt,.xyz,.csv,.tif,.tiff,.hgt,.grd"
      @files="([file]) => ((fault = ''), (heightsFile = file))"
    />
    <p class="quiet small">{{ tr('geoTIFFOrESRIASCIIGrid') }}</p>
    <HeightsSheet
      v-if="heightsFile && plan.place.value"
      :file="heightsFile"
      :place="plan.place.value"
      :before="ground"
      @close="heightsFile = null"
    />
    <h2>{{ tr('picturesUnderThePlan') }}</h2>
    <PictureRow v-for="p in pictures" :key="p.id" :picture="p" :plan="plan" :layers="layers" />
    <FileButton
      :label="tr('bringAPicture')"
      accept="image/png,image/jpeg,image/webp"
      @files="([file]) => takeUnder(file)"
    />
    <p v-if="busy" class="quiet" role="status">{{ busy }}</p>
    <p v-if="fault || layers.trouble || grounds.trouble" class="fault" role="alert">
      {{ fault || layers.trouble || grounds.trouble }}
    </p>
    <h2>{{ tr('shown') }}</h2>
    <PickField
      :label="tr('shotsOf')"
      :value="layers.flight"
      :options="flights"
      :save="
        (v) => {
          layers.set('flight', v);
        }
      "
    />
    <SwitchField
      :label="tr('onlyThePickedShot')"
      :value="layers.onlyPicked"
      :save="
        (v: boolean) => {
          layers.set('onlyPicked', v);
        }
      "
    />
    <SwitchField
      v-if="layers.tilesSet"
      :label="tr('mapTilesFromTheAddress')"
      :value="layers.tiles"
      :save="
        (v: boolean) => {
          layers.set('tiles', v);
        }
      "
    />
    <SwitchField
      :label="tr('whatTheCameraFrames')"
      :value="layers.frame"
      :save="
        (v: boolean) => {
          layers.set('frame', v);
        }
      "
    />
    <SwitchField
      :label="tr('shadowsAtThePlannedMinute')"
      :value="layers.shadows"
      :save="
        (v: boolean) => {
          layers.set('shadows', v);
        }
      "
    />
    <h2>{{ tr('inAndOut') }}</h2>
    <ElButton class="btn" @click="emit('bring')">{{ tr('bringOrSaveShapes') }}</ElButton>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 7px;
  align-content: start;
  justify-items: start;
}
h2 {
  margin-top: 6px;
}
.pane :deep(.el-select) {
  width: 190px;
}
.row {
  display: grid;
  gap: 4px;
  padding-left: 12px;
  border-left: 3px solid var(--pick);
}
.working {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) auto;
  gap: 8px;
  align-items: center;
}
.small {
  font-size: 12px;
}
</style>
