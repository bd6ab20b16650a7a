export * from './angle';
export * from './vector';
export * from './result';
export * from './figure';
export * from './memo';
export * from './format';
export * from './local';
export * from './group';
