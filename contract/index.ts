export { ENTITIES, type AnyRow, type Row } from './entities';
export {
  BatchSchema,
  ChangeSchema,
  type Batch,
  type Change,
  type Conflict,
  type FieldFault,
  type LoggedChange,
  type Problem,
} from './changes';
export { FilmFileSchema, KitFileSchema, type FilmFile, type KitFile } from './exchange';
export { sayFaults } from './faults';
export { upgradeFile } from './upgrade';
export { openApi } from './openapi';
