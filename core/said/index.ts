export * from './said';
export * from './codes';
