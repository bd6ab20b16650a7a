import type { Preferences } from '@core/model';

/** A question good people answer differently, with both answers and what each costs. */
export interface School {
  readonly key: keyof Preferences;
  readonly asks: string;
  readonly answers: readonly {
    readonly value: string | boolean;
    readonly label: string;
    readonly why: string;
  }[];
}

export const SCHOOLS: readonly School[] = [
  {
    key: 'packUse',
    asks: 'Packs and shots',
    answers: [
      {
        value: 'several',
        label: 'Several shots a pack',
        why: 'As long as the reserve holds; fewest landings.',
      },
      {
        value: 'one-shot',
        label: 'One pack, one shot',
        why: 'Always a full pack under you; needs many packs.',
      },
    ],
  },
  {
    key: 'holdBackSpare',
    asks: 'Spare pack',
    answers: [
      { value: false, label: 'Fly everything', why: 'The most shots from the packs you carry.' },
      { value: true, label: 'Hold one back', why: 'For the chance subject at the end of the day.' },
    ],
  },
  {
    key: 'flyAtOnce',
    asks: 'Pilots',
    answers: [
      { value: false, label: 'One after another', why: 'One person flies all aircraft.' },
      {
        value: true,
        label: 'Two at the same time',
        why: 'Each aircraft has its own pilot and packs; keep apart in height and place.',
      },
    ],
  },
  {
    key: 'chargeBetween',
    asks: 'Packs on the day',
    answers: [
      {
        value: true,
        label: 'Charged between',
        why: 'On what comes along; a pack flies again once it is full.',
      },
      { value: false, label: 'Flown once', why: 'What was charged the evening before is all there is.' },
    ],
  },
  {
    key: 'learn',
    asks: 'Logged flights',
    answers: [
      {
        value: true,
        label: 'Correct the plan',
        why: 'From three flights on, real appetite instead of rated figures.',
      },
      { value: false, label: 'Are only kept', why: 'Rated figures, as the maker states them.' },
    ],
  },
  {
    key: 'takeStyle',
    asks: 'Takes',
    answers: [
      {
        value: 'there-and-back',
        label: 'There and back',
        why: 'Saves the flight back to the start; every second take runs reversed.',
      },
      { value: 'same-way', label: 'Same way each time', why: 'Takes match; pays a reset leg between them.' },
    ],
  },
  {
    key: 'cutStyle',
    asks: 'Cutting',
    answers: [
      { value: 'in-motion', label: 'In motion', why: 'Only the steady part counts; cuts feel seamless.' },
      {
        value: 'whole',
        label: 'Starts and stops in shot',
        why: 'The whole move counts; calmer, needs gentle hands.',
      },
    ],
  },
  {
    key: 'cardPolicy',
    asks: 'Cards',
    answers: [
      {
        value: 'fresh-away',
        label: 'Fresh over water, or far',
        why: 'One card on land; a card of its own where an aircraft that comes down is gone.',
      },
      { value: 'one', label: 'One card, then the next', why: 'Nothing to change on location.' },
      {
        value: 'fresh',
        label: 'Fresh card each flight',
        why: 'A lost aircraft loses one flight of footage; takes many cards.',
      },
    ],
  },
  {
    key: 'profile',
    asks: 'Profile',
    answers: [
      { value: 'standard', label: 'Standard', why: 'As it will be seen; little work after.' },
      { value: 'flat', label: 'Flat', why: 'For grading: keeps shadows and highlights, wants work.' },
    ],
  },
  {
    key: 'flatAtNight',
    asks: 'Profile at night',
    answers: [
      { value: false, label: 'As by day', why: 'Cuts match.' },
      { value: true, label: 'Flat at night', why: 'Where shadows matter.' },
    ],
  },
  {
    key: 'whiteBalance',
    asks: 'White balance',
    answers: [
      { value: 'locked', label: 'Locked', why: 'So that cuts match; a figure is suggested for each flight.' },
      {
        value: 'automatic',
        label: 'Automatic',
        why: 'When light changes fast within a take; set it back the next day.',
      },
    ],
  },
];
