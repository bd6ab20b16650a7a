/** A view of a film: how it is named in the bar, and its key. */
interface View {
  readonly name: string;
  readonly label: string;
  readonly key: string;
}
/** An entry of the bar, with the views that open inside it. */
interface Entry extends View {
  readonly parts?: readonly View[];
  /** Wanted on the day itself: on a phone it stands at the foot, under the thumb. */
  readonly onTheDay?: boolean;
  /** Stands beside the day's work. */
  readonly aside?: boolean;
}

/** In the order in which a film is prepared and shot. */
export const VIEWS: readonly Entry[] = [
  {
    name: 'brief',
    label: 'Brief',
    key: 'G B',
    parts: [{ name: 'overview', label: 'Overview', key: 'G V' }],
  },
  {
    name: 'locations',
    label: 'Locations',
    key: 'G L',
    parts: [{ name: 'map', label: 'Site map', key: 'G M' }],
  },
  {
    name: 'shots',
    label: 'Shots',
    key: 'G S',
    onTheDay: true,
    parts: [
      { name: 'storyboard', label: 'Storyboard', key: 'G O' },
      { name: 'rehearse', label: 'Rehearse', key: 'G R' },
    ],
  },
  { name: 'light', label: 'Light', key: 'G I', onTheDay: true },
  { name: 'flights', label: 'Flights', key: 'G F', onTheDay: true },
  { name: 'checks', label: 'Checks', key: 'G C', onTheDay: true },
  { name: 'field', label: 'Field', key: 'G D', onTheDay: true },
  {
    name: 'footage',
    label: 'Footage',
    key: 'G A',
    parts: [{ name: 'debrief', label: 'Debrief', key: 'G E' }],
  },
  { name: 'kit', label: 'Kit', key: 'G K', aside: true },
  { name: 'calculators', label: 'Calculators', key: 'Q', aside: true },
];

/** Every view with a key of its own after G, entries and parts. */
const ALL: readonly View[] = VIEWS.flatMap((v) => [v, ...(v.parts ?? [])]);

/** The entry a view belongs to. */
export const entryOf = (name: string): Entry | undefined =>
  VIEWS.find((v) => v.name === name || v.parts?.some((p) => p.name === name));

/** The view a key leads to after G. */
export const viewAfterG = (key: string): string | undefined =>
  ALL.find((v) => v.key === `G ${key.toUpperCase()}`)?.name;

/** Keys and views as the sheet of keys lists them. */
export const GO_LINE = {
  keys: `G then ${ALL.filter((v) => v.key.startsWith('G '))
    .map((v) => v.key.slice(2))
    .join(', ')}`,
  does: ALL.filter((v) => v.key.startsWith('G '))
    .map((v) => v.label.toLowerCase())
    .join(', '),
};
