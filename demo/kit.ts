import type { FilmFile } from '@contract';
import { demoId } from './ids';

type DemoKit = FilmFile['kit'];

export const PLOVER = demoId(1, 1);
export const WREN = demoId(1, 2);
export const SWIFTLET = demoId(1, 3);

const mode = (id: string, name: string, widthPx: number, heightPx: number, fps: number, megabitsPerS: number) => ({ id, name, widthPx, heightPx, fps, megabitsPerS });

const aircraft: DemoKit['aircraft'] = [
  {
    id: PLOVER, name: 'Plover 720', massKg: 0.72, rotors: 4, rotorDiameterM: 0.19, packWh: 46, hoverMinutes: 31, cruiseMinutes: 34, cruiseSpeedMs: 7,
    maxSpeedMs: 19, windLimitMs: 11.5, dragAreaM2: 0, maxClimbMs: 6, maxDescentMs: 4, maxYawDegS: 60, notes: 'The one with two lenses.', retired: false,
    cameras: [
      {
        id: 'wide', name: 'Wide 24', equivalentMm: 24, apertures: [2.8, 4, 5.6, 8, 11], isoBase: 100, isoCeiling: 6400, maxZoom: 3,
        modes: [mode('25', '4K 25', 3840, 2160, 25, 140), mode('50', '4K 50', 3840, 2160, 50, 180), mode('100', '4K 100 slow', 3840, 2160, 100, 200)],
      },
      { id: 'tele', name: 'Tele 70', equivalentMm: 70, apertures: [2.8], isoBase: 100, isoCeiling: 3200, maxZoom: 2, modes: [mode('25', '4K 25', 3840, 2160, 25, 120)] },
    ],
  },
  {
    id: WREN, name: 'Wren 246', massKg: 0.246, rotors: 4, rotorDiameterM: 0.152, packWh: 17, hoverMinutes: 26, cruiseMinutes: 28.5, cruiseSpeedMs: 6,
    maxSpeedMs: 15, windLimitMs: 9.5, dragAreaM2: 0, maxClimbMs: 5, maxDescentMs: 3, maxYawDegS: 75, notes: 'Under the 249 g line with the standard pack; check the local rule.', retired: false,
    cameras: [{
      id: 'main', name: 'Wide 24', equivalentMm: 24, apertures: [1.7], isoBase: 100, isoCeiling: 3200, maxZoom: 2,
      modes: [mode('25', '4K 25', 3840, 2160, 25, 100), mode('50', '4K 50', 3840, 2160, 50, 130)],
    }],
  },
  {
    id: SWIFTLET, name: 'Swiftlet 3in guarded', massKg: 0.42, rotors: 4, rotorDiameterM: 0.076, packWh: 19, hoverMinutes: 7.5, cruiseMinutes: 8, cruiseSpeedMs: 6,
    maxSpeedMs: 22, windLimitMs: 9, dragAreaM2: 0.012, maxClimbMs: 8, maxDescentMs: 5, maxYawDegS: 180, notes: 'Guards on; short packs.', retired: false,
    cameras: [{ id: 'main', name: 'Wide 16', equivalentMm: 16, apertures: [2.8], isoBase: 100, isoCeiling: 3200, maxZoom: 1, modes: [mode('50', '4K 50', 3840, 2160, 50, 150)] }],
  },
];

const pack = (n: number, name: string, aircraftId: string, ratedWh: number, charge: number, health: number, cycles: number): DemoKit['packs'][number] =>
  ({ id: demoId(2, n), name, aircraftIds: [aircraftId], ratedWh, charge, health, cycles, notes: '', retired: false });

const packs: DemoKit['packs'] = [
  pack(1, 'P1', PLOVER, 46, 1, 0.97, 41), pack(2, 'P2', PLOVER, 46, 1, 0.96, 44), pack(3, 'P3', PLOVER, 46, 0.82, 0.91, 118),
  pack(4, 'W1', WREN, 17, 1, 0.98, 22), pack(5, 'W2', WREN, 17, 1, 0.95, 60),
  pack(6, 'S1', SWIFTLET, 19, 1, 0.96, 35), pack(7, 'S2', SWIFTLET, 19, 1, 0.9, 80),
];

const card = (n: number, name: string, nominalGB: number, usedGB: number, writeMBs: number): DemoKit['cards'][number] =>
  ({ id: demoId(3, n), name, nominalGB, usedGB, writeMBs, notes: '', retired: false });

const cards: DemoKit['cards'] = [card(1, 'Card A', 64, 0, 30), card(2, 'Card B', 64, 0, 30), card(3, 'Card C', 128, 41.5, 60), card(4, 'Card D', 32, 0, 30)];

const filters: DemoKit['filters'] = [4, 8, 16, 32, 64, 128].map((factor, i) =>
  ({ id: demoId(4, i + 1), name: `ND ${factor}`, factor, aircraftIds: [], notes: '', retired: false }));

export const demoKit: DemoKit = { aircraft, packs, cards, filters };
