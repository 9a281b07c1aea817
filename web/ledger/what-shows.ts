import type { Documents, Source, TypeSpec } from '@sormet/core/model';
import { evaluate, Later } from '@sormet/core/value';
import { valueWords } from '../words';
import type { Selected } from './use-selected';

/** What a source would bring where something is selected, in words; nothing where that does not show now. */
export function holdsAt(
  documents: Documents,
  { resolved }: Selected,
  type: TypeSpec,
): ((source: Source) => string) | undefined {
  const scope = resolved?.scope;
  if (!scope) return undefined;
  return (source) => {
    // What stands in for it where it is empty is decided afterwards.
    const { whenEmpty: _, ...alone } = source;
    const value = evaluate(alone, type, scope);
    return value instanceof Later ? 'nothing' : valueWords(documents, value);
  };
}
