export { gapsIn, type GapFinding } from './gaps';
export * from './paint';
export * from './landmarks';
export { boxOf, displayOfTag, usedDisplay, type Box } from './box-of';
export { noEffect, type NoEffect } from './no-effect';
