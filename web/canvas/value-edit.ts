import { docOf, nodeIn, type Documents, type Literal } from '@sormet/core/model';
import { sourceAt, type Control } from '@sormet/core/resolve';
import { controlPath, type NamedEdit } from '@sormet/core/edit';
import type { TextTarget } from './address';

/** Where words that are typed on the canvas go. */
export type TypedTarget = Extract<TextTarget, { ok: true }>;

/** The edit that gives a value to where it belongs; in a definition what is exposed is its property's default. */
export function valueEdit(
  documents: Documents,
  { doc, node, control }: Pick<TypedTarget, 'doc' | 'node' | 'control'>,
  value: Literal,
): NamedEdit {
  const stored = nodeIn(documents, doc, node);
  const source = stored && sourceAt(stored, control);
  const component = docOf(documents, 'component', doc);
  if (component && source?.is === 'property')
    return {
      name: 'setDefault',
      args: { component: component.id, property: source.property, value },
    };
  return { name: 'setControl', args: { doc, node, control, source: value } };
}

/** How words are told apart by where they are said: in which document, by which node, as what. */
export function wordsKey(doc: string, node: string, control: Control): string {
  return [doc, node, ...controlPath(control)].join(' ');
}
