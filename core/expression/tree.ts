import type { ValueKind } from '../model';

/** From which character of what was typed to which (UTF-16, the end not included). */
export interface Range {
  readonly start: number;
  readonly end: number;
}

/** Operators between two values. */
export type BinaryOperator =
  | '=='
  | '!='
  | '<'
  | '<='
  | '>'
  | '>='
  | '+'
  | '-'
  | '*'
  | '/'
  | '%'
  | 'in'
  | '&&'
  | '||';

/** A part of an expression, with where it stands. */
export type Tree = Range &
  (
    | { readonly is: 'literal'; readonly value: string | number | boolean | null }
    | { readonly is: 'name'; readonly name: string }
    | { readonly is: 'member'; readonly of: Tree; readonly member: string }
    | { readonly is: 'call'; readonly name: string; readonly given: readonly Tree[] }
    | {
        readonly is: 'binary';
        readonly by: BinaryOperator;
        readonly left: Tree;
        readonly right: Tree;
      }
    | { readonly is: 'not' | 'minus'; readonly of: Tree }
    | { readonly is: 'if'; readonly test: Tree; readonly then: Tree; readonly otherwise: Tree }
    | { readonly is: 'list'; readonly items: readonly Tree[] }
  );

/** What a part gives: a value of a kind, nothing at all, or a list of values of a kind. */
export type Gives =
  | {
      readonly of: ValueKind;
      readonly isList?: false;
      /** Of a choice: the ids of the options that it can be; nothing where that is not known. */
      readonly options?: readonly string[];
    }
  | { readonly of: 'nothing'; readonly isList?: false }
  | { readonly of: ValueKind | 'nothing'; readonly isList: true };
