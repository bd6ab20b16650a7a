import { EXCHANGE_FORMAT, EXCHANGE_VERSION, DEFAULT_PREFERENCES, type HourWeather } from '@core/model';
import type { FilmFile } from '@contract';
import { initialValues, moveOf } from '@core/moves';
import { generateNKeysBetween } from 'fractional-indexing';
import { demoGround, terraceGround, viaductGround } from './ground';
import { demoId } from './ids';
import { demoKit, PLOVER, SWIFTLET, WREN } from './kit';
import { demoFeatures } from './site';

type Shot = FilmFile['shots'][number];
type Location = FilmFile['locations'][number];
type Subject = FilmFile['subjects'][number];

const FILM = demoId(5, 1);
const VIADUCT = demoId(6, 1);
const TERRACES = demoId(6, 2);
const PANS = demoId(6, 3);

const place = (
  n: number,
  position: string,
  more: Partial<Location> &
    Pick<Location, 'name' | 'latitude' | 'longitude' | 'date' | 'windowStart' | 'windowEnd'>,
): Location => ({
  id: demoId(6, n),
  filmId: FILM,
  position,
  placed: true,
  zone: 'Europe/Madrid',
  elevationM: 640,
  windMs: 2.5,
  gustMs: 4,
  windFromDeg: 250,
  terrain: 'open',
  temperatureC: 11,
  visibilityM: 12_000,
  sky: 'clear',
  lamps: 'none',
  mainsHz: 50,
  ceilingM: 120,
  returnHeightM: 55,
  launchId: null,
  lossAction: 'return',
  travelMin: 0,
  wallPower: false,
  breaks: [],
  hours: [],
  weatherFrom: null,
  notes: '',
  wayIn: '',
  ...more,
});

const hour = (
  at: string,
  windMs: number,
  gustMs: number,
  windFromDeg: number,
  temperatureC: number,
  sky: HourWeather['sky'],
  sure: number,
): HourWeather => ({ at, windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM: 12_000, sure });

const locations: Location[] = [
  place(1, 'a0', {
    name: 'Valdegris viaduct',
    latitude: 43.18,
    longitude: -4.83,
    date: '2027-05-14',
    windowStart: '07:05',
    windowEnd: '08:25',
    notes: 'First train up at 07:40. Launch from the meadow below the third arch.',
    wayIn:
      'Forest road from the village, gate stays closed behind you. Park by the pump house, five minutes on foot.',
    hours: [
      hour('06:00', 1.8, 3, 245, 8, 'clear', 0.9),
      hour('07:00', 2.5, 4, 250, 9, 'clear', 0.9),
      hour('08:00', 3.4, 5.6, 255, 11, 'clear', 0.8),
      hour('09:00', 5.2, 8.4, 262, 13, 'thin-cloud', 0.7),
      hour('10:00', 6.4, 10.1, 268, 15, 'thin-cloud', 0.6),
    ],
    weatherFrom: { source: 'hand', fetchedMs: Date.UTC(2027, 4, 13, 18, 30) },
  }),
  place(2, 'a1', {
    name: 'Slate terraces',
    latitude: 43.196,
    longitude: -4.851,
    elevationM: 820,
    date: '2027-05-14',
    windowStart: '18:30',
    windowEnd: '20:15',
    windMs: 2.4,
    gustMs: 3.8,
    windFromDeg: 300,
    temperatureC: 16,
    sky: 'thin-cloud',
    notes: 'Ask at the gate house before setting up.',
    wayIn: 'Track past the gate house, no turning beyond the second terrace.',
  }),
  place(3, 'a2', {
    name: 'Salt pans',
    latitude: 43.402,
    longitude: -4.71,
    elevationM: 4,
    date: '2027-05-15',
    windowStart: '21:00',
    windowEnd: '22:10',
    windMs: 2.6,
    gustMs: 3.9,
    windFromDeg: 340,
    temperatureC: 14,
    returnHeightM: 35,
    lamps: 'lit-street',
    notes: 'Over water: land on the causeway if anything is off.',
  }),
];

const subject = (
  n: number,
  locationId: string,
  name: string,
  kind: Subject['kind'],
  xM: number,
  yM: number,
  heightM: number,
  widthM: number,
  baseM = 0,
  more: Partial<Subject> = {},
): Subject => ({
  id: demoId(7, n),
  locationId,
  name,
  kind,
  xM,
  yM,
  baseM,
  heightM,
  widthM,
  depthM: 0,
  headingDeg: 90,
  speedMs: 0,
  path: [],
  ...more,
});

