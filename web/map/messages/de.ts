import type { Texts } from '../../language';
import type { EN } from './en';

const DE: Texts<typeof EN> = {
  launch: 'Start',
  wire: 'Leitung',
};
export default DE;
