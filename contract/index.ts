export * from './kinds';
export * from './entities';
export * from './changes';
export * from './exchange';
export * from './faults';
export { openApi } from './openapi';
export type { WireFitsCore } from './assert';
