import { initialOf } from './initial';
import { PreferencesSchema, type Preferences } from './preferences';

/** What a new film starts with where good people disagree. */
export const DEFAULT_PREFERENCES = initialOf(PreferencesSchema) as Preferences;
