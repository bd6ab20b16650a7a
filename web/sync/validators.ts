// Everything that checks a thing before it is saved, fetched together after the first view.
export { sayFaults } from '@contract';
export { formatterFor } from '../composables/message-engine';
export { validateSemantics } from '@core/model';
export * as schemas from 'virtual:validators';
