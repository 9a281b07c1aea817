import { docOf, own, type Documents, type StyleDoc } from '@sormet/core/model';
import { stylesInOrder, type LineDeclares } from '@sormet/core/style';
import type { Selected } from '../use-selected';
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

/** The shared style that a line names, where it can be put on what is selected. */
export function styleCalled(
  documents: Documents,
  { node, address }: Selected,
  typed: string,
): StyleDoc | undefined {
  const wanted = typed.trim().toLowerCase();
  if (address !== undefined || wanted === '') return undefined;
  if (node.kind !== 'element' && node.kind !== 'instance') return undefined;
  return stylesInOrder(documents)
    .flatMap((id) => docOf(documents, 'style', id) ?? [])
    .find(
      ({ name, base }) =>
        name.toLowerCase() === wanted && (base === null || own(node.shared ?? {}, base)),
    );
}
