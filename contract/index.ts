export * from '../core/model';
export { ENTITIES, type AnyRow, type Row } from './entities';
export * from './changes';
export * from './exchange';
export * from './faults';
export { openApi } from './openapi';
