import type { Aspect, LightWish, MoveValues, StoryRole, Priority, SubjectKind } from '../model';

/** A shot of a template: the idea; lens, aircraft and habits come from the film it is put into. */
export interface TemplateShot {
  readonly title: string;
  readonly kind: string;
  readonly values?: MoveValues;
  readonly role: StoryRole;
  readonly priority: Priority;
  readonly wants?: LightWish;
  readonly seconds: number;
}

/** A kind of film with the shots it usually needs. */
export interface FilmTemplate {
  readonly code: string;
  readonly name: string;
  /** What it is for, in a sentence. */
  readonly about: string;
  readonly cutLengthS: number;
  readonly aspect: Aspect;
  readonly stills: number;
  /** What is filmed, m; null for an empty film. */
  readonly subject: {
    readonly name: string;
    readonly kind: SubjectKind;
    readonly heightM: number;
    readonly widthM: number;
    readonly northM: number;
    readonly headingDeg?: number;
    readonly speedMs?: number;
  } | null;
  readonly shots: readonly TemplateShot[];
}

const shot = (
  title: string,
  kind: string,
  role: StoryRole,
  priority: Priority,
  seconds: number,
  more: Pick<TemplateShot, 'values' | 'wants'> = {},
): TemplateShot => ({ title, kind, role, priority, seconds, ...more });

