import type { FeatureKind, FeatureShape } from '@core/model';
import { onBeforeUnmount, onMounted, type Ref } from 'vue';
import type { Spot } from '../../map/features';
import { useSelection } from '../../stores/selection';
import type { Plan } from './usePlan';
import { tr } from './messages';

interface Canvas {
  fit: () => void;
  finish: () => void;
  abort: () => void;
}

interface Parts {
  readonly plan: Plan;
  readonly canvas: Readonly<Ref<Canvas | null>>;
  readonly share: Ref<number>;
  readonly measured: Ref<{ points: Spot[]; closed: boolean } | null>;
  readonly bringing: Ref<boolean>;
  readonly seeLayers: () => void;
}

const DRAWS: Readonly<Record<string, readonly [FeatureKind, FeatureShape]>> = {
  l: ['launch', 'point'],
  w: ['wood', 'area'],
  e: ['wire', 'line'],
  h: ['building', 'area'],
};

/** Keys of the plan; fields and lists keep their own. */
export const usePlanKeys = ({ plan, canvas, share, measured, bringing, seeLayers }: Parts): void => {
  const selection = useSelection();
  let going = 0;
  const drop = (): void => {
    if (plan.tool.value) {
      canvas.value?.abort();
      plan.tool.value = null;
      measured.value = null;
    } else if (bringing.value) bringing.value = false;
    else plan.picked.value = { what: 'nothing', id: '' };
  };
  const acts: Readonly<Record<string, () => void>> = {
    s: () => {
      plan.tool.value = { what: 'subject' };
    },
    m: () => {
      plan.tool.value = { what: 'measure', closed: false };
      measured.value = null;
    },
    '0': () => canvas.value?.fit(),
    j: () => selection.step(1),
    k: () => selection.step(-1),
    ',': () => {
      share.value = Math.max(0, share.value - 0.05);
    },
    '.': () => {
      share.value = Math.min(1, share.value + 0.05);
    },
    y: seeLayers,
    enter: () => {
      if (plan.tool.value) canvas.value?.finish();
    },
    escape: drop,
    delete: plan.remove,
    backspace: plan.remove,
  };
  const pressed = (event: KeyboardEvent): void => {
    const { target } = event;
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    if (target instanceof HTMLElement && target.matches('input, textarea, [role="combobox"]')) return;
    const key = event.key.toLowerCase();
    // The second key of a way to another view is not ours.
    if (key === 'g') {
      going = Date.now() + 1500;
      return;
    }
    if (Date.now() < going) {
      going = 0;
      return;
    }
    if (key === 'enter' && target instanceof HTMLElement && target.matches(tr('buttonA'))) return;
    const draws = DRAWS[key];
    const act = draws
      ? () => {
          plan.tool.value = { what: 'draw', kind: draws[0], shape: draws[1] };
        }
      : acts[key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  onMounted(() => window.addEventListener('keydown', pressed, true));
  onBeforeUnmount(() => window.removeEventListener('keydown', pressed, true));
};
