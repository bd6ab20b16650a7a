export * from './job';
export * from './solve';
export * from './weigh';
