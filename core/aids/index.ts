export { AIDS, aidsFor } from './registry';
