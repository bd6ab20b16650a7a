export * from './ground';
export * from './moving';
export * from './band';
