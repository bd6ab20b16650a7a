import type { LaunchIdea } from '@core/location';
import { ref, watch, type Ref } from 'vue';
import { tr } from './messages';
import type { Plan } from './usePlan';

/** A square that is searched instead of the whole location, local m. */
export interface Around {
  readonly x: number;
  readonly y: number;
  readonly halfM: number;
}
/** Half the side of the square about a launch point in which somebody may stand, m. */
const NEAR_M = 80;

/** Where one could launch from or stand: asked of what searches, shown, and one of them put on the plan. */
export const useLaunchIdeas = (
  plan: Pick<Plan, 'placeId' | 'said' | 'add'>,
  launchNow: () => { readonly x: number; readonly y: number } | undefined,
  search: (placeId: string, around?: Around) => Promise<LaunchIdea[]>,
) => {
  const ideas: Ref<LaunchIdea[]> = ref([]);
  const kind = ref<'launch' | 'stand'>('launch');
  const thinking = ref(false);
  /** What is still searched for another location, or was asked before, is not shown. */
  let asked = 0;
  const forget = (): void => {
    asked += 1;
    ideas.value = [];
    thinking.value = false;
  };
  watch(plan.placeId, forget, { flush: 'sync' });

  const suggest = async (near: boolean): Promise<void> => {
    forget();
    const mine = asked;
    thinking.value = true;
    kind.value = near ? 'stand' : 'launch';
    const at = near ? launchNow() : undefined;
    try {
      const found = await search(plan.placeId.value, at && { x: at.x, y: at.y, halfM: NEAR_M });
      if (mine !== asked) return;
      ideas.value = found;
      if (found.length === 0) plan.said.value = tr('noLaunchPointFoundThere');
    } finally {
      if (mine === asked) thinking.value = false;
    }
  };
  const take = (index: number): void => {
    const idea = ideas.value[index];
    if (!idea) return;
    plan.add(kind.value, 'point', [{ xM: Math.round(idea.xM * 10) / 10, yM: Math.round(idea.yM * 10) / 10 }]);
    ideas.value = [];
  };
  return { ideas, kind, thinking, suggest, take };
};

export type LaunchIdeas = ReturnType<typeof useLaunchIdeas>;
