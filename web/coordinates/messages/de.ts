import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  latitudeLatitudeIsBeyondThe: 'Breite {latitude} liegt jenseits des Pols: sie geht von −90 bis 90.',
  longitudeLongitudeIsOutOf: 'Länge {longitude} ist außerhalb: sie geht von −180 bis 180.',
  notReadAsCoordinatesTry: 'Nicht als Koordinaten lesbar. Versuch 43.18, -4.83 oder 43°10′48″N 4°49′48″W.',
};
export default DE;
