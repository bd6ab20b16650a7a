/** Buttons of the library in the look of this application (`.btn` in base.css), without the library's own. */
export { ElButton } from 'element-plus';
