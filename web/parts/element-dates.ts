/** Pickers of days and minutes, for the views that have some. Weeks begin on Monday, as the dates are written. */
import 'dayjs/locale/de';
import 'dayjs/locale/en-gb';
import 'element-plus/es/components/date-picker/style/css';
import 'element-plus/es/components/time-picker/style/css';
import de from 'element-plus/es/locale/lang/de';
import en from 'element-plus/es/locale/lang/en';
import { language } from '../language';

export { ElConfigProvider, ElDatePicker, ElTimePicker } from 'element-plus';

const LOCALES = { en: { ...en, name: 'en-gb' }, de };

/** What the pickers say, in the language of the interface. */
export const dateLocale = () => LOCALES[language.value];
