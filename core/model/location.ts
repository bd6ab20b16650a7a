import {
  between,
  clockTime,
  flag,
  instant,
  listOf,
  localDate,
  longText,
  name,
  nullable,
  nullableId,
  oneNumberOf,
  oneOf,
  position,
  strict,
  text,
  uuid,
  type Stored,
} from './schema';

export const WIND_TERRAINS = ['open', 'rough'] as const;
/** How the ground slows the wind near it. */
export type WindTerrain = (typeof WIND_TERRAINS)[number];
export const SKIES = ['clear', 'thin-cloud', 'overcast', 'heavy'] as const;
export type Sky = (typeof SKIES)[number];
export const LAMPS = ['none', 'lit-street', 'floodlit-building', 'signs', 'stage'] as const;
export type Lamps = (typeof LAMPS)[number];
export const LOSS_ACTIONS = ['return', 'hover', 'land'] as const;
/** What the aircraft does when the signal is lost. */
export type LossAction = (typeof LOSS_ACTIONS)[number];

/** Where the weather of a location came from. */
export const WEATHER_SOURCES = ['hand', 'file', 'simulated'] as const;

/** Weather at an hour of a location's window, at 10 m. */
export const HourWeatherSchema = strict({
  at: clockTime({
    title: 'Time',
    description: 'On the clock of the location; after midnight where the window is.',
  }),
  windMs: between(0, 60, { title: 'Wind', unit: 'm/s', initial: 2 }),
  gustMs: between(0, 80, { title: 'Gusts', unit: 'm/s', initial: 4 }),
  windFromDeg: between(0, 360, { title: 'Wind from', unit: 'deg', initial: 270 }),
  temperatureC: between(-50, 60, { title: 'Temperature', unit: '°C', initial: 15 }),
  sky: oneOf(SKIES, { title: 'Sky', initial: 'clear' }),
  visibilityM: between(0, 100_000, { title: 'Visibility', unit: 'm', initial: 10_000 }),
  sure: between(0, 1, {
    title: 'How sure',
    unit: 'share',
    initial: 0.8,
    description: '1 certain, 0 a guess.',
  }),
});
export type HourWeather = Stored<typeof HourWeatherSchema>;

export const LocationSchema = strict({
  id: uuid(),
  filmId: uuid(),
  position: position(),
  name: name({ initial: 'New location' }),
  placed: flag({
    title: 'Coordinates known',
    initial: true,
    default: true,
    description: 'Off until somebody has said where it lies: no light and no sun is worked out for it.',
  }),
  latitude: between(-90, 90, {
    title: 'Latitude',
    unit: 'deg',
    description: 'Decimal degrees, north positive.',
  }),
  longitude: between(-180, 180, {
    title: 'Longitude',
    unit: 'deg',
    description: 'Decimal degrees, east positive.',
  }),
  zone: text(100, { minLength: 1, title: 'Time zone', description: 'Such as Europe/Madrid.' }),
  elevationM: between(-500, 9000, {
    title: 'Elevation',
    unit: 'm',
    initial: 0,
    description: 'Above sea level; thin air takes more energy.',
  }),
  date: localDate({ title: 'Date' }),
  windowStart: clockTime({ title: 'Window start', initial: '08:00' }),
  windowEnd: clockTime({ title: 'Window end', initial: '10:00' }),
  windMs: between(0, 60, { title: 'Wind', unit: 'm/s', initial: 2, description: 'Mean wind at 10 m.' }),
  gustMs: between(0, 80, {
    title: 'Gusts',
    unit: 'm/s',
    initial: 4,
    description: 'Strongest gusts at 10 m.',
  }),
  windFromDeg: between(0, 360, {
    title: 'Wind from',
    unit: 'deg',
    initial: 270,
    description: 'Where the wind comes from.',
  }),
  terrain: oneOf(WIND_TERRAINS, {
    title: 'Terrain',
    initial: 'open',
    description: 'Rough ground slows the wind near it.',
  }),
  temperatureC: between(-50, 60, { title: 'Temperature', unit: '°C', initial: 15 }),
  visibilityM: between(0, 100_000, { title: 'Visibility', unit: 'm', initial: 10_000 }),
  sky: oneOf(SKIES, { title: 'Sky', initial: 'clear' }),
  lamps: oneOf(LAMPS, { title: 'Lamps', initial: 'none', description: 'Artificial light at night.' }),
  mainsHz: oneNumberOf([50, 60], {
    title: 'Mains',
    unit: 'Hz',
    initial: 50,
    description: 'Lamps pulse at twice the mains frequency.',
  }),
  ceilingM: between(1, 1000, {
    title: 'Ceiling',
    unit: 'm',
    initial: 120,
    description: 'Highest flight above the ground below. Check the local rule.',
  }),
  returnHeightM: between(2, 1000, {
    title: 'Return-to-home height',
    unit: 'm',
    initial: 40,
    description: 'Above the launch point, as set in the aircraft.',
  }),
  launchId: nullableId({ title: 'Launch point', description: 'Flown from where a shot names none.' }),
  lossAction: oneOf(LOSS_ACTIONS, { title: 'Lost-link action', default: 'return' }),
  travelMin: between(0, 1440, {
    title: 'Travel time',
    unit: 'min',
    default: 0,
    description: 'From the location before on the same day until ready to fly here.',
  }),
  wallPower: flag({
    title: 'Wall power',
    default: false,
    description: 'A socket is there, or on the way there.',
  }),
  breaks: listOf(strict({ from: clockTime(), minutes: between(1, 720, { unit: 'min' }) }), 10, {
    title: 'Breaks',
    default: [],
    description: 'Times of the day at which nobody flies.',
  }),
  hours: listOf(HourWeatherSchema, 72, {
    title: 'Weather by the hour',
    default: [],
    description: 'Empty: the figures of the location hold all day.',
  }),
  weatherFrom: nullable(
    strict({
      source: oneOf(WEATHER_SOURCES, { title: 'Source' }),
      fetchedMs: instant({ title: 'Fetched' }),
    }),
    { title: 'Weather from', default: null },
  ),
  notes: longText({ title: 'Notes', initial: '' }),
  wayIn: longText({
    title: 'Way in',
    default: '',
    initial: '',
    description: 'How one gets there: road, gate, parking, way on foot.',
  }),
});

export type Location = Stored<typeof LocationSchema>;

/** What a reading was taken of. */
export const READING_OF = ['sky', 'lamps'] as const;

/** A light meter's reading at a location. */
export const ReadingSchema = strict({
  id: uuid(),
  locationId: uuid(),
  utcMs: instant({ title: 'Time' }),
  ev100: between(-10, 20, { title: 'EV', unit: 'EV at ISO 100' }),
  of: nullable(oneOf(READING_OF), {
    title: 'Measured',
    default: null,
    description: 'Sky light or lamps; empty takes whichever was stronger.',
  }),
});

export type Reading = Stored<typeof ReadingSchema>;
