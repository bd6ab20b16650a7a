import { above, between, flag, listOf, oneOf, strict, text, whole, type Stored } from './schema';
import { PROFILE_SCHOOLS } from './camera';

export const TAKE_STYLES = ['same-way', 'there-and-back'] as const;
export type TakeStyle = (typeof TAKE_STYLES)[number];
export const CUT_STYLES = ['in-motion', 'whole'] as const;
export type CutStyle = (typeof CUT_STYLES)[number];
/** What gives way where sky and ground do not fit into one exposure. */
export const EXPOSE_FOR = ['ground', 'between', 'sky'] as const;
export type ExposeFor = (typeof EXPOSE_FOR)[number];
export const CARD_POLICIES = ['one', 'fresh-away', 'fresh'] as const;
export type CardPolicy = (typeof CARD_POLICIES)[number];

/** Where good people disagree: chosen once for a film. SI, shares 0–1. */
export const PreferencesSchema = strict({
  reserveShare: between(0.2, 0.4, {
    title: 'Reserve',
    unit: 'share',
    default: 0.3,
    description: 'Share of the rated energy that is still in the pack at landing.',
  }),
  packUse: oneOf(['several', 'one-shot'], {
    title: 'Shots per pack',
    default: 'several',
    description: 'Several shots on one pack, as long as the reserve holds, or one shot each.',
  }),
  holdBackSpare: flag({
    title: 'Hold back a spare pack',
    default: false,
    description: 'One pack of each kind is kept for chance subjects and mishaps.',
  }),
  takeStyle: oneOf(TAKE_STYLES, {
    title: 'Takes',
    default: 'there-and-back',
    description: 'Every take the same way with a reset between, or there and back, which saves the reset.',
  }),
  cutStyle: oneOf(CUT_STYLES, {
    title: 'Cut',
    default: 'in-motion',
    description: 'Whether only the steady part of a move is used, or its start and stop as well.',
  }),
  cardPolicy: oneOf(CARD_POLICIES, {
    title: 'Cards',
    default: 'fresh-away',
    description: 'One card, a fresh card each flight, or a fresh card over water and far from help.',
  }),
  minimumHoldS: between(0, 60, {
    title: 'Minimum hold',
    unit: 's',
    default: 5,
    description: 'Shortest usable clip that is planned.',
  }),
  preRollS: between(0, 30, {
    title: 'Pre-roll',
    unit: 's',
    default: 2,
    description: 'Recorded before the move starts.',
  }),
  postRollS: between(0, 30, {
    title: 'Post-roll',
    unit: 's',
    default: 2,
    description: 'Recorded after the move ends.',
  }),
  settleS: between(0, 60, {
    title: 'Settle',
    unit: 's',
    default: 4,
    description: 'Until the aircraft stands still between takes.',
  }),
  easeAccelMs2: between(0.1, 6, {
    title: 'Ease-in and ease-out',
    unit: 'm/s²',
    default: 1,
    description: 'Mean acceleration at the start and the end of a move.',
  }),
  repositionMs: between(1, 30, {
    title: 'Reposition speed',
    unit: 'm/s',
    default: 8,
    description: 'Speed over ground wished for from shot to shot.',
  }),
  topSpeedShare: between(0.3, 1, {
    title: 'Speed limit against wind',
    unit: 'share',
    default: 0.8,
    description: 'Share of the top speed a leg or the way home may take against the wind.',
  }),
  gustCareShare: between(0.2, 1, {
    title: 'Gusts: footage suffers from',
    unit: 'share',
    default: 0.5,
    description: 'Share of the rated wind from which footage is rarely usable.',
  }),
  gustStopShare: between(0.3, 1, {
    title: 'Gusts: stay on the ground from',
    unit: 'share',
    default: 0.7,
    description: 'Share of the rated wind above which a shot is not flown.',
  }),
  homeGustShare: between(0, 1, {
    title: 'Gusts on the way home',
    unit: 'share',
    default: 0.5,
    description: 'How far the way home counts gusts: 0 the mean wind, 1 the gust all the way.',
  }),
  swapMinutes: between(0, 60, {
    title: 'Pack change',
    unit: 'min',
    default: 3,
    description: 'Minutes on the ground between two flights.',
  }),
  shutterLowDeg: between(10, 360, {
    title: 'Shutter angle from',
    unit: 'deg',
    default: 150,
    description: 'Smallest shutter angle that is accepted.',
  }),
  shutterHighDeg: between(10, 360, {
    title: 'Shutter angle to',
    unit: 'deg',
    default: 216,
    description: 'Largest shutter angle that is accepted.',
  }),
  highlightBiasStops: between(-2, 1, {
    title: 'Highlight bias',
    unit: 'stops',
    default: -0.3,
    description: 'Under the meter, because a small sensor cannot win back clipped sky.',
  }),
  practisedInputs: whole(1, 6, {
    title: 'Inputs at once',
    default: 2,
    description: 'Stick inputs the pilot can hold together without practice.',
  }),
  handleS: between(0, 10, {
    title: 'Handles',
    unit: 's',
    default: 0.5,
    description: 'Extra at both ends of what the cut uses, each.',
  }),
  clearanceM: between(0, 100, {
    title: 'Clearance from obstacles',
    unit: 'm',
    default: 5,
    description: 'Free air kept from what stands there.',
  }),
  groundM: between(0, 100, {
    title: 'Clearance from the ground',
    unit: 'm',
    default: 1.5,
    description: 'Free air kept under the path.',
  }),
  reactionS: between(0, 10, {
    title: 'Reaction time',
    unit: 's',
    default: 1.5,
    description: 'Seconds until a gust is corrected.',
  }),
  corridorM: between(0, 200, {
    title: 'Way home, half width',
    unit: 'm',
    default: 10,
    description: 'Obstacles within this distance of the way home count for the return-to-home height.',
  }),
  returnMarginM: between(0, 200, {
    title: 'Return-to-home margin',
    unit: 'm',
    default: 20,
    description: 'Added to the tallest obstacle on the way home.',
  }),
  goldenTopDeg: between(0, 20, {
    title: 'Golden hour from sun height',
    unit: 'deg',
    default: 6,
    description: 'Sun height below which light counts as golden.',
  }),
  goldenBottomDeg: between(-8, 0, {
    title: 'Golden hour to sun height',
    unit: 'deg',
    default: -4,
    description: 'Sun height at which golden light ends and the blue hour starts.',
  }),
  civilDeg: between(-12, -4, {
    title: 'Blue hour to sun height',
    unit: 'deg',
    default: -6,
    description: 'Sun height at which the blue hour ends.',
  }),
  lampsDelayMin: between(0, 90, {
    title: 'Lamps on after sunset',
    unit: 'min',
    default: 20,
    description: 'Minutes after sunset at which lamps come on.',
  }),
  lampsRampMin: between(1, 60, {
    title: 'Lamps: minutes to full',
    unit: 'min',
    default: 12,
    description: 'Minutes from the first lamps to all of them.',
  }),
  sunBandTopDeg: between(0, 10, {
    title: 'Sunrise and sunset from sun height',
    unit: 'deg',
    default: 3,
    description: 'Sun height below which the sun counts as rising or setting.',
  }),
  sunBandBottomDeg: between(-6, 0, {
    title: 'Sunrise and sunset to sun height',
    unit: 'deg',
    default: -1.5,
    description: 'Sun height above which the sun still counts as rising or setting.',
  }),
  meterFadeMin: between(5, 600, {
    title: 'Meter readings hold for',
    unit: 'min',
    default: 60,
    description: 'Minutes over which a reading fades back to the model.',
  }),
  exposeFor: oneOf(EXPOSE_FOR, {
    title: 'Expose for',
    default: 'between',
    description: 'Ground, sky, or between, where sky in the frame would clip.',
  }),
  settingRegretStops: between(0, 2, {
    title: 'Setting tolerance',
    unit: 'stops',
    default: 0.33,
    description: 'Stops of regret a setting may cost before a dial is moved.',
  }),
  cleanIsoStops: between(0, 8, {
    title: 'ISO by day',
    unit: 'stops',
    default: 2,
    description: 'Stops the ISO may be raised by day before a filter counts as used up.',
  }),
  profile: oneOf(PROFILE_SCHOOLS, {
    title: 'Picture profile',
    default: 'standard',
    description: 'Flat or logarithmic only where somebody will grade.',
  }),
  flatAtNight: flag({
    title: 'Flat profile at night',
    default: false,
    description: 'Where shadows matter after dark.',
  }),
  whiteBalance: oneOf(['locked', 'automatic'], {
    title: 'White balance',
    default: 'locked',
    description: 'Locked, so that cuts match.',
  }),
  weightLinesKg: listOf(above(0, 100), 10, {
    title: 'Weight classes',
    unit: 'kg',
    default: [0.249, 0.899, 3.999],
    description: 'Take-off masses at which rules tend to change. Check the local rule.',
  }),
  flyAtOnce: flag({
    title: 'Two aircraft at the same time',
    default: false,
    description: 'Two people fly, each aircraft with its own packs.',
  }),
  learn: flag({
    title: 'Learn from the flight log',
    default: true,
    description: 'Logged flights correct planned energy and set-up time.',
  }),
  countRehearsed: flag({
    title: 'Rehearsed tries count',
    default: true,
    description:
      'Tries in the cockpit count towards the practised level of their move, a third of a take each.',
  }),
  chargeBetween: flag({
    title: 'Charge during the day',
    default: true,
    description: 'Packs are charged again on the chargers that come along.',
  }),
  topUpBefore: flag({
    title: 'Top up the evening before',
    default: true,
    description: 'Packs are planned as the charging of the evening before leaves them.',
  }),
  coolMinutes: between(0, 240, {
    title: 'Cooling before charging',
    unit: 'min',
    default: 20,
    description: 'Minutes a battery cools after landing before it is charged.',
  }),
  copiesWanted: whole(1, 9, {
    title: 'Copies before formatting',
    default: 2,
    description: 'Copies footage has before its card may be formatted.',
  }),
  awayM: between(20, 20_000, {
    title: 'Far from help',
    unit: 'm',
    default: 400,
    description: 'Distance from the launch point from which a flight counts as far away.',
  }),
  eveningMinutes: between(0, 1440, {
    title: 'Evening for copying',
    unit: 'min',
    default: 120,
    description: 'Minutes there are for copying footage in the evening.',
  }),
  clipTemplate: text(200, {
    minLength: 1,
    title: 'Clip names',
    default: '{film}_{place}_{shot}_t{take}',
    description: 'How clips are named; words in braces are filled in.',
  }),
});

export type Preferences = Stored<typeof PreferencesSchema>;
