export * from './longhands-of';
export * from './take-apart';
export * from './put-together';
