import { kitOnLocation } from '@core/day';
import { rampSteps, rampWhy } from '@core/exposure';
import { exposurePlan, type FlightExposure, type SettingAt } from '@core/light-timeline';
import { filterNameOf, locationLight } from '@core/shot';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, heads, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';
import type { Voice } from './voice';

const settingText = ({ aperture, shutter, say }: Voice, { choice }: SettingAt): string =>
  choice ? `${aperture(choice.aperture)}  ${shutter(choice.shutterS)}  ISO ${choice.iso}` : say('noSetting');

/** Stops over the time of a shot, with their sign; nothing under a tenth. */
const driftText = ({ fixed }: Voice, stops: number): string =>
  Math.abs(stops) < 0.1 ? '' : `${stops > 0 ? '+' : '−'}${fixed(Math.abs(stops), 1)}`;

const flightOf = (whole: Printed, flight: FlightExposure, zone: string): Content[] => {
  const { input, derived, voice } = whole;
  const { say, clock, phrase } = voice;
  const filter = (n: number): string => {
    const part = flight.parts[n];
    return part ? phrase(filterNameOf(input.kit.filters, part.filterId, part.stops)) : '';
  };
  const pack = input.kit.packs.find((p) => p.id === flight.flight.packId)?.name ?? '–';
  return [
    {
      text: [
        { text: say('flight', { n: flight.index + 1 }), bold: true },
        '   ',
        own(say('takeOffOf', { time: clock(flight.flight.startMs, zone), pack, filter: filter(0) })) as never,
      ],
      margin: [0, 8, 0, 2],
    },
    {
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [30, '*', 96, 96, 26, 84],
        body: [
          heads(say('time'), say('shot'), say('atTheStart'), say('atTheEnd'), 'EV', say('filter')),
          ...flight.rows.map((r): Content[] => {
            const shot = derived.shots.get(r.shotId);
            const [start, end] = [settingText(voice, r.start), settingText(voice, r.end)];
            return [
              clock(r.start.utcMs, zone),
              own(`${shot?.number ?? ''} ${shot?.facts.shot.title || say('untitled')}`),
              start,
              end === start ? '=' : end,
              driftText(voice, r.end.ev100 - r.start.ev100),
              own(
                [
                  r.lands ? say('changeFilter', { filter: filter(r.part) }) : filter(r.part),
                  r.holds ? '' : say('doesNotHold'),
                ]
                  .join(' ')
                  .trim(),
              ),
            ];
          }),
        ],
      },
      layout: 'lightHorizontalLines',
    },
    ...flight.rows.flatMap((r): Content[] =>
      r.ramp
        ? [
            {
              text: own(
                `${say('rampOf', { number: derived.shots.get(r.shotId)?.number ?? '' })} ${voice.text(rampSteps(r.ramp))}. ${voice.text(rampWhy(r.ramp))}`,
              ) as never,
              margin: [0, 3, 0, 0],
            },
          ]
        : [],
    ),
  ];
};

/** What to dial in for each shot in the order of flying: settings at its start and its end, filters, and when to land for another one. */
export const exposureSheet = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const { input, derived, voice } = whole;
  const kit = kitOnLocation(input.kit, input.film);
  const places = [...derived.places.values()].filter((p) => p.light && Number.isFinite(p.windowFromMs));
  const content = places.flatMap((place): Content[] => {
    if (!place.light) return [];
    const lit = locationLight(place.location, place.light, input.readings, input.film.preferences);
    const flights = exposurePlan(place, derived.shots, kit, lit);
    return [
      own(place.location.name, 'heading'),
      {
        text: voice.say('exposureOf', {
          date: voice.date(place.location.date),
          mains: place.location.mainsHz,
        }),
        style: 'quiet',
      },
      ...(flights.length === 0
        ? [{ text: voice.say('noFlightHere'), style: 'quiet' }]
        : flights.flatMap((f) => flightOf(whole, f, place.location.zone))),
    ];
  });
  return document(whole, voice.say('exposureAndFilters'), paper, [
    ...content,
    {
      text: voice.say('checkHistogram'),
      style: 'quiet',
      margin: [0, 12, 0, 0],
    },
  ]);
};
