import { newRow } from '@core/model';
import type { FilmFile } from '@contract';
import { demoId } from './ids';

type DemoKit = FilmFile['kit'];

export const PLOVER = demoId(1, 1);
export const WREN = demoId(1, 2);
export const SWIFTLET = demoId(1, 3);

type Craft = DemoKit['aircraft'][number];
const sticks = (
  slow: [number, number],
  normal: [number, number],
  fast: [number, number],
): Craft['handling'] => ({
  slow: {
    maxSpeedMs: slow[0],
    maxYawDegS: slow[1],
    maxTiltDegS: 12,
    smoothing: 0.7,
    tiltSmoothing: 0.7,
    expo: 0.6,
  },
  normal: {
    maxSpeedMs: normal[0],
    maxYawDegS: normal[1],
    maxTiltDegS: 30,
    smoothing: 0.4,
    tiltSmoothing: 0.4,
    expo: 0.4,
  },
  fast: {
    maxSpeedMs: fast[0],
    maxYawDegS: fast[1],
    maxTiltDegS: 60,
    smoothing: 0.2,
    tiltSmoothing: 0.2,
    expo: 0.3,
  },
});
const can = (
  kind: Craft['abilities'][number]['kind'],
  maxSpeedMs: number,
  minDistanceM: number,
  maxDistanceM: number,
) => ({ kind, maxSpeedMs, minDistanceM, maxDistanceM });

const mode = (
  id: string,
  name: string,
  widthPx: number,
  heightPx: number,
  fps: number,
  megabitsPerS: number,
) => ({
  id,
  name,
  widthPx,
  heightPx,
  fps,
  megabitsPerS,
  codec: 'H.265 10 bit',
  maxZoom: fps > 50 ? 1 : 0,
  losslessZoom: fps > 50 ? 1 : 1.4,
});

const profiles = (
  base: number,
  ceiling: number,
): DemoKit['aircraft'][number]['cameras'][number]['profiles'] => [
  { school: 'standard', name: 'Standard', isoBase: base, isoCeiling: ceiling },
  { school: 'flat', name: 'Flat', isoBase: base * 4, isoCeiling: Math.min(ceiling, base * 16) },
];

/** Figures of a lens most of these cameras share. */
const lens = {
  sensorDiagonalMm: 9.6,
  focus: 'adjustable' as const,
  sharpFromF: 2.8,
  sharpToF: 5.6,
  profiles: profiles(100, 3200),
};

/** Firmware, when it was last looked at, and the mark it carries. */
const papers = (firmware: string, firmwareOn: string | null, registration: string) => ({
  firmware,
  firmwareOn,
  registration,
  insurance: 'Liability, all aircraft',
  insuredUntil: '2027-12-31',
});

