import { docOf, inOrder, own, PLAIN_THEME, type Documents, type SpecOf } from '@sormet/core/model';
import { stylesInOrder } from '@sormet/core/style';

/** What may be chosen, in the order in which people know it. */
export function chosenOptions(
  documents: Documents,
  type: SpecOf<'tag' | 'theme' | 'style'>,
): { value: string; label: string }[] {
  if (type.kind === 'tag')
    return Object.keys(type.of)
      .sort()
      .map((tag) => ({ value: tag, label: tag }));
  if (type.kind === 'theme') {
    const themes = inOrder(documents.tokens.themes ?? {}).map(([id, { name }]) => ({
      value: id,
      label: name,
    }));
    return [{ value: PLAIN_THEME, label: 'plain' }, ...themes].filter(({ value }) =>
      own(type.of, value),
    );
  }
  return stylesInOrder(documents)
    .filter((id) => own(type.of, id))
    .map((id) => ({ value: id, label: docOf(documents, 'style', id)?.name ?? id }));
}
