/** Checkboxes with their styles, for the views that tick things. */
import 'element-plus/es/components/checkbox/style/css';

export { ElCheckbox } from 'element-plus';
