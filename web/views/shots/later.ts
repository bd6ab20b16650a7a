import { defineAsyncComponent } from 'vue';

// What nobody sees at first comes after the first view. It is fetched then, not when asked for: by then there may be no network.
const parts = {
  bulk: () => import('./BulkBar.vue'),
  coverage: () => import('./CoverageSheet.vue'),
  cut: () => import('./CutFacet.vue'),
  exposure: () => import('./ExposureFacet.vue'),
  moves: () => import('./MoveSheet.vue'),
  points: () => import('./PointRows.vue'),
  flights: () => import('./FlightSheet.vue'),
  preview: () => import('../preview/PreviewStage.vue'),
  hands: () => import('./RailHands.vue'),
  sum: () => import('../../parts/SumSheet.vue'),
  tools: () => import('./ListTools.vue'),
  variety: () => import('./VarietySheet.vue'),
};

export const BulkBar = defineAsyncComponent(parts.bulk);
export const CoverageSheet = defineAsyncComponent(parts.coverage);
export const CutFacet = defineAsyncComponent(parts.cut);
export const ExposureFacet = defineAsyncComponent(parts.exposure);
export const FlightSheet = defineAsyncComponent(parts.flights);
export const ListTools = defineAsyncComponent(parts.tools);
export const MoveSheet = defineAsyncComponent(parts.moves);
export const PointRows = defineAsyncComponent(parts.points);
export const PreviewStage = defineAsyncComponent(parts.preview);
export const RailHands = defineAsyncComponent(parts.hands);
export const SumSheet = defineAsyncComponent(parts.sum);
export const VarietySheet = defineAsyncComponent(parts.variety);

/** Fetches what may be asked for next. What fails is fetched when it is asked for. */
export const fetchAhead = (): void => {
  for (const part of Object.values(parts)) part().catch(() => undefined);
};
