/** Passing messages of the library with their styles. */
import 'element-plus/es/components/message/style/css';

export { ElMessage } from 'element-plus';
