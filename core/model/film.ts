import { UNIT_SYSTEMS } from '../units';
import { PreferencesSchema } from './preferences';
import {
  between,
  flag,
  listOf,
  localDate,
  longText,
  name,
  nullable,
  nullableId,
  oneOf,
  shortText,
  strict,
  text,
  uuid,
  whole,
  type Stored,
} from './schema';

export const ASPECTS = ['16:9', '9:16', '4:3', '3:2', '1:1', '4:5', '2.39:1'] as const;
export type Aspect = (typeof ASPECTS)[number];

/** Frame rates films are delivered at, Hz. */
export const TIMELINE_RATES = [23.976, 24, 25, 29.97, 30, 50, 59.94, 60] as const;

/** A version of the film that is delivered beside the main cut. */
const VersionSchema = strict({
  name: name({ initial: 'Short version' }),
  lengthS: between(0, 36_000, { title: 'Length', unit: 's', initial: 30 }),
  aspect: oneOf(ASPECTS, { title: 'Aspect', initial: '9:16' }),
  fps: between(1, 240, { title: 'Frame rate', unit: 'fps', initial: 25 }),
});

/** Somebody to reach on the day. */
const ContactSchema = strict({
  name: text(200, { title: 'Name', initial: '' }),
  role: shortText({
    title: 'Role on the day',
    initial: '',
    description: 'Such as spotter, client, land owner.',
  }),
  phone: text(60, { title: 'Phone', initial: '' }),
});

export const FilmSchema = strict({
  id: uuid(),
  name: name(),
  purpose: longText({ title: 'Purpose', initial: '', description: 'What the film is for.' }),
  audience: shortText({ title: 'Client', initial: '', description: 'Who it goes to.' }),
  cutLengthS: between(0, 36_000, { title: 'Length of the cut', unit: 's', initial: 120 }),
  timelineFps: between(1, 240, {
    title: 'Timeline frame rate',
    unit: 'fps',
    initial: 25,
    description: 'Frames a second of the finished film.',
  }),
  tempoBpm: between(0, 400, {
    title: 'Music tempo',
    unit: 'bpm',
    initial: 100,
    description: 'Beats a minute, for cuts measured in beats; 0 where there is no music.',
  }),
  beatsPerCount: whole(1, 64, {
    title: 'Beats per count',
    default: 8,
    description: 'Beats in one count, for cuts counted in eights or bars.',
  }),
  aspect: oneOf(ASPECTS, { title: 'Aspect of the cut', initial: '16:9' }),
  stillsWanted: flag({ title: 'Stills wanted', initial: false }),
  units: oneOf(UNIT_SYSTEMS, { title: 'Units', initial: 'metric' }),
  preferences: PreferencesSchema,
  leftHome: listOf(uuid(), 1000, {
    title: 'Left at home',
    initial: [],
    description: 'Kit that does not come along on this film.',
  }),
  pilotId: nullableId({ title: 'Pilot' }),
  deadline: nullable(localDate(), {
    title: 'Deadline',
    default: null,
    description: 'Day the finished film is due; empty where none is set.',
  }),
  signedOffBy: text(200, { title: 'Signed off by', default: '', description: 'Who accepts the film.' }),
  stillsCount: whole(0, 1000, {
    title: 'Stills to deliver',
    default: 0,
    description: 'Number of finished stills; 0 where none are asked for.',
  }),
  versions: listOf(VersionSchema, 20, {
    title: 'Further versions',
    default: [],
    description: 'Cuts delivered beside the main one.',
  }),
  contacts: listOf(ContactSchema, 30, {
    title: 'Contacts',
    default: [],
    description: 'Who is reached on the day; they stand on the call sheet.',
  }),
});

export type Film = Stored<typeof FilmSchema>;
