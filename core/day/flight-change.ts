import type { FlightPlan, Shot } from '../model';

/** Changes to flights and shots as they go through the one door: null takes away. */
export type FlightChange =
  | { readonly kind: 'flight'; readonly id: string; readonly after: FlightPlan | null }
  | { readonly kind: 'shot'; readonly id: string; readonly after: Shot };
