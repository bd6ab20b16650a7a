import { tr } from './messages';

/** A view of a film: how it is named in the bar, and its key. */
export interface View {
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

/** A view by its name, which is also the key of its label: written in the language of the moment. */
const view = (
  name: Parameters<typeof tr>[0],
  key: string,
  more: Omit<Entry, keyof View> & { readonly route?: string } = {},
): Entry => ({
  ...more,
  name: more.route ?? name,
  key,
  get label() {
    return tr(name);
  },
});

/** In the order in which a film is prepared and shot. */
export const VIEWS: readonly Entry[] = [
  view('brief', 'G B', { parts: [view('overview', 'G V')] }),
  view('locations', 'G L', { parts: [view('siteMap', 'G M', { route: 'map' })] }),
  view('shots', 'G S', { onTheDay: true, parts: [view('storyboard', 'G O'), view('rehearse', 'G R')] }),
  view('light', 'G I', { onTheDay: true }),
  view('flights', 'G F', { onTheDay: true }),
  view('checks', 'G C', { onTheDay: true }),
  view('field', 'G D', { onTheDay: true, parts: [view('ready', 'G N')] }),
  view('footage', 'G A', { parts: [view('debrief', 'G E')] }),
  view('kit', 'G K', { aside: true }),
  view('calculators', 'Q', { aside: true }),
];

/** Every view with a key of its own after G, entries and parts. */
const ALL: readonly View[] = VIEWS.flatMap((v) => [v, ...(v.parts ?? [])]);

/** The entry a view belongs to. */
export const entryOf = (name: string): Entry | undefined =>
  VIEWS.find((v) => v.name === name || v.parts?.some((p) => p.name === name));

/** The view a key leads to after G. */
export const viewAfterG = (key: string): string | undefined =>
  ALL.find((v) => v.key === `G ${key.toUpperCase()}`)?.name;

/** Views by the letter that leads to them after G. */
export const VIEW_KEYS: readonly { readonly key: string; readonly label: string }[] = ALL.filter((v) =>
  v.key.startsWith('G '),
).map((v) => ({
  key: v.key.slice(2),
  get label() {
    return v.label;
  },
}));
