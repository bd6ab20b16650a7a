import { Ajv, type Options } from 'ajv';
import { DESCRIBING_KEYWORDS } from '../core/model';

/** A validator as every check of stored things is compiled with. It never changes what it looks at. */
export const newValidator = (more: Options = {}): Ajv => {
  const ajv = new Ajv({ allErrors: true, strict: true, strictTypes: false, allowUnionTypes: true, ...more });
  ajv.addVocabulary([...DESCRIBING_KEYWORDS]);
  return ajv;
};
