export * from './shadows';
export * from './gradient';
export * from './transforms';
export * from './tracks';
export * from './areas';
