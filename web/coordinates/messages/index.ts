import { roomMessages } from '../../language';
import { EN } from './en';

export const tr = roomMessages(EN, { de: () => import('./de') });
