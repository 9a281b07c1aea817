export type { BinaryOperator, Gives, Range, Tree } from './tree';
export { LONGEST_EXPRESSION, partsOfTree, readExpression, type Fault, type Read } from './read';
export { canStandFor, checked, dotted, sameKind, type Checked, type GivenNames } from './check';
export { Failure, running, type Given, type Run } from './run';
export { namesOf, partly, type KnownValue } from './partly';
export { FUNCTIONS, type Overload } from './functions';
export {
  cellText,
  quoted,
  tableOf,
  writeTable,
  type Cell,
  type Comparison,
  type Condition as TableCondition,
  type Row as TableRow,
  type Table,
} from './table';
export { shownWith, typedWith, type ExpressionName, type Typing } from './names';
