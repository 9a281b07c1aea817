import { inOrder, type ComponentDoc } from '@sormet/core/model';
import type { Picks } from '@sormet/core/resolve';
import { ruleOf } from '../../ledger/style/picked';

/** An axis of a definition: what its variants differ in, and the options that are offered, in their order. */
export interface AxisOffered {
  readonly id: string;
  readonly label: string;
  readonly options: readonly { readonly id: string; readonly label: string }[];
  /** The option of whoever chooses none. */
  readonly base: string | null;
}

/** The axes of a definition, in their order. */
export function axesOfDefinition({ properties }: ComponentDoc): AxisOffered[] {
  return inOrder(properties).flatMap(([id, { label, type, axis, default: byDefault }]) => {
    if (!axis || type.kind !== 'choice') return [];
    const options = inOrder(type.options)
      .filter(([, { gone }]) => gone === undefined)
      .map(([option, { label: name }]) => ({ id: option, label: name }));
    const base = byDefault.is === 'value' && byDefault.type === 'choice' ? byDefault.value : null;
    return [{ id, label, options, base }];
  });
}

/**
 * What is lit for options that somebody chose: where they are all of the base, nothing; but a rule for an option that became
 * the base goes on holding, so that is lit then and can be changed.
 */
export function asLit(definition: ComponentDoc, axes: Picks): Picks {
  const all = axesOfDefinition(definition);
  const isOfBase = ([axis, option]: [string, string]) =>
    all.some(({ id, base }) => id === axis && base === option);
  const chosen = Object.entries(axes).filter((each) => !isOfBase(each));
  if (chosen.length > 0) return Object.fromEntries(chosen);
  for (const { id, base } of all)
    if (base !== null && ruleOf(definition, { [id]: base }) !== undefined) return { [id]: base };
  return {};
}