const subjects: Subject[] = [
  subject(1, VIADUCT, 'Viaduct', 'bridge', 20, 140, 26, 120),
  subject(2, VIADUCT, 'Morning train', 'train', 40, 140, 4, 42, 26, { headingDeg: 88, speedMs: 4 }),
  subject(3, VIADUCT, 'Signal hut', 'house', -90, 60, 5, 6),
  subject(4, TERRACES, 'Terrace steps', 'field', 60, 110, 8, 140),
  subject(5, TERRACES, 'Incline house', 'house', -40, 150, 9, 14, 6),
  subject(6, TERRACES, 'Quarryman', 'person', 25, 40, 1.8, 0.8, 0, { headingDeg: 310, speedMs: 1.2 }),
  subject(7, PANS, 'Salt pans', 'field', 0, 150, 1, 260),
  subject(8, PANS, 'Wagon on the causeway', 'vehicle', 70, 90, 3, 9),
];

interface Sketch extends Partial<Omit<Shot, 'move'>> {
  title: string;
  about: number;
  move: string;
  values?: Record<string, number>;
  seconds?: number;
  beats?: number;
  /** Speed at the start and at the end of the clip. */
  ramp?: [number, number | null];
  added?: Partial<Shot['move']['added']>;
  points?: Shot['move']['points'];
}

const craftOf = (sketch: Sketch): Pick<Shot, 'aircraftId' | 'cameraId' | 'modeId'> => ({
  aircraftId: sketch.aircraftId ?? PLOVER,
  cameraId: sketch.cameraId ?? (sketch.aircraftId ? 'main' : 'wide'),
  modeId: sketch.modeId ?? '25',
});

const shot = (n: number, locationId: string, position: string, sketch: Sketch): Shot => {
  const { about, move, values, seconds, beats, ramp, added, points, ...more } = sketch;
  return {
    id: demoId(8, n),
    locationId,
    position,
    subjectId: demoId(7, about),
    role: 'develop',
    priority: 'should',
    wants: 'any',
    zoom: 1,
    cut: {
      by: beats === undefined ? 'seconds' : 'beats',
      beats: beats ?? 8,
      segments: [{ timelineS: seconds ?? 6, speedFactor: ramp?.[0] ?? 1, endFactor: ramp?.[1] ?? null }],
    },
    cutStyle: 'in-motion',
    takes: 2,
    takeStyle: 'there-and-back',
    setupS: 35,
    subjectMarginS: 0,
    exposure: { aperture: null, shutterS: null, iso: null, filterId: null },
    offsetStops: 0,
    notes: '',
    alsoAspect: null,
    chance: false,
    litShare: 0.3,
    notAfter: null,
    records: 'video',
    stills: 3,
    stillAs: 'compressed',
    handling: 'normal',
    walkS: null,
    layers: { foreground: '', middle: '', background: '' },
    usage: { people: 'none', property: 'wide' },
    cutPosition: '',
    launchId: null,
    lossAction: null,
    sensing: null,
    overGround: false,
    surface: 'mixed',
    lit: 'open',
    profile: null,
    kelvin: null,
    focusM: null,
    notBefore: null,
    turn: 'any',
    afterId: null,
    ...more,
    ...craftOf(sketch),
    move: {
      kind: move,
      values: { ...initialValues(moveOf(move)?.parameters ?? []), ...values },
      reversed: false,
      locked: [],
      points: points ?? [],
      added: { riseM: 0, awayM: 0, aroundDeg: 0, yawDeg: 0, tiltDeg: 0, ...added },
    },
  };
};

