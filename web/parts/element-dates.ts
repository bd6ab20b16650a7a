/** Pickers of days and minutes, for the views that have some. Weeks begin on Monday, as the dates are written. */
import 'dayjs/locale/de';
import 'dayjs/locale/en-gb';
import 'element-plus/es/components/date-picker/style/css';
import 'element-plus/es/components/time-picker/style/css';
import de from 'element-plus/es/locale/lang/de';
import en from 'element-plus/es/locale/lang/en';
import { language } from '../language';

export { ElConfigProvider, ElDatePicker, ElTimePicker } from 'element-plus';

/** What a reader of the screen is told of the tables, which the library leaves in English. */
const datepicker = {
  ...de.el.datepicker,
  dateTablePrompt: 'Mit den Pfeiltasten und der Eingabetaste einen Tag wählen',
  monthTablePrompt: 'Mit den Pfeiltasten und der Eingabetaste einen Monat wählen',
  yearTablePrompt: 'Mit den Pfeiltasten und der Eingabetaste ein Jahr wählen',
  selectedDate: 'Gewählter Tag',
};
const LOCALES = { en: { ...en, name: 'en-gb' }, de: { ...de, el: { ...de.el, datepicker } } };

/** What the pickers say, in the language of the interface. */
export const dateLocale = () => LOCALES[language.value];
