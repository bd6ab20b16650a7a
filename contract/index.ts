export * from './kinds';
export * from './entities';
export * from './changes';
export * from './exchange';
export * from './faults';
export * from './beyond';
export { ASSET_LIMIT, ASSET_MIMES, type AssetMime } from './site';
export { openApi } from './openapi';
export type { WireFitsCore } from './assert';