const aircraft: DemoKit['aircraft'] = [
  {
    id: PLOVER,
    name: 'Plover 720',
    massKg: 0.72,
    rotors: 4,
    rotorDiameterM: 0.19,
    packWh: 46,
    hoverMinutes: 31,
    cruiseMinutes: 34,
    cruiseSpeedMs: 7,
    maxSpeedMs: 19,
    windLimitMs: 11.5,
    dragAreaM2: 0,
    maxClimbMs: 6,
    maxDescentMs: 4,
    maxYawDegS: 60,
    maxTiltDegS: 60,
    spanM: 0.62,
    heightM: 0.11,
    notes: 'The one with two lenses.',
    typical: [],
    retired: false,
    ...papers('02.04', '2026-10-20', 'VG-0720-A'),
    senses: ['front', 'back', 'left', 'right', 'up', 'down'],
    tiltUpDeg: 35,
    propsFromDeg: 20,
    usualPackG: 247,
    internalGB: 8,
    handling: sticks([3, 20], [10, 60], [19, 60]),
    abilities: [
      can('orbit', 8, 5, 500),
      can('track-behind', 10, 4, 60),
      can('track-beside', 6, 6, 40),
      can('track-in-place', 12, 3, 80),
      can('line', 12, 0, 2000),
      can('route', 10, 3, 1500),
      can('slow-sticks', 3, 0, 2000),
    ],
    cameras: [
      {
        id: 'wide',
        name: 'Wide 24',
        equivalentMm: 24,
        apertures: [2.8, 4, 5.6, 8, 11],
        isoBase: 100,
        isoCeiling: 6400,
        maxZoom: 3,
        fixedTiltDeg: null,
        stillAspect: '4:3',
        stillMB: 18,
        rawMB: 44,
        ...lens,
        sensorDiagonalMm: 21.6,
        profiles: profiles(100, 6400),
        modes: [
          mode('25', '4K 25', 3840, 2160, 25, 140),
          mode('50', '4K 50', 3840, 2160, 50, 180),
          mode('100', '4K 100 slow', 3840, 2160, 100, 200),
        ],
      },
      {
        id: 'tele',
        name: 'Tele 70',
        equivalentMm: 70,
        apertures: [2.8],
        isoBase: 100,
        isoCeiling: 3200,
        maxZoom: 2,
        fixedTiltDeg: null,
        stillAspect: '3:2',
        stillMB: 12,
        rawMB: 28,
        ...lens,
        modes: [mode('25', '4K 25', 3840, 2160, 25, 120)],
      },
    ],
  },
  {
    id: WREN,
    name: 'Wren 246',
    massKg: 0.246,
    rotors: 4,
    rotorDiameterM: 0.152,
    packWh: 17,
    hoverMinutes: 26,
    cruiseMinutes: 28.5,
    cruiseSpeedMs: 6,
    maxSpeedMs: 15,
    windLimitMs: 9.5,
    dragAreaM2: 0,
    maxClimbMs: 5,
    maxDescentMs: 3,
    maxYawDegS: 75,
    maxTiltDegS: 60,
    spanM: 0.39,
    heightM: 0.08,
    handling: sticks([2, 20], [8, 60], [15, 75]),
    abilities: [can('orbit', 5, 5, 200), can('slow-sticks', 2, 0, 1000)],
    notes: 'Under the 249 g line with the standard pack; check the local rule.',
    typical: [],
    retired: false,
    ...papers('01.11', '2026-09-02', 'VG-0246-B'),
    senses: ['front', 'down'],
    tiltUpDeg: 20,
    propsFromDeg: 20,
    usualPackG: 80,
    internalGB: 2,
    cameras: [
      {
        id: 'main',
        name: 'Wide 24',
        equivalentMm: 24,
        apertures: [1.7],
        isoBase: 100,
        isoCeiling: 3200,
        maxZoom: 2,
        fixedTiltDeg: null,
        stillAspect: '4:3',
        stillMB: 10,
        rawMB: 24,
        ...lens,
        modes: [mode('25', '4K 25', 3840, 2160, 25, 100), mode('50', '4K 50', 3840, 2160, 50, 130)],
      },
    ],
  },
  {
    id: SWIFTLET,
    name: 'Swiftlet 3in guarded',
    massKg: 0.42,
    rotors: 4,
    rotorDiameterM: 0.076,
    packWh: 19,
    hoverMinutes: 7.5,
    cruiseMinutes: 8,
    cruiseSpeedMs: 6,
    maxSpeedMs: 22,
    windLimitMs: 9,
    dragAreaM2: 0.012,
    maxClimbMs: 8,
    maxDescentMs: 5,
    maxYawDegS: 180,
    maxTiltDegS: 10,
    spanM: 0.29,
    heightM: 0.12,
    handling: sticks([6, 60], [14, 120], [22, 180]),
    abilities: [],
    notes: 'Guards on; short packs.',
    typical: [],
    retired: false,
    ...papers('4.5.1', null, 'VG-0420-C'),
    senses: [],
    tiltUpDeg: 40,
    propsFromDeg: 90,
    usualPackG: 118,
    internalGB: 0,
    cameras: [
      {
        id: 'main',
        name: 'Wide 16',
        equivalentMm: 16,
        apertures: [2.8],
        isoBase: 100,
        isoCeiling: 3200,
        maxZoom: 1,
        fixedTiltDeg: 18,
        stillAspect: '16:9',
        stillMB: 10,
        rawMB: 0,
        ...lens,
        focus: 'fixed',
        profiles: [],
        modes: [mode('50', '4K 50', 3840, 2160, 50, 150)],
      },
    ],
  },
];

const pack = (
  n: number,
  name: string,
  aircraftId: string,
  ratedWh: number,
  charge: number,
  health: number,
  cycles: number,
): DemoKit['packs'][number] =>
  newRow('pack', {
    id: demoId(2, n),
    name,
    aircraftIds: [aircraftId],
    ratedWh,
    charge,
    health,
    cycles,
    chargeMinutes: aircraftId === PLOVER ? 72 : 48,
    massG: { [PLOVER]: 247, [WREN]: 80, [SWIFTLET]: 118 }[aircraftId] ?? 0,
    ...(aircraftId === PLOVER
      ? { firmware: n === 3 ? '02.03' : '02.04', firmwareOn: n === 3 ? '2026-08-12' : '2026-10-20' }
      : {}),
  });

