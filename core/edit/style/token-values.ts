import {
  allOf,
  chainOf,
  definitionSources,
  kindOf,
  sourcesOf,
  withSources,
  type Documents,
  type Source,
  type Token,
  type Typed,
} from '../../model';
import { nearestHex, readColour } from '../../colour';
import { filled } from '../../style';
import { changeTo, type Change } from '../changes';

/** The changes that put another token, or what it is, in the place of a token wherever it is a value. */
export function withoutTokenAsValue(
  documents: Documents,
  token: string,
  stored: Token,
  instead: string | null,
): Change[] {
  const { tokens } = documents.tokens;
  // Tokens may be made of tokens: what it comes to is written out, not what it is made of.
  const css = filled(stored.value, tokens) ?? stored.value.css;
  const changed = <T extends Typed>(typed: T): T => {
    if (!isToken(typed, token)) return typed;
    if (instead !== null) return { ...typed, value: { token: instead } };
    // A colour as a value is sRGB in hexadecimal digits; a token may hold any that CSS has, so the nearest is taken.
    const colour = typed.type === 'colour' ? readColour(css) : undefined;
    const text = colour ? nearestHex(colour) : css;
    return {
      ...typed,
      value: kindOf(typed.type).parse?.(text, { kind: typed.type }) ?? null,
    };
  };
  const inSource = (source: Source): Source =>
    source.is === 'value' ? (changed(source as Typed) as Source) : source;
  const changes: Change[] = [];
  const source = (doc: string, path: string[], held: Source) => {
    if (!chainOf(held).some((each) => each.is === 'value' && isToken(each, token))) return;
    changes.push(...changeTo(documents, doc, path, withSources(held, inSource)));
  };
  for (const doc of allOf(documents, 'component')) {
    for (const [path, held] of definitionSources(doc)) source(doc.id, path, held);
    for (const id in doc.properties)
      source(doc.id, ['properties', id, 'default'], doc.properties[id]!.default);
  }
  for (const doc of allOf(documents, 'page'))
    for (const node in doc.nodes)
      for (const [path, held] of sourcesOf(doc.nodes[node]!))
        source(doc.id, ['nodes', node, ...path], held);
  for (const doc of allOf(documents, 'entry'))
    for (const field in doc.values) {
      const typed = doc.values[field]!;
      if (isToken(typed, token))
        changes.push(...changeTo(documents, doc.id, ['values', field], changed(typed)));
    }
  return changes;
}

/** Whether a value is this token: only colours and lengths can be one. */
function isToken({ type, value }: Typed, token: string): boolean {
  return (
    (type === 'colour' || type === 'length') &&
    value !== null &&
    typeof value === 'object' &&
    'token' in value &&
    value.token === token
  );
}
