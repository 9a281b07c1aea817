import type { TokenGroup } from '../model';

/**
 * The types of the Design Tokens Format Module (2025.10, 8 Types and 9 Composite types; from memory of its text), and what
 * of CSS their keywords stand for.
 */

/** The type of the format for each group of tokens. */
export const FORMAT_TYPES: Readonly<Record<TokenGroup, string>> = {
  colour: 'color',
  space: 'dimension',
  size: 'dimension',
  family: 'fontFamily',
  weight: 'fontWeight',
  lineHeight: 'number',
  radius: 'dimension',
  border: 'border',
  shadow: 'shadow',
  duration: 'duration',
  easing: 'cubicBezier',
  stroke: 'strokeStyle',
  gradient: 'gradient',
};

/**
 * The composite types that say several things of an element at once: here they are shared styles. Each member with the
 * longhand it is, and the type of the format that stands there.
 */
export const STYLE_TYPES = {
  typography: {
    fontFamily: ['font-family', 'fontFamily'],
    fontSize: ['font-size', 'dimension'],
    fontWeight: ['font-weight', 'fontWeight'],
    letterSpacing: ['letter-spacing', 'dimension'],
    lineHeight: ['line-height', 'number'],
  },
  transition: {
    duration: ['transition-duration', 'duration'],
    delay: ['transition-delay', 'duration'],
    timingFunction: ['transition-timing-function', 'cubicBezier'],
  },
} as const satisfies Readonly<Record<string, Readonly<Record<string, readonly [string, string]>>>>;
/** A type of the format whose values are several declarations together. */
export type StyleType = keyof typeof STYLE_TYPES;

/** The weights that have names (8.4 Font weight), with their numbers. */
export const WEIGHTS: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
};

/** The keywords of easing as the curves they stand for (CSS Easing Functions Level 1, 2.2.1). */
export const EASINGS: Readonly<Record<string, readonly number[]>> = {
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
  linear: [0, 0, 1, 1],
};
