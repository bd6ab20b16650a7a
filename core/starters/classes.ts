import { newCamera, newRow, type Aircraft, type Camera, type Card, type Filter, type Pack } from '../model';

/** Figures of a class of aircraft. Masses g, energies Wh, times min, speeds m/s. */
interface ClassFigures {
  readonly massG: number;
  readonly rotorDiameterM: number;
  readonly packWh: number;
  readonly hoverMinutes: number;
  readonly cruiseMinutes: number;
  readonly cruiseSpeedMs: number;
  readonly maxSpeedMs: number;
  readonly windLimitMs: number;
  readonly spanM: number;
  readonly heightM: number;
  readonly lenses: readonly { readonly name: string; readonly mm: number; readonly fixedTiltDeg?: number }[];
  readonly packs: number;
}

/** A class of aircraft people own, for who has not entered their own yet. */
export interface AircraftClass extends ClassFigures {
  readonly code: string;
  readonly name: string;
}

/** Usual figures of each class, rounded; none is a model on sale. They are marked as typical until replaced. */
export const AIRCRAFT_CLASSES: readonly AircraftClass[] = [
  {
    code: 'small',
    name: 'Under 250 g, one wide lens',
    massG: 245,
    rotorDiameterM: 0.12,
    packWh: 18,
    hoverMinutes: 27,
    cruiseMinutes: 30,
    cruiseSpeedMs: 6,
    maxSpeedMs: 15,
    windLimitMs: 10,
    spanM: 0.36,
    heightM: 0.06,
    lenses: [{ name: 'Wide', mm: 24 }],
    packs: 3,
  },
  {
    code: 'medium',
    name: 'About 700 g, wide and long lens',
    massG: 720,
    rotorDiameterM: 0.19,
    packWh: 46,
    hoverMinutes: 31,
    cruiseMinutes: 34,
    cruiseSpeedMs: 7,
    maxSpeedMs: 19,
    windLimitMs: 12,
    spanM: 0.55,
    heightM: 0.11,
    lenses: [
      { name: 'Wide', mm: 24 },
      { name: 'Long', mm: 70 },
    ],
    packs: 3,
  },
  {
    code: 'large',
    name: 'About 900 g, larger sensor',
    massG: 900,
    rotorDiameterM: 0.24,
    packWh: 75,
    hoverMinutes: 38,
    cruiseMinutes: 42,
    cruiseSpeedMs: 8,
    maxSpeedMs: 20,
    windLimitMs: 12,
    spanM: 0.65,
    heightM: 0.12,
    lenses: [
      { name: 'Wide', mm: 24 },
      { name: 'Middle', mm: 70 },
    ],
    packs: 4,
  },
  {
    code: 'guarded',
    name: 'Guarded, indoors, fixed tilt',
    massG: 400,
    rotorDiameterM: 0.075,
    packWh: 14,
    hoverMinutes: 6,
    cruiseMinutes: 6,
    cruiseSpeedMs: 6,
    maxSpeedMs: 18,
    windLimitMs: 6,
    spanM: 0.24,
    heightM: 0.08,
    lenses: [{ name: 'Fixed', mm: 18, fixedTiltDeg: 15 }],
    packs: 6,
  },
  {
    code: 'long-range',
    name: 'Long range, fixed tilt',
    massG: 900,
    rotorDiameterM: 0.18,
    packWh: 80,
    hoverMinutes: 14,
    cruiseMinutes: 22,
    cruiseSpeedMs: 16,
    maxSpeedMs: 33,
    windLimitMs: 14,
    spanM: 0.5,
    heightM: 0.09,
    lenses: [{ name: 'Fixed', mm: 18, fixedTiltDeg: 20 }],
    packs: 4,
  },
];

const cameraOf = (
  { name, mm, fixedTiltDeg }: ClassFigures['lenses'][number],
  timelineFps: number,
): Camera => {
  const camera = newCamera(name.toLowerCase(), name);
  const [first] = camera.modes;
  if (!first) return camera;
  const mode = { ...first, widthPx: 3840, heightPx: 2160, megabitsPerS: 100 };
  return {
    ...camera,
    equivalentMm: mm,
    fixedTiltDeg: fixedTiltDeg ?? null,
    modes: [
      { ...mode, id: 'real', name: `4K ${timelineFps}`, fps: timelineFps },
      { ...mode, id: 'double', name: `4K ${timelineFps * 2}`, fps: timelineFps * 2 },
    ],
  };
};

const AIRCRAFT_TYPICAL = [
  'massKg',
  'rotorDiameterM',
  'packWh',
  'hoverMinutes',
  'cruiseMinutes',
  'cruiseSpeedMs',
  'maxSpeedMs',
  'windLimitMs',
  'spanM',
  'heightM',
] as const;

/** Kit of a class, every figure in it named as typical. */
export interface ClassKit {
  readonly aircraft: Aircraft;
  readonly packs: readonly Pack[];
  readonly cards: readonly Card[];
  readonly filters: readonly Filter[];
}

/**
 * An aircraft of a class with its packs, two cards and three filters.
 * @param timelineFps frames a second its recording modes are made for @param newId makes an id for each thing
 */
export const kitOfClass = (c: AircraftClass, timelineFps: number, newId: () => string): ClassKit => {
  const { massG, rotorDiameterM, packWh, hoverMinutes, cruiseMinutes, cruiseSpeedMs } = c;
  const { maxSpeedMs, windLimitMs, spanM, heightM } = c;
  const aircraft = newRow('aircraft', {
    id: newId(),
    name: c.name.split(',')[0] ?? c.name,
    massKg: massG / 1000,
    ...{ rotorDiameterM, packWh, hoverMinutes, cruiseMinutes, cruiseSpeedMs },
    ...{ maxSpeedMs, windLimitMs, spanM, heightM },
    cameras: c.lenses.map((lens) => cameraOf(lens, timelineFps)),
    typical: [...AIRCRAFT_TYPICAL],
  });
  const ids = [aircraft.id];
  return {
    aircraft,
    packs: Array.from({ length: c.packs }, (_, n) =>
      newRow('pack', {
        id: newId(),
        name: `P${n + 1}`,
        ratedWh: packWh,
        aircraftIds: ids,
        typical: ['ratedWh', 'chargeMinutes'],
      }),
    ),
    cards: ['A', 'B'].map((letter) =>
      newRow('card', {
        id: newId(),
        name: `Card ${letter}`,
        nominalGB: 128,
        typical: ['nominalGB', 'writeMBs'],
      }),
    ),
    filters: [4, 16, 64].map((factor) =>
      newRow('filter', { id: newId(), name: `ND ${factor}`, factor, aircraftIds: ids, typical: ['factor'] }),
    ),
  };
};