/** Films a person may begin from. Shots, roles and lengths are usual practice and meant to be changed. */
export const FILM_TEMPLATES: readonly FilmTemplate[] = [
  {
    code: 'place',
    name: 'Portrait of a place',
    about: 'A short film about one building or landmark: arrive, look around it, see its details, leave.',
    cutLengthS: 60,
    aspect: '16:9',
    stills: 0,
    subject: { name: 'Landmark', kind: 'tower', heightM: 20, widthM: 15, northM: 90 },
    shots: [
      shot('Detail in passing', 'slide', 'detail', 'could', 5),
      shot('Arrive low, rise', 'low-to-high', 'open', 'must', 8, { wants: 'golden' }),
      shot('Push in', 'push-in', 'develop', 'should', 7),
      shot('Half around', 'part-orbit', 'develop', 'must', 9, { wants: 'golden' }),
      shot('Straight down', 'top-down-turn', 'bridge', 'should', 6),
      shot('Pull away', 'pull-back', 'close', 'must', 8, { wants: 'golden' }),
    ],
  },
  {
    code: 'property',
    name: 'Property',
    about:
      'A house for sale or rent: its front, its ground, its surroundings, and stills from the same spots.',
    cutLengthS: 75,
    aspect: '16:9',
    stills: 8,
    subject: { name: 'House', kind: 'house', heightM: 8, widthM: 16, northM: 45 },
    shots: [
      shot('Front, approach', 'push-in', 'open', 'must', 7, { wants: 'frontlit' }),
      shot('Front, along', 'slide', 'develop', 'should', 6),
      shot('Around the house', 'orbit', 'develop', 'must', 12),
      shot('Plot from above', 'top-down-line', 'detail', 'must', 7),
      shot('Up to the neighbourhood', 'up-and-away', 'reveal', 'should', 8),
      shot('Windows lit at dusk', 'hold', 'close', 'could', 8, { wants: 'before-lamps' }),
    ],
  },
  {
    code: 'event',
    name: 'Event',
    about: 'A market, race or open-air stage, filmed from beside and never over people.',
    cutLengthS: 90,
    aspect: '16:9',
    stills: 4,
    subject: { name: 'Stage', kind: 'other', heightM: 6, widthM: 30, northM: 120 },
    shots: [
      shot('Before it fills', 'hold', 'calm', 'could', 8),
      shot('Reveal the ground', 'rise-reveal', 'open', 'must', 8),
      shot('Along the edge', 'slide', 'develop', 'must', 8),
      shot('Quarter around', 'part-orbit', 'excite', 'should', 8),
      shot('Up over the trees', 'crane-up', 'develop', 'should', 7),
      shot('Lights on', 'pull-back', 'close', 'must', 9, { wants: 'blue' }),
    ],
  },
  {
    code: 'action',
    name: 'Action',
    about: 'Something that moves: a bicycle, a boat, a car, a train.',
    cutLengthS: 45,
    aspect: '16:9',
    stills: 0,
    subject: {
      name: 'Rider',
      kind: 'person',
      heightM: 1.8,
      widthM: 2,
      northM: 40,
      headingDeg: 90,
      speedMs: 5,
    },
    shots: [
      shot('It comes past', 'hold', 'open', 'must', 6),
      shot('Alongside', 'track', 'excite', 'must', 8),
      shot('From behind', 'follow', 'develop', 'must', 8),
      shot('Round a bend', 'arrive-and-turn', 'excite', 'could', 6),
      shot('From straight above', 'top-down-line', 'bridge', 'should', 6),
      shot('Let it go', 'up-and-away', 'close', 'should', 8),
    ],
  },
  {
    code: 'landscape',
    name: 'Landscape',
    about: 'Wide country in good light, with time for the light to move.',
    cutLengthS: 90,
    aspect: '16:9',
    stills: 6,
    subject: { name: 'Lone tree', kind: 'trees', heightM: 10, widthM: 10, northM: 110 },
    shots: [
      shot('Over the rise', 'rise-reveal', 'open', 'must', 9, { wants: 'sunrise' }),
      shot('Long slide', 'slide', 'calm', 'should', 10, { wants: 'sidelit' }),
      shot('Towards the light', 'push-in', 'develop', 'must', 9, { wants: 'golden' }),
      shot('Texture from above', 'top-down-line', 'detail', 'should', 7),
      shot('Whole horizon', 'panorama', 'detail', 'could', 5),
      shot('Backwards and up', 'up-and-away', 'close', 'must', 10, { wants: 'golden' }),
    ],
  },
  {
    code: 'stock',
    name: 'Stock set',
    about: 'Clean clips of ten seconds each, one idea a clip, of one subject.',
    cutLengthS: 0,
    aspect: '16:9',
    stills: 0,
    subject: { name: 'Subject', kind: 'bridge', heightM: 12, widthM: 60, northM: 90 },
    shots: [
      shot('Still frame', 'hold', 'calm', 'must', 10),
      shot('Forward', 'push-in', 'develop', 'must', 10),
      shot('Backward', 'pull-back', 'close', 'must', 10),
      shot('Sideways', 'slide', 'develop', 'must', 10),
      shot('Upward', 'rise', 'reveal', 'should', 10),
      shot('Around', 'part-orbit', 'develop', 'should', 10),
      shot('From above', 'top-down-line', 'bridge', 'should', 10),
    ],
  },
  {
    code: 'travel',
    name: 'Travel diary',
    about: 'One person, one small aircraft, a new place each day, often in the picture.',
    cutLengthS: 60,
    aspect: '9:16',
    stills: 3,
    subject: { name: 'You', kind: 'person', heightM: 1.8, widthM: 1, northM: 12 },
    shots: [
      shot('Where you are', 'up-and-away', 'open', 'must', 7),
      shot('Around you', 'orbit', 'develop', 'should', 8),
      shot('View over your shoulder', 'push-in', 'reveal', 'must', 7),
      shot('Small in the land', 'top-down-turn', 'bridge', 'could', 6),
      shot('Leave', 'pull-back', 'close', 'must', 7, { wants: 'golden' }),
    ],
  },
  {
    code: 'practice',
    name: 'Practice day',
    about: 'An empty field: one axis at a time, then two together, and every stick mode once.',
    cutLengthS: 60,
    aspect: '16:9',
    stills: 0,
    subject: { name: 'Marker', kind: 'other', heightM: 2, widthM: 2, northM: 30 },
    shots: [
      shot('Hover and hold', 'hold', 'calm', 'must', 10),
      shot('Straight up, nothing else', 'rise', 'develop', 'must', 8),
      shot('Forward on a line', 'push-in', 'develop', 'must', 8),
      shot('Backward on the same line', 'pull-back', 'develop', 'must', 8),
      shot('Sideways, heading held', 'slide', 'develop', 'must', 8),
      shot('Turn on the spot', 'pan', 'develop', 'should', 8),
      shot('Tilt alone', 'tilt-reveal', 'reveal', 'should', 6),
      shot('Half around, both ways', 'part-orbit', 'develop', 'should', 10),
      shot('Up and tilt together', 'rise-reveal', 'reveal', 'could', 8),
    ],
  },
  {
    code: 'empty',
    name: 'Empty',
    about: 'No shots and no location: you build all of it.',
    cutLengthS: 120,
    aspect: '16:9',
    stills: 0,
    subject: null,
    shots: [],
  },
];
