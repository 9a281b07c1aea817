export * from './uses';
export * from './reach';
export * from './style-reach';
export * from './tag-reach';
export * from './option-reach';
