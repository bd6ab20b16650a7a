import { above, instant, oneOf, strict, text, uuid, type Stored } from './schema';

/** Sound that browsers record, by its container. */
export const VOICE_MIMES = ['audio/webm', 'audio/ogg', 'audio/mp4'] as const;
export type VoiceMime = (typeof VOICE_MIMES)[number];
/** Longest voice note, s; at a voice's bit rate it is small enough to travel like any other row, also without a network. */
export const VOICE_LIMIT_S = 30;

/** What was said about a take, as it was said. */
export const VoiceNoteSchema = strict({
  id: uuid(),
  locationId: uuid(),
  takeId: uuid(),
  utcMs: instant({ title: 'Time' }),
  seconds: above(0, 60, { title: 'Length', unit: 's' }),
  mime: oneOf(VOICE_MIMES, { title: 'Format' }),
  data: text(240_000, { minLength: 1, title: 'Sound', description: 'Base64.' }),
});
export type VoiceNote = Stored<typeof VoiceNoteSchema>;
