/** Passing messages of the library with their styles; comes when the first thing is said. */
import 'element-plus/es/components/message/style/css';

export { ElMessage } from 'element-plus';
