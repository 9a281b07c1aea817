import { inOrder, type ComponentDoc } from '@sormet/core/model';

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
