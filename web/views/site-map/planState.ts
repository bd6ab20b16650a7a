import type { Entity, Location } from '@core/model';
import type { Ground } from '@core/terrain';
import type { Ref } from 'vue';
import type { Tool } from '../../map/draw-tool';

/** What is picked on the plan. */
export interface Picked {
  readonly what: 'feature' | 'subject' | 'shot' | 'launch' | 'nothing';
  readonly id: string;
}

/** What the acts on a plan look at and change. */
export interface PlanState {
  readonly place: Readonly<Ref<Location | null>>;
  readonly placeId: Readonly<Ref<string>>;
  readonly ground: Readonly<Ref<Ground>>;
  readonly subjects: Readonly<Ref<readonly Entity<'subject'>[]>>;
  readonly picked: Ref<Picked>;
  readonly tool: Ref<Tool>;
  readonly said: Ref<string>;
}
