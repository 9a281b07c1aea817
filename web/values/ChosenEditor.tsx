import type { ReactNode } from 'react';
import { Select } from 'antd';
import { docOf, inOrder, own, PLAIN_THEME, type Documents, type SpecOf } from '@sormet/core/model';
import { stylesInOrder } from '@sormet/core/style';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';

/** A tag, a theme or a shared style, out of those that the property lets somebody choose. */
export function ChosenEditor({
  type,
  value,
  label,
  onChange,
  open,
}: EditorProps<SpecOf<'tag' | 'theme' | 'style'>>): ReactNode {
  const { documents } = useDerived();
  const given = value?.type === type.kind ? value.value : null;
  const options = chosenOptions(documents, type);
  return (
    <Select
      size="small"
      variant="borderless"
      showSearch={{ optionFilterProp: 'label' }}
      aria-label={label}
      defaultOpen={open ?? false}
      value={given ?? ''}
      popupMatchSelectWidth={false}
      options={[
        ...(type.kind === 'tag' ? [] : [{ value: '', label: NONE_CHOSEN[type.kind] }]),
        ...options,
      ]}
      onSelect={(chosen: string) => onChange({ type: type.kind, value: chosen || null }, null)}
    />
  );
}

/** What nothing chosen means. */
export const NONE_CHOSEN = { theme: 'as around it', style: 'none' } as const;

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
