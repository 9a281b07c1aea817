export { behaviourJs } from './behaviour-js';
export * from './css';
export { FontsInUse } from './fonts-css';
export * from './page';
export * from './manifest';
export { changedBetween, type Changed } from './changed';
export * from './site';
export * from './plan';
