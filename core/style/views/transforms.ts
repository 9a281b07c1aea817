import { splitAt } from '../split-at';

/** One step of a transform: the name of its function and what it is given (CSS Transforms 1, 13). */
export interface TransformStep {
  readonly name: string;
  readonly given: readonly string[];
}

/** Steps that can be made by hand, with what each is given first. */
export const TRANSFORMS: Readonly<Record<string, { readonly begins: readonly string[] }>> = {
  translate: { begins: ['0px', '0px'] },
  rotate: { begins: ['0deg'] },
  scale: { begins: ['1'] },
  skew: { begins: ['0deg', '0deg'] },
};

const CALL = /^([a-z][a-z0-9]*)\((.*)\)$/is;

/** The steps of a transform, in the order in which they are written; none of `none`, nothing where it is no list of functions. */
export function readTransforms(css: string): TransformStep[] | undefined {
  if (css.trim() === 'none') return [];
  const steps = splitAt(css, ' ').map((word): TransformStep | undefined => {
    const [, name, inner] = CALL.exec(word) ?? [];
    return name === undefined || name === 'var' || name === 'calc'
      ? undefined
      : { name, given: splitAt(inner!, ',').map((part) => part.trim()) };
  });
  return steps.every((each) => each !== undefined) ? steps : undefined;
}

/** Steps as CSS; `none` for no step. */
export function writeTransforms(steps: readonly TransformStep[]): string {
  if (steps.length === 0) return 'none';
  return steps.map(({ name, given }) => `${name}(${given.join(', ')})`).join(' ');
}
