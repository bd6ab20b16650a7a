import { defineAsyncComponent, type Component } from 'vue';
import { idle } from '../../composables/idle';

// What nobody sees at first comes after the first view. It is fetched then, not when asked for: by then there may be no network.
const parts = {
  added: () => import('./AddedRow.vue'),
  ask: () => import('./AskRow.vue'),
  bulk: () => import('./sheets/BulkBar.vue'),
  coverage: () => import('./sheets/CoverageSheet.vue'),
  cut: () => import('./facets/CutFacet.vue'),
  disclosure: () => import('../../parts/Disclosure.vue'),
  exposure: () => import('./facets/ExposureFacet.vue'),
  moves: () => import('./sheets/MoveSheet.vue'),
  points: () => import('./facets/PointRows.vue'),
  flights: () => import('./sheets/FlightSheet.vue'),
  ground: () => import('./GroundRow.vue'),
  groundSheet: () => import('../../parts/GroundShotSheet.vue'),
  printed: () => import('./sheets/PrintedShots.vue'),
  preview: () => import('../preview/PreviewStage.vue'),
  hands: () => import('./RailHands.vue'),
  sum: () => import('../../parts/SumSheet.vue'),
  tools: () => import('./sheets/ListTools.vue'),
  variety: () => import('./sheets/VarietySheet.vue'),
};

export const AddedRow = defineAsyncComponent(() => idle().then(parts.added));
export const AskRow = defineAsyncComponent(() => idle().then(parts.ask));
export const BulkBar = defineAsyncComponent(parts.bulk);
export const CoverageSheet = defineAsyncComponent(parts.coverage);
export const CutFacet = defineAsyncComponent(parts.cut);
export const Disclosure = defineAsyncComponent(() => idle().then(parts.disclosure));
export const ExposureFacet = defineAsyncComponent(parts.exposure);
export const FlightSheet = defineAsyncComponent(parts.flights);
export const GroundRow = defineAsyncComponent(parts.ground);
export const GroundShotSheet = defineAsyncComponent(parts.groundSheet);
export const ListTools = defineAsyncComponent(parts.tools);
export const MoveSheet = defineAsyncComponent(parts.moves);
export const PointRows = defineAsyncComponent(parts.points);
export const PreviewStage = defineAsyncComponent(parts.preview);
/** What is printed must be there at once: a page is drawn for paper without waiting for anything. */
export const printedShots = (): Promise<Component> =>
  idle().then(async () => (await parts.printed()).default);
export const RailHands = defineAsyncComponent(parts.hands);
export const SumSheet = defineAsyncComponent(parts.sum);
export const VarietySheet = defineAsyncComponent(parts.variety);

/** Fetches what may be asked for next. What fails is fetched when it is asked for. */
export const fetchAhead = (): void => {
  for (const part of Object.values(parts)) part().catch(() => undefined);
};
