import { clipName, flag, instant, notes, nullable, oneOf, strict, uuid, type Stored } from './schema';

/** How usable a take is, as judged on location. */
export const TAKE_RATINGS = ['good', 'maybe', 'no-good'] as const;
export type TakeRating = (typeof TAKE_RATINGS)[number];
/** Why a take is not good. */
export const TAKE_REASONS = ['drifted', 'corrected', 'exposure', 'people', 'focus', 'not-recording'] as const;
export type TakeReason = (typeof TAKE_REASONS)[number];

/** One take of a shot as it was flown. */
export const TakeSchema = strict({
  id: uuid(),
  locationId: uuid(),
  shotId: uuid(),
  utcMs: instant({ title: 'Time', description: 'When the recording ended.' }),
  rating: oneOf(TAKE_RATINGS, { title: 'Rating' }),
  reason: nullable(oneOf(TAKE_REASONS), { title: 'Reason', initial: null }),
  reversed: flag({
    title: 'Reversed',
    initial: false,
    description: 'Flown the other way round, as the way back of a there-and-back pass.',
  }),
  aircraftId: nullable(uuid(), { title: 'Aircraft', initial: null }),
  packId: nullable(uuid(), { title: 'Battery pack', initial: null }),
  cardId: nullable(uuid(), { title: 'Card', initial: null }),
  clip: clipName({ title: 'Clip', initial: '', description: 'Name of the file on the card, where known.' }),
  simulated: flag({
    title: 'Simulated',
    initial: false,
    default: false,
    description: 'Flown by the simulated aircraft: it teaches nothing about kit and pilots.',
  }),
  notes: notes(),
});
export type Take = Stored<typeof TakeSchema>;