const packs: DemoKit['packs'] = [
  pack(1, 'P1', PLOVER, 46, 1, 0.97, 41),
  pack(2, 'P2', PLOVER, 46, 1, 0.96, 44),
  pack(3, 'P3', PLOVER, 46, 0.82, 0.91, 118),
  pack(4, 'W1', WREN, 17, 1, 0.98, 22),
  pack(5, 'W2', WREN, 17, 1, 0.95, 60),
  pack(6, 'S1', SWIFTLET, 19, 1, 0.96, 35),
  pack(7, 'S2', SWIFTLET, 19, 1, 0.9, 80),
];

const chargers: DemoKit['chargers'] = [
  newRow('charger', {
    id: demoId(12, 1),
    name: 'Hub at the wall',
    source: 'wall',
    sourceWh: 0,
    slots: 3,
    manner: 'in-turn',
    slotW: 65,
    totalW: 0,
    efficiency: 0.85,
    aircraftIds: [PLOVER],
    massG: 430,
    notes: 'Fullest first, one at a time.',
  }),
  newRow('charger', {
    id: demoId(12, 2),
    name: 'Small twin',
    source: 'vehicle',
    sourceWh: 240,
    slots: 2,
    manner: 'side-by-side',
    slotW: 25,
    totalW: 0,
    efficiency: 0.85,
    aircraftIds: [WREN, SWIFTLET],
    massG: 210,
  }),
];

const devices: DemoKit['devices'] = [
  newRow('device', {
    id: demoId(13, 1),
    name: 'Controller',
    role: 'controller',
    charge: 0.8,
    hours: 5,
    chargeMinutes: 110,
    massG: 390,
    firmware: '02.04',
    firmwareOn: '2026-10-20',
  }),
  newRow('device', {
    id: demoId(13, 2),
    name: 'Phone',
    role: 'phone',
    charge: 0.64,
    hours: 3.5,
    chargeMinutes: 85,
    massG: 205,
    firmware: '',
    firmwareOn: null,
    notes: 'Flight mode on, screen bright.',
  }),
];

/** Flights of the autumn before: the large aircraft takes a little more than reckoned, its third pack most of all. */
const flown: DemoKit['flightLog'] = (
  [
    [1, 3, 1, 21, 14.6, 0.98, 0.44, 23.3],
    [2, 3, 2, 21, 15.1, 1, 0.42, 24.6],
    [3, 3, 3, 21, 12.2, 1, 0.38, 22.1],
    [4, 10, 1, 17, 16.2, 1, 0.38, 26.4],
    [5, 10, 2, 17, 11.8, 0.97, 0.52, 18.9],
    [6, 10, 3, 17, 13.5, 1, 0.31, 24.9],
    [7, 24, 3, 14, 10.4, 0.96, 0.41, 19.1],
    [8, 24, 1, 14, 15.4, 1, 0.4, 25.5],
  ] as const
).map(([n, day, packN, temperatureC, minutes, startShare, endShare, plannedWh]) => ({
  id: demoId(14, n),
  filmId: null,
  flightId: null,
  aircraftId: PLOVER,
  packId: demoId(2, packN),
  utcMs: Date.UTC(2026, 9, day, 9, (n * 25) % 60),
  minutes,
  startShare,
  endShare,
  plannedWh,
  plannedMinutes: null,
  plannedSetUpMin: null,
  simulated: false,
  windMs: null,
  temperatureC,
  outcome: 'as-planned' as const,
  condition: 'sound' as const,
  shotIds: [],
  notes: '',
}));

const card = (
  n: number,
  name: string,
  nominalGB: number,
  usedGB: number,
  writeMBs: number,
): DemoKit['cards'][number] => ({
  id: demoId(3, n),
  name,
  nominalGB,
  usedGB,
  writeMBs,
  notes: '',
  typical: [],
  retired: false,
});

const cards: DemoKit['cards'] = [
  card(1, 'Card A', 64, 0, 30),
  card(2, 'Card B', 64, 0, 30),
  card(3, 'Card C', 128, 41.5, 60),
  card(4, 'Card D', 32, 0, 30),
];

const filter = (
  n: number,
  name: string,
  factor: number,
  more: Partial<DemoKit['filters'][number]> = {},
): DemoKit['filters'][number] => ({
  id: demoId(4, n),
  name,
  kind: 'nd',
  factor,
  strongest: 0,
  massG: 2,
  aircraftIds: [],
  notes: '',
  typical: [],
  retired: false,
  ...more,
});

