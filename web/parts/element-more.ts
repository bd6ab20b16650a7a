/** Controls that no first view needs, so that they come with the views that do. */
export { ElOptionGroup, ElSwitch } from 'element-plus';