const viaduct: Sketch[] = [
  {
    title: 'Valley wakes',
    about: 1,
    move: 'hold',
    values: { distanceM: 190, heightM: 40, fromBearingDeg: 195 },
    seconds: 8,
    role: 'open',
    priority: 'must',
    wants: 'golden',
    takes: 1,
  },
  {
    title: 'Meadow to arches',
    about: 1,
    move: 'low-to-high',
    values: { startM: 130, endM: 70, startHeightM: 2, endHeightM: 34, speedMs: 3.5, fromBearingDeg: 190 },
    beats: 12,
    role: 'open',
    priority: 'must',
    wants: 'golden',
  },
  {
    title: 'Along the parapet',
    about: 1,
    move: 'slide',
    values: { distanceM: 70, heightM: 30, lengthM: 60, speedMs: 3.5, fromBearingDeg: 170 },
    seconds: 7,
    priority: 'should',
    wants: 'golden',
  },
  {
    title: 'Train takes the bridge',
    about: 2,
    move: 'part-orbit',
    values: { radiusM: 85, heightM: 42, arcDeg: 50, speedMs: 4, fromBearingDeg: 150 },
    seconds: 9,
    role: 'reveal',
    priority: 'must',
    wants: 'golden',
    subjectMarginS: 6,
    takes: 1,
    layers: { foreground: '', middle: 'train on the arches', background: 'far ridge in the mist' },
  },
  {
    title: 'Signal hut, smoke',
    about: 3,
    move: 'push-in',
    values: { startM: 55, endM: 20, heightM: 7, speedMs: 1.8, fromBearingDeg: 230 },
    beats: 8,
    role: 'detail',
    priority: 'could',
  },
  {
    title: 'Away from the arches',
    about: 1,
    move: 'pull-back',
    values: { startM: 75, endM: 160, heightM: 45, speedMs: 4.5, fromBearingDeg: 200 },
    seconds: 10,
    role: 'close',
    priority: 'should',
  },
  {
    title: 'Sleepers from above',
    about: 2,
    move: 'top-down-turn',
    values: { heightM: 58, turnDeg: 60, rateDegS: 5, fromBearingDeg: 180 },
    seconds: 6,
    role: 'bridge',
    priority: 'could',
    aircraftId: WREN,
  },
];

const terraces: Sketch[] = [
  {
    title: 'Steps of slate',
    about: 4,
    move: 'rise',
    values: { startM: 4, endM: 46, distanceM: 85, speedMs: 2.2, fromBearingDeg: 200 },
    beats: 12,
    role: 'open',
    priority: 'must',
  },
  {
    title: 'Quarryman walks in',
    about: 6,
    move: 'hold',
    values: { distanceM: 14, heightM: 3.5, fromBearingDeg: 240 },
    seconds: 7,
    role: 'detail',
    priority: 'must',
    subjectMarginS: 8,
    aircraftId: WREN,
    handling: 'slow',
    usage: { people: 'release-signed', property: 'wide' },
  },
  {
    title: 'Round the incline house',
    about: 5,
    move: 'orbit',
    values: { radiusM: 34, heightM: 26, speedMs: 4.5, fromBearingDeg: 180 },
    seconds: 12,
    role: 'develop',
    priority: 'should',
    takes: 1,
  },
  {
    title: 'Over the rows',
    about: 4,
    move: 'push-in',
    values: { startM: 150, endM: 60, heightM: 24, speedMs: 5, fromBearingDeg: 185, keepFramed: 0 },
    seconds: 8,
    priority: 'should',
  },
  {
    title: 'Down to the door',
    about: 5,
    move: 'descend',
    values: { startM: 48, endM: 14, distanceM: 32, speedMs: 1.6, fromBearingDeg: 160 },
    beats: 10,
    role: 'detail',
    priority: 'could',
  },
  {
    title: 'Rush along the steps',
    about: 4,
    move: 'slide',
    values: { distanceM: 75, heightM: 9, lengthM: 90, speedMs: 7, fromBearingDeg: 190 },
    seconds: 4,
    role: 'excite',
    priority: 'could',
    aircraftId: SWIFTLET,
    modeId: '50',
    ramp: [0.5, null],
    takes: 3,
  },
];

const pans: Sketch[] = [
  {
    title: 'Mirror at dusk',
    alsoAspect: '9:16',
    about: 7,
    move: 'rise',
    values: { startM: 3, endM: 60, distanceM: 120, speedMs: 2.5, fromBearingDeg: 100 },
    seconds: 9,
    role: 'open',
    priority: 'must',
    wants: 'golden',
  },
  {
    title: 'Grid of pans',
    about: 7,
    move: 'top-down-turn',
    values: { heightM: 90, turnDeg: 90, rateDegS: 6, fromBearingDeg: 180 },
    beats: 8,
    role: 'calm',
    priority: 'should',
    wants: 'golden',
  },
  {
    title: 'Wagon, last light',
    about: 8,
    move: 'part-orbit',
    values: { radiusM: 28, heightM: 9, arcDeg: 70, speedMs: 2.5, fromBearingDeg: 60 },
    seconds: 8,
    role: 'develop',
    priority: 'must',
    wants: 'golden',
  },
  {
    title: 'Causeway slide',
    about: 8,
    move: 'slide',
    values: { distanceM: 22, heightM: 5, lengthM: 36, speedMs: 2, fromBearingDeg: 120 },
    beats: 10,
    role: 'detail',
    priority: 'should',
    aircraftId: WREN,
  },
  {
    title: 'Leave it to the blue',
    litShare: 0.9,
    about: 8,
    move: 'pull-back',
    values: { startM: 30, endM: 130, heightM: 30, speedMs: 4, fromBearingDeg: 110 },
    seconds: 11,
    role: 'close',
    priority: 'must',
    wants: 'blue',
  },
];

