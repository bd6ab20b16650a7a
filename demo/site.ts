import type { FilmFile } from '@contract';
import { featureWords, newFeature } from '@core/site';
import type { FeatureKind } from '@core/model';
import { demoId } from './ids';

type Feature = FilmFile['features'][number];
type Spot = readonly [xM: number, yM: number];

const feature = (
  n: number,
  locationId: string,
  kind: FeatureKind,
  name: string,
  spots: readonly Spot[],
  more: Partial<Feature> = {},
): Feature => {
  const words = featureWords(kind);
  return newFeature(kind, {
    id: demoId(10, n),
    locationId,
    name,
    shape: spots.length === 1 ? 'point' : words.shapes[0] === 'line' ? 'line' : 'area',
    points: spots.map(([xM, yM]) => ({ xM, yM })),
    ...more,
  });
};

/** What is drawn on the plans of the made-up places. */
export const demoFeatures = (viaduct: string, terraces: string, pans: string): Feature[] => [
  feature(
    1,
    viaduct,
    'wood',
    'Alder wood',
    [
      [-260, -20],
      [-178, -28],
      [-158, 40],
      [-170, 112],
      [-225, 130],
      [-272, 70],
    ],
    { heightM: 17 },
  ),
  feature(
    2,
    viaduct,
    'wire',
    'Line to the hut',
    [
      [-168, 4],
      [-124, 34],
      [-98, 66],
    ],
    { heightM: 8 },
  ),
  feature(
    3,
    viaduct,
    'permission',
    'Railway land',
    [
      [-120, 118],
      [160, 118],
      [160, 164],
      [-120, 164],
    ],
    { granted: true, until: '2027-06-30', source: 'letter of the railway society' },
  ),
  feature(
    4,
    viaduct,
    'animals',
    'Nesting ledge',
    [
      [258, 214],
      [322, 228],
      [314, 292],
      [250, 276],
    ],
    { until: '2027-07-15', source: 'notice at the gate' },
  ),
  feature(5, viaduct, 'people', 'Picnic field', [
    [168, -96],
    [216, -104],
    [222, -62],
    [174, -52],
  ]),
  feature(6, viaduct, 'plan-b', 'East meadow', [[96, -24]]),
  feature(7, viaduct, 'launch', 'Upper track', [[-46, -58]]),
  feature(8, viaduct, 'water', 'Stream', [
    [-500, -300],
    [-240, -268],
    [0, -278],
    [260, -262],
    [500, -290],
    [500, -310],
    [260, -284],
    [0, -300],
    [-240, -290],
    [-500, -324],
  ]),
  feature(9, viaduct, 'walk', 'From the gate', [
    [150, -190],
    [92, -120],
    [40, -50],
    [4, -6],
  ]),
  feature(
    10,
    terraces,
    'building',
    'Splitting shed',
    [
      [96, 34],
      [132, 40],
      [129, 58],
      [93, 52],
    ],
    { heightM: 7 },
  ),
  feature(11, terraces, 'mast', 'Old cableway post', [[-8, 172]], { heightM: 14 }),
  feature(
    12,
    terraces,
    'wood',
    'Beech hanger',
    [
      [-230, 40],
      [-150, 52],
      [-138, 140],
      [-180, 210],
      [-246, 180],
    ],
    { heightM: 21 },
  ),
  feature(
    13,
    terraces,
    'no-fly',
    'Blasting area',
    [
      [210, 10],
      [320, 6],
      [330, 120],
      [214, 126],
    ],
    { source: 'quarry office', until: '2027-12-31' },
  ),
  feature(14, terraces, 'plan-b', 'Gate yard', [[-60, -30]]),
  feature(15, pans, 'water', 'Pans', [
    [-150, 46],
    [150, 46],
    [150, 330],
    [-150, 330],
  ]),
  feature(16, pans, 'plan-b', 'Causeway head', [[84, 38]]),
  feature(17, pans, 'plan-b', 'Sluice wall', [[-40, 40]]),
  feature(
    18,
    pans,
    'animals',
    'Stilts on the far dyke',
    [
      [-120, 352],
      [120, 352],
      [120, 372],
      [-120, 372],
    ],
    { keepM: 40, source: 'warden' },
  ),
];
