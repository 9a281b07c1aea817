import type { ReactNode } from 'react';
import { Select } from 'antd';
import type { SpecOf } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { chosenOptions } from '../words';
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
const NONE_CHOSEN = { theme: 'as around it', style: 'none' } as const;
