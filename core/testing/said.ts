import { createFormatter, EN, type Message } from '../messages';

const english = createFormatter(EN, 'en', 'metric');

/** A message as a person with metric units reads it in English; empty where there is none. */
export const said = (message: Message | null | undefined): string => (message ? english.text(message) : '');