const filters: DemoKit['filters'] = [
  ...[4, 8, 16, 32, 64, 128].map((factor, i) => filter(i + 1, `ND ${factor}`, factor)),
  filter(7, 'Polariser', 2.83, {
    kind: 'polariser',
    massG: 3,
    aircraftIds: [PLOVER],
    notes: 'For wet slate and the pans; turn it on the ground.',
  }),
  filter(8, 'Vario 4\u201332', 4, { kind: 'variable', strongest: 32, massG: 4, aircraftIds: [WREN] }),
];

const pilots: DemoKit['pilots'] = [
  {
    id: demoId(9, 1),
    name: 'Iria',
    notes: 'Thumbs, not pinch.',
    retired: false,
    levels: {
      hold: 4,
      'push-in': 4,
      'pull-back': 4,
      rise: 4,
      descend: 3,
      slide: 3,
      pan: 3,
      'top-down-turn': 3,
      'low-to-high': 3,
      'part-orbit': 2,
      orbit: 2,
      'fly-over': 2,
    },
  },
];

const drill = (
  n: number,
  moveKind: string,
  day: number,
  handling: DemoKit['practice'][number]['handling'],
  tries: number,
  keepers: number,
): DemoKit['practice'][number] => ({
  id: demoId(10, n),
  pilotId: demoId(9, 1),
  moveKind,
  utcMs: Date.UTC(2026, 9, day, 16),
  handling,
  tries,
  keepers,
  shotId: null,
  mark: null,
  drillId: '',
  notes: '',
});

const practice: DemoKit['practice'] = [
  drill(1, 'part-orbit', 11, 'slow', 8, 4),
  drill(2, 'part-orbit', 18, 'normal', 6, 5),
  drill(3, 'orbit', 18, 'normal', 5, 2),
  drill(4, 'low-to-high', 25, 'normal', 10, 8),
  drill(5, 'fpv-line', 25, 'simulator', 12, 5),
];

const thing = (
  n: number,
  name: string,
  role: DemoKit['gear'][number]['role'],
  count: number,
  massG: number,
  more: Partial<DemoKit['gear'][number]> = {},
): DemoKit['gear'][number] => ({
  id: demoId(15, n),
  name,
  role,
  count,
  massG,
  fitted: false,
  readMBs: 0,
  aircraftIds: [],
  notes: '',
  retired: false,
  ...more,
});

const gear: DemoKit['gear'] = [
  thing(1, 'Card reader', 'reader', 1, 24, { readMBs: 90 }),
  thing(2, 'USB cable', 'cable', 2, 30),
  thing(3, 'Landing pad', 'landing-pad', 1, 460, { notes: 'Weighted rim, for dust and grass.' }),
  thing(4, 'Propellers 720', 'propellers', 4, 9, { aircraftIds: [PLOVER] }),
  thing(5, 'Propellers 246', 'propellers', 2, 3, { aircraftIds: [WREN] }),
  thing(6, 'Guards 3in', 'guards', 1, 38, {
    aircraftIds: [SWIFTLET],
    notes: 'Spare set; those on it are counted in its mass.',
  }),
  thing(7, 'Card case', 'case', 1, 40),
  thing(8, 'Small screwdriver', 'tool', 1, 22),
];

/** Card A is still in the computer from the autumn; Card C came back with footage that was copied once. */
const cardMoves: DemoKit['cardMoves'] = (
  [
    [1, 2, 'format', 'case', 0, 30],
    [2, 1, 'put', 'computer', 0, 31],
    [3, 3, 'record', 'case', 6.5, 31],
    [4, 3, 'copy', null, 0, 32],
  ] as const
).map(([n, cardN, act, spot, gb, day]) => ({
  id: demoId(16, n),
  cardId: demoId(3, cardN),
  utcMs: Date.UTC(2026, 9, day, 18, n),
  act,
  spot,
  aircraftId: null,
  gb,
  copiesWanted: 2,
  waiver: '',
}));

const checks: DemoKit['checks'] = [
  {
    id: demoId(17, 1),
    builtIn: '',
    name: 'The timetable is looked up: which trains run today, and when.',
    moment: 'evening-before',
    protects: 'A viaduct without a train.',
    position: '',
    off: false,
    notes: '',
    retired: false,
  },
];

export const demoKit: DemoKit = {
  aircraft,
  packs,
  cards,
  filters,
  pilots,
  practice,
  chargers,
  devices,
  flightLog: flown,
  gear,
  cardMoves,
  checks,
};
