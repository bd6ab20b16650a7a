import { inSentence } from '../format';
import { tr } from './messages';
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
    get label() {
      return tr('brief');
    },
    key: 'G B',
    parts: [
      {
        name: 'overview',
        get label() {
          return tr('overview');
        },
        key: 'G V',
      },
    ],
  },
  {
    name: 'locations',
    get label() {
      return tr('locations');
    },
    key: 'G L',
    parts: [
      {
        name: 'map',
        get label() {
          return tr('siteMap');
        },
        key: 'G M',
      },
    ],
  },
  {
    name: 'shots',
    get label() {
      return tr('shots');
    },
    key: 'G S',
    onTheDay: true,
    parts: [
      {
        name: 'storyboard',
        get label() {
          return tr('storyboard');
        },
        key: 'G O',
      },
      {
        name: 'rehearse',
        get label() {
          return tr('rehearse');
        },
        key: 'G R',
      },
    ],
  },
  {
    name: 'light',
    get label() {
      return tr('light');
    },
    key: 'G I',
    onTheDay: true,
  },
  {
    name: 'flights',
    get label() {
      return tr('flights');
    },
    key: 'G F',
    onTheDay: true,
  },
  {
    name: 'checks',
    get label() {
      return tr('checks');
    },
    key: 'G C',
    onTheDay: true,
  },
  {
    name: 'field',
    get label() {
      return tr('field');
    },
    key: 'G D',
    onTheDay: true,
  },
  {
    name: 'footage',
    get label() {
      return tr('footage');
    },
    key: 'G A',
    parts: [
      {
        name: 'debrief',
        get label() {
          return tr('debrief');
        },
        key: 'G E',
      },
    ],
  },
  {
    name: 'kit',
    get label() {
      return tr('kit');
    },
    key: 'G K',
    aside: true,
  },
  {
    name: 'calculators',
    get label() {
      return tr('calculators');
    },
    key: 'Q',
    aside: true,
  },
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
  get keys() {
    return tr('gThenALL', {
      ALL: ALL.filter((v) => v.key.startsWith('G '))
        .map((v) => v.key.slice(2))
        .join(', '),
    });
  },
  does: ALL.filter((v) => v.key.startsWith('G '))
    .map((v) => inSentence(v.label))
    .join(', '),
};
