import type { Texts } from '../../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  aFilterTakesLight0: 'Ein Filter nimmt Licht: 0 Blenden oder mehr.',
  aShutterSuchAs1: 'Eine Verschlusszeit wie 1/50, oder Sekunden wie 0,5 s.',
  angle: 'Winkel',
  aperture: 'Blende',
  calculators: 'Rechner',
  clockToClock2: '{clock} bis {clock2}',
  eachFiltersFactor816: 'Faktor jedes Filters: 8 16',
  factorFactorDensityDensity: '· Faktor {factor} · Dichte {density}',
  factors: 'Faktoren',
  filter: 'Filter',
  filterForAShutterAngle: 'Filter für einen Verschlusswinkel',
  filtersOnTopOfEach: 'Filter übereinander',
  forAngleStopsFactorForAngle2: '{forAngle} Blenden: Faktor {forAngle2}',
  fps: 'fps:',
  giveFourGetTheFifth: 'Gib vier Werte ein, der fünfte wird berechnet. Drücke, was berechnet werden soll.',
  iso: 'ISO',
  isoIso: 'ISO {iso}',
  light: 'Licht',
  moreThanNothingIsNeeded: 'Es braucht mehr als nichts.',
  ndStopsStopsFactorNdStops2: '{ndStops} Blenden, Faktor {ndStops2}',
  noFilter: 'Kein Filter',
  noFilterNeeded: 'Kein Filter nötig',
  noFilterOfTheKit:
    'Kein Filter der Ausrüstung passt zu diesem Licht bei guter Verschlusszeit und sauberer ISO.',
  noneOnTheUsualDials: 'Keine auf den üblichen Stufen.',
  rate: 'Bildrate',
  shutter: 'Verschlusszeit',
  shutterAngleAt: 'Verschlusswinkel bei',
  shutterSApertureISOIso: '{shutterS} · {aperture} · ISO {iso}',
  stops: 'Blenden',
  stopsAndDensitiesAddFactors:
    'Blenden und Dichten addieren sich, Faktoren multiplizieren sich. Zwei Filter zeigen bei weiten Brennweiten die Bildecken und wiegen doppelt.',
  stopsStops: '{stops} Blenden',
  takeThisLight: 'Dieses Licht übernehmen',
  theHourFromClockAt: 'Die Stunde ab {clock} in {name}',
  theSameExposureOtherwise: 'Dieselbe Belichtung anders',
  to: 'bis',
  withCamera: ', mit {camera}.',
};
export default DE;
