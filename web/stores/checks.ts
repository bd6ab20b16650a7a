// Everything that checks a thing before it is saved, fetched together after the first view.
export { validateSemantics, sayFaults } from '@contract';
export * as schemas from 'virtual:validators';
