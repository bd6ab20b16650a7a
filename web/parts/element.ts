/** The controls this application uses; named one by one so that only they are built in. Their base styles come first, in main.ts. */
export { ElInput, ElOption, ElSelect, ElSlider } from 'element-plus';
