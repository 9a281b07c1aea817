import type { EXPRESSIONS } from '@sormet/core/said';
import type { ValueKind } from '@sormet/core/model';
import { KIND_WORDS } from '../kind-words';
import type { WordsOf } from '../words-of';

export const expressions: WordsOf<typeof EXPRESSIONS> = {
  'no-expression': 'Nothing is written yet.',
  'expression-too-long': ({ most }) => `An expression has at most ${most} characters.`,
  'text-not-closed': 'This text does not end: its closing quotation mark is missing.',
  'expression-stops': 'It stops before it is complete: something is missing at the end.',
  'does-not-go-on': ({ with: sign }) => `It cannot go on with “${sign}” here.`,
  'not-an-expression': 'This is no expression.',
  'not-in-expressions': ({ what }) => `${what}: these are not part of expressions here.`,
  'cel-bytes': 'Bytes',
  'cel-whole-numbers': 'Whole numbers with u behind them',
  'cel-has': 'has(): write !empty(…) for it',
  'cel-walking': 'Functions that walk lists',
  'cel-maps': 'Maps in braces',
  'cel-index': 'Places in lists in brackets',
  'cel-optional': 'Optional values',
  'nothing-so-named': ({ name }) => `There is no “${name}” here.`,
  'no-such-function': ({ name }) => `There is no function “${name.replace(/^\./, '')}”.`,
  'must-give': ({ wanted, gives }) => `This must give ${wanted}; it gives ${gives}.`,
  'both-ways-the-same': ({ one, other }) =>
    `Both ways must give the same kind: the first gives ${one}, this gives ${other}.`,
  'no-list-in-list': 'A list holds no lists.',
  'list-of-one-kind': ({ one, other }) =>
    `A list holds things of one kind: the first is ${one}, this is ${other}.`,
  'function-takes': ({ name, takes, given }) =>
    `${name.replace(/^\./, '')} takes ${takes.join(', or ')}; here it is given ${given.length === 0 ? 'nothing' : given.join(' and ')}.`,
  'never-equal': ({ one, other }) => `These are never equal: ${one} and ${other}.`,
  'operator-takes': ({ operator, one, other }) =>
    `“${operator}” is not there between ${one} and ${other}.`,
  'gives-nothing': 'nothing',
  'gives-kind': ({ kind }) => KIND_WORDS[kind as ValueKind] ?? kind,
  'gives-list': ({ of }) => `a list of ${of}`,
  'takes-several': ({ these }) => `one or more of ${these.join(' and ')}`,
  'takes-these': ({ these }) => these.join(' and '),
  'takes-anything': 'anything',
  'said-by-visitors':
    'a visitor says these words: they can be shown, put behind others, and asked whether there are any with empty(…), but not compared or taken apart',
  'of-another-choice':
    'It gives options of another choice. Those that are wanted here begin with “option.”.',
  'does-not-feed': ({ gives, wanted }) => `It gives ${gives}, which cannot become ${wanted}.`,
};
