import { own, type Documents } from '@sormet/core/model';
import type { LineDeclares } from '@sormet/core/style';
import { stateWord } from './states';

/** What a line declares, in words: tokens by their names, with where it holds. */
export function declaredWords(
  { property, css, tokens: used, width, state }: LineDeclares,
  documents: Documents,
): string {
  const { tokens } = documents.tokens;
  const shown = css.replaceAll(/var\(--([a-z][a-z0-9-]*)\)/g, (all, name: string) => {
    const token = own(used, name);
    return token === undefined ? all : (own(tokens, token)?.name ?? all);
  });
  const max = own(documents.site.widths, width)?.max;
  const where = [
    ...(max === undefined ? [] : [`${max} px and below`]),
    ...(state ? [stateWord(state)] : []),
  ];
  return `${property}: ${shown}${where.length > 0 ? ` (${where.join(', ')})` : ''}`;
}
