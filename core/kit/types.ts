export * from '../model';