/** Two things somebody has looked at weeks before. */
/** What the cut needs from the ground. */
const groundShots: FilmFile['groundShots'] = [
  {
    id: demoId(20, 1),
    locationId: VIADUCT,
    position: 'a0',
    title: 'Boots on the ballast',
    role: 'detail',
    timelineS: 3,
    filmedBy: 'Assistant, second camera',
    done: false,
    cutPosition: '',
    notes: 'Low, from behind, same light as the arches.',
  },
  {
    id: demoId(20, 2),
    locationId: TERRACES,
    position: 'a0',
    title: 'Hands on the dry wall',
    role: 'detail',
    timelineS: 4,
    filmedBy: 'Pilot, on foot',
    done: false,
    cutPosition: '',
    notes: '',
  },
];

const answers: FilmFile['answers'] = (['rule', 'crewed'] as const).map((checkId, n) => ({
  id: demoId(18, n + 1),
  locationId: VIADUCT,
  checkId,
  moment: 'days-before',
  shotId: null,
  flightId: null,
  verdict: 'passed',
  reason: '',
  found: '',
  who: 'Iria',
  utcMs: Date.UTC(2026, 9, 20, 17, n),
}));

/** The made-up film about a narrow-gauge railway, in the same file a person exports. */
export const demoFilm = (): FilmFile => {
  const lists: [string, Sketch[]][] = [
    [VIADUCT, viaduct],
    [TERRACES, terraces],
    [PANS, pans],
  ];
  let n = 0;
  const shots = lists.flatMap(([locationId, list]) => {
    const keys = generateNKeysBetween(null, null, list.length);
    return list.map((sketch, i) => {
      n += 1;
      return shot(n, locationId, keys[i] ?? 'a0', sketch);
    });
  });
  const grounds = [
    demoGround(1, VIADUCT, 'Valley of the viaduct, 5 m', viaductGround),
    demoGround(2, TERRACES, 'Terraces, 5 m', terraceGround),
  ];
  return {
    format: EXCHANGE_FORMAT,
    formatVersion: EXCHANGE_VERSION,
    film: {
      id: FILM,
      name: 'The Valdegris line',
      purpose:
        'Opening film for a heritage railway\u2019s season: a narrow-gauge line through a slate valley, from the viaduct at sunrise to the salt pans at dusk.',
      audience: 'Railway society, website and a hall screening',
      cutLengthS: 150,
      timelineFps: 25,
      tempoBpm: 92,
      aspect: '16:9',
      stillsWanted: false,
      units: 'metric',
      preferences: { ...DEFAULT_PREFERENCES },
      leftHome: [],
      beatsPerCount: 8,
      deadline: '2027-06-11',
      signedOffBy: 'Railway society, press desk',
      stillsCount: 0,
      versions: [{ name: 'Upright teaser', lengthS: 30, aspect: '9:16', fps: 25 }],
      pilotId: demoId(9, 1),
      contacts: [
        { name: 'Line dispatcher', role: 'Trains on the line, lineside access', phone: '+34 600 000 101' },
        { name: 'Second person', role: 'Spotter, drives between the locations', phone: '+34 600 000 102' },
        { name: 'Railway society', role: 'Client, on site at the viaduct', phone: '+34 600 000 103' },
      ],
    },
    locations,
    subjects,
    shots,
    readings: [],
    features: demoFeatures(VIADUCT, TERRACES, PANS),
    grounds: grounds.map((g) => g.ground),
    pictures: [],
    flights: [],
    answers,
    takes: [],
    groundShots,
    voiceNotes: [],
    assets: grounds.map((g) => g.asset),
    kit: demoKit,
  };
};
