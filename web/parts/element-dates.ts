/** Pickers of days and minutes, for the views that have some. Weeks begin on Monday, as the dates are written. */
import 'dayjs/locale/en-gb';
import 'element-plus/es/components/date-picker/style/css';
import 'element-plus/es/components/time-picker/style/css';
import en from 'element-plus/es/locale/lang/en';

export { ElConfigProvider, ElDatePicker, ElTimePicker } from 'element-plus';
export const DATE_LOCALE = { ...en, name: 'en-gb' };
