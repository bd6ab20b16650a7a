import type { CheckMoment } from '@core/model';
import { tr } from './messages';

export const MOMENT_WORDS: Readonly<Record<CheckMoment, string>> = {
  get 'days-before'() {
    return tr('daysBefore');
  },
  get 'evening-before'() {
    return tr('theEveningBefore');
  },
  get 'leaving-home'() {
    return tr('leavingHome');
  },
  get 'launch-point'() {
    return tr('atTheLaunchPoint');
  },
  get 'before-take'() {
    return tr('beforeEachTake');
  },
  get 'after-landing'() {
    return tr('afterLanding');
  },
  get 'leaving-place'() {
    return tr('leavingTheLocation');
  },
  get 'at-home'() {
    return tr('backHome');
  },
};
